package hamper.arrange;

import hamper.catalog.PixelType;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.Power;
import hamper.display.Brightness;
import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.SlotPiece;
import hamper.display.Whereabouts;
import hamper.value.Decimals;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import java.util.stream.Stream;

/** A port while it is being arranged: what hangs there by now, and what still fits. */
final class Outlet {
  private static final int FULL = 100;

  private final Yardstick measured;
  private final Controller controller;
  private final Run run;
  private final PortRef ref;
  private final int percent;
  private final Optional<Double> fuse;
  private final Optional<String> ownZone;
  private final Set<String> types = new HashSet<>();
  private final Optional<Chain> chain;
  private final List<PieceAt> pieces = new ArrayList<>();

  /** The remote box of each piece; 1 where there are none. */
  private final List<Integer> boxes = new ArrayList<>();

  private int places;
  private double amps;
  private double fullAmps;

  /** How many of the pieces have feeds of their own. */
  private int fed;

  private Outlet(
      Plan plan, Yardstick measured, Controller controller, Run run, Optional<Chain> chain) {
    this.measured = measured;
    this.chain = chain;
    this.controller = controller;
    this.run = run;
    ref = new PortRef(controller.id(), run.kind(), run.port());
    percent =
        run.brightness()
            .or(() -> controller.settings().brightness())
            .orElse(Brightness.DEFAULT_PERCENT);
    fuse = plan.modelOf(controller).portsOf(run.kind()).flatMap(PortGroup::fuseAmps);
    ownZone = Whereabouts.zone(plan, controller);
  }

  /** A port of a controller with what hangs on it. */
  static Outlet of(
      Plan plan,
      Yardstick measured,
      Controller controller,
      PortKind kind,
      int number,
      Optional<Chain> chain) {
    Run run = controller.run(kind, number).orElseGet(() -> Run.of(kind, number, List.of()));
    Outlet outlet = new Outlet(plan, measured, controller, run, chain);
    plan.run(outlet.ref).ifPresent(outlet::take);
    return outlet;
  }

  /** As if nothing were set or hung on any port of the kind. */
  static Outlet bare(Plan plan, Yardstick measured, Controller controller, PortKind kind) {
    Run nothing = Run.of(kind, 1, List.of());
    return new Outlet(plan, measured, controller, nothing, Optional.empty());
  }

  private void take(HungRun hung) {
    for (HungLeg leg : hung.legs()) {
      add(leg.at(), leg.box());
      places += leg.leg().nullPixels();
    }
  }

  PortRef ref() {
    return ref;
  }

  Controller controller() {
    return controller;
  }

  boolean empty() {
    return pieces.isEmpty();
  }

  void add(PieceAt at, int box) {
    pieces.add(at);
    boxes.add(box);
    chain.ifPresent(one -> one.hang(box, at.prop().zone()));
    fed += measured.hasFeeds(at) ? 1 : 0;
    if (at.piece() instanceof PixelString string) {
      types.add(string.pixelType());
      places += string.places();
      amps += plannedAmps(at);
      fullAmps += fullAmps(at);
    }
  }

  /** Whether it would share a wire with feeds: its own, or those of what hangs there. */
  boolean joins(PieceAt at) {
    return !empty() && (fed > 0 || measured.hasFeeds(at));
  }

  /** How many of some of its pieces share the wire with feeds, as {@link #joins} has it. */
  int joined(Predicate<PieceAt> some) {
    boolean feeds = false;
    int count = 0;
    for (int i = 0; i < pieces.size(); i++) {
      PieceAt at = pieces.get(i);
      feeds |= measured.hasFeeds(at);
      count += i > 0 && feeds && some.test(at) ? 1 : 0;
    }
    return count;
  }

  /** Whether anything on it has feeds of its own. */
  boolean isFed() {
    return fed > 0;
  }

  /** Takes off what was added last. */
  void removeLast() {
    PieceAt at = pieces.remove(pieces.size() - 1);
    int box = boxes.remove(boxes.size() - 1);
    chain.ifPresent(one -> one.takeOff(box, at.prop().zone()));
    fed -= measured.hasFeeds(at) ? 1 : 0;
    if (at.piece() instanceof PixelString string) {
      places -= string.places();
      amps -= plannedAmps(at);
      fullAmps -= fullAmps(at);
      if (pieces.stream()
          .noneMatch(one -> ((PixelString) one.piece()).pixelType().equals(string.pixelType()))) {
        types.remove(string.pixelType());
      }
    }
  }

  boolean endsWith(String piece) {
    return !pieces.isEmpty() && pieces.get(pieces.size() - 1).piece().id().equals(piece);
  }

  /** What is in the way of a piece here; empty: nothing that is known before it is tried. */
  Optional<String> against(PieceAt at) {
    if (hasBoxes() && spot(at).isEmpty()) {
      return Optional.of("its remote boxes stand elsewhere, and no other one can be added");
    } else if (at.piece() instanceof PixelString string) {
      return againstString(at, string);
    } else if (at.piece() instanceof SlotPiece slots) {
      boolean meets = pieces.stream().map(one -> (SlotPiece) one.piece()).anyMatch(slots::meets);
      return meets ? Optional.of("its slots are taken there") : Optional.empty();
    }
    return pieces.isEmpty() ? Optional.empty() : Optional.of("something hangs there");
  }

  private Optional<String> againstString(PieceAt at, PixelString string) {
    if (!types.isEmpty() && !types.equals(Set.of(string.pixelType()))) {
      return Optional.of("strings of another pixel type hang there");
    }
    int room = room(at.pixels());
    if (string.places() > room) {
      return Optional.of(
          "it has %d pixels, and there is room for %d".formatted(string.places(), room));
    }
    if (fuse.isPresent() && fed == 0 && !measured.hasFeeds(at)) {
      double most = fuse.get() * Power.PLANNED_SHARE;
      if (amps + plannedAmps(at) > most || fullAmps + fullAmps(at) > fuse.get()) {
        return Optional.of(
            "the fuse there, %s A, would carry too much".formatted(Decimals.rated(fuse.get())));
      }
    }
    return Optional.empty();
  }

  /** Pixels of a type that still go on it. */
  int room(PixelType type) {
    return Math.max(0, measured.limit(controller, type) - places);
  }

  /** Planned brightness of what says nothing itself (%). */
  int percent() {
    return percent;
  }

  /** What a string draws at planned brightness, all white (A); 0 of anything else. */
  double plannedAmps(PieceAt at) {
    return measured.amps(
        at,
        percent,
        () -> amps(at, section -> Brightness.percent(section, at.prop(), run, controller)));
  }

  double fullAmps(PieceAt at) {
    return amps(at, section -> FULL);
  }

  private static double amps(PieceAt at, ToIntFunction<Section> percent) {
    if (!(at.piece() instanceof PixelString string)) {
      return 0;
    }
    double sum = 0;
    for (Section section : string.sections()) {
      sum += at.pixels().amps(section.pixels(), section.nullPixels(), percent.applyAsInt(section));
    }
    return sum;
  }

  /** Places that still go on it if each draws at least so much (A) at full brightness. */
  int places(PixelType type, double ampsAPlace) {
    int room = room(type);
    boolean overAlready = fuse.isPresent() && fullAmps > fuse.get();
    if (fuse.isEmpty() || fed > 0 || overAlready || ampsAPlace <= 0) {
      return room;
    }
    return Math.min(room, (int) Math.floor((fuse.get() - fullAmps) / ampsAPlace + 1e-6));
  }

  /** The zone where the wire ends now. */
  Optional<String> end() {
    return pieces.isEmpty() ? ownZone : pieces.get(pieces.size() - 1).prop().zone();
  }

  /** The zones from which a cable may go on: where the wire ends, and where its boxes stand. */
  Stream<Optional<String>> reached() {
    Stream<Optional<String>> boxed =
        hasBoxes() ? pieces.stream().map(at -> at.prop().zone()) : Stream.of();
    return Stream.concat(Stream.of(end()), boxed);
  }

  /** The last piece on the wire; there is one. */
  PieceAt last() {
    return pieces.get(pieces.size() - 1);
  }

  /** The last pieces on the wire, the last first, up to one of them. */
  List<String> backTo(String piece) {
    List<String> all = new ArrayList<>();
    for (int i = pieces.size() - 1; i >= 0; i--) {
      all.add(pieces.get(i).piece().id());
      if (all.get(all.size() - 1).equals(piece)) {
        return all;
      }
    }
    return List.of();
  }

  boolean alone() {
    return pieces.size() == 1;
  }

  /** Cable from where the wire ends now to a piece (m), as it is estimated everywhere. */
  Optional<Double> metres(PieceAt at) {
    return spot(at).flatMap(Chain.Spot::metres);
  }

  /** The cable to a piece, and the remote box that it would hang on; none where none can be had. */
  Optional<Chain.Spot> spot(PieceAt at) {
    Optional<String> zone = at.prop().zone();
    if (chain.isEmpty()) {
      return Optional.of(new Chain.Spot(1, measured.metres(end(), zone), false));
    }
    return chain.get().spot(boxes.isEmpty() ? 1 : boxes.get(boxes.size() - 1), zone);
  }

  /** The same; where none can be had, it hangs on the box where the wire ends. */
  Chain.Spot spotOrSame(PieceAt at) {
    int last = boxes.isEmpty() ? 1 : boxes.get(boxes.size() - 1);
    return spot(at).orElse(new Chain.Spot(last, Optional.empty(), false));
  }

  /** The cable to a piece on a remote box that is chosen already. */
  Chain.Spot spotOn(PieceAt at, int box) {
    return chain.map(one -> one.on(box, at.prop().zone())).orElseGet(() -> spotOrSame(at));
  }

  /** The bank that it is of, from 1; 0 where there are none. */
  int bank() {
    return chain.map(Chain::bank).orElse(0);
  }

  boolean hasBoxes() {
    return chain.isPresent();
  }

  /** The remote box of what hangs there; 1 where there are none. */
  int box(int index) {
    return boxes.get(index);
  }

  /** What hangs on it, in wire order. */
  List<PieceAt> pieces() {
    return pieces;
  }
}
