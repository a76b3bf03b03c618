package hamper.arrange;

import hamper.catalog.PixelType;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.Power;
import hamper.display.Brightness;
import hamper.display.Cable;
import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortLimit;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.SlotPiece;
import hamper.display.Whereabouts;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A port while it is being arranged: what hangs there by now, and what still fits. */
final class Outlet {
  private final Plan plan;
  private final Controller controller;
  private final Run run;
  private final PortRef ref;
  private final Optional<Double> fuse;
  private final Optional<String> ownZone;
  private final Set<String> types = new HashSet<>();
  private final List<PieceAt> pieces = new ArrayList<>();
  private int places;
  private double amps;
  private boolean fed;

  Outlet(Plan plan, Controller controller, PortKind kind, int number) {
    this.plan = plan;
    this.controller = controller;
    ref = new PortRef(controller.id(), kind, number);
    run = controller.run(kind, number).orElseGet(() -> Run.of(kind, number, List.of()));
    fuse = plan.modelOf(controller).portsOf(kind).flatMap(PortGroup::fuseAmps);
    ownZone = Whereabouts.zone(plan, controller);
    plan.run(ref).ifPresent(this::take);
  }

  private void take(HungRun hung) {
    for (HungLeg leg : hung.legs()) {
      add(leg.at());
      places += leg.leg().nullPixels();
      fed |= !leg.leg().feeds().isEmpty();
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

  void add(PieceAt at) {
    pieces.add(at);
    if (at.piece() instanceof PixelString string) {
      types.add(string.pixelType());
      places += string.places();
      amps += amps(at);
    }
  }

  /** Takes off what was added last. */
  void removeLast() {
    PieceAt at = pieces.remove(pieces.size() - 1);
    if (at.piece() instanceof PixelString string) {
      places -= string.places();
      amps -= amps(at);
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
    if (at.piece() instanceof PixelString string) {
      return againstString(at, string);
    } else if (at.piece() instanceof SlotPiece slots) {
      boolean meets =
          pieces.stream()
              .map(one -> (SlotPiece) one.piece())
              .anyMatch(other -> meets(other, slots));
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
    if (fuse.isPresent() && !fed && !empty()) {
      double most = fuse.get() * Power.PLANNED_SHARE;
      if (amps + amps(at) > most) {
        return Optional.of("the fuse there would carry more than %.1f A".formatted(most));
      }
    }
    return Optional.empty();
  }

  /** Pixels of a type that still go on it. */
  int room(PixelType type) {
    return Math.max(0, PortLimit.of(plan, controller, type).places() - places);
  }

  private double amps(PieceAt at) {
    double sum = 0;
    for (Section section : at.string().sections()) {
      sum +=
          at.pixels()
              .amps(
                  section.pixels(),
                  section.nullPixels(),
                  Brightness.percent(section, at.prop(), run, controller));
    }
    return sum;
  }

  private static boolean meets(SlotPiece a, SlotPiece b) {
    return a.slot() < b.slot() + b.channels() && b.slot() < a.slot() + a.channels();
  }

  /** Cable from where the wire ends now to a piece (m), as it is estimated everywhere. */
  Optional<Double> metres(PieceAt at) {
    Optional<String> from =
        pieces.isEmpty() ? ownZone : pieces.get(pieces.size() - 1).prop().zone();
    return Cable.metresBetween(plan, from, at.prop().zone())
        .map(metres -> Math.ceil(metres * Cable.DETOUR));
  }
}
