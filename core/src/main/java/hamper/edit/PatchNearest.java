package hamper.edit;

import hamper.address.Protocol;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.Power;
import hamper.display.Brightness;
import hamper.display.Cable;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortLimit;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.display.SlotPiece;
import hamper.display.Whereabouts;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Hangs each piece on the nearest port with room: controllers in its zone first, then by distance
 * of their zones, then in list order; of those that are equally far an empty port first, then one
 * whose pixels are of the same type and leave room under the limits of model and frame and 80 % of
 * the socket's fuse. A DMX line takes what its slots leave room for.
 *
 * @param pieces ids; those that hang already stay where they are
 */
public record PatchNearest(List<String> pieces) implements Edit {
  public PatchNearest {
    pieces = List.copyOf(pieces);
    Require.inRange("pieces", pieces.size(), 1, 1000);
  }

  @Override
  public Display change(Plan plan) {
    Plan now = plan;
    for (String id : pieces) {
      if (now.leg(id).isEmpty()) {
        PortRef port = nearest(now, now.existingPiece(id));
        now = now.with(new PatchPieces(List.of(id), port, Optional.empty()).change(now));
      }
    }
    return now.display();
  }

  private static PortRef nearest(Plan plan, PieceAt at) {
    PortKind kind = at.piece().portKind();
    Map<Double, List<Controller>> byDistance =
        plan.display().controllers().stream()
            .filter(controller -> kind == PortKind.SERIAL || controller.protocol() != Protocol.NONE)
            .collect(
                Collectors.groupingBy(
                    controller -> metres(plan, controller, at), TreeMap::new, Collectors.toList()));
    return byDistance.values().stream()
        .flatMap(equal -> portWithRoom(plan, equal, at).stream())
        .findFirst()
        .orElseThrow(
            () ->
                new RefusedException(
                    "piece",
                    Require.quoted(at.title()),
                    "no %s port of any controller has room for it; add a controller"
                        .formatted(kind.title())));
  }

  /** Unknown distances come last; the sort is stable, so that list order decides. */
  private static double metres(Plan plan, Controller controller, PieceAt at) {
    return Cable.metresBetween(plan, Whereabouts.zone(plan, controller), at.prop().zone())
        .orElse(Double.MAX_VALUE);
  }

  /** On controllers that are equally far: an empty port of any of them first. */
  private static Optional<PortRef> portWithRoom(
      Plan plan, List<Controller> controllers, PieceAt at) {
    PortKind kind = at.piece().portKind();
    Optional<PortRef> shared = Optional.empty();
    for (Controller controller : controllers) {
      int most = plan.modeOf(controller, kind).map(mode -> mode.ports()).orElse(0);
      for (int port = 1; port <= most; port++) {
        PortRef ref = new PortRef(controller.id(), kind, port);
        Run run = Runs.runAt(controller, ref);
        boolean empty = run.legs().isEmpty();
        if ((empty || shared.isEmpty()) && hasRoom(plan, controller, run, at)) {
          if (empty) {
            return Optional.of(ref);
          }
          shared = Optional.of(ref);
        }
      }
    }
    return shared;
  }

  private static boolean hasRoom(Plan plan, Controller controller, Run run, PieceAt at) {
    Piece piece = at.piece();
    List<Piece> there =
        run.legs().stream().map(leg -> plan.existingPiece(leg.piece()).piece()).toList();
    if (piece instanceof PixelString string) {
      boolean sameType =
          there.stream()
              .allMatch(other -> ((PixelString) other).pixelType().equals(string.pixelType()));
      int nulls = run.legs().stream().mapToInt(Leg::nullPixels).sum();
      int used = nulls + there.stream().mapToInt(PatchNearest::places).sum();
      int limit = PortLimit.of(plan, controller, plan.typeOf(string)).places();
      return sameType
          && used + places(string) <= limit
          && (there.isEmpty() || fuseHolds(plan, controller, run, at));
    } else if (piece instanceof SlotPiece slots) {
      return there.stream().noneMatch(other -> slots.meets((SlotPiece) other));
    }
    return there.isEmpty();
  }

  /** Whether the socket's fuse holds with one more string; feeds of their own relieve it. */
  private static boolean fuseHolds(Plan plan, Controller controller, Run run, PieceAt more) {
    Optional<Double> fuse =
        plan.modelOf(controller).portsOf(PortKind.PIXEL).flatMap(PortGroup::fuseAmps);
    if (fuse.isEmpty() || run.legs().stream().anyMatch(leg -> !leg.feeds().isEmpty())) {
      return true;
    }
    double amps =
        Stream.concat(
                run.legs().stream().map(leg -> plan.existingPiece(leg.piece())), Stream.of(more))
            .mapToDouble(at -> amps(at, run, controller))
            .sum();
    return amps <= fuse.get() * Power.PLANNED_SHARE;
  }

  private static double amps(PieceAt at, Run run, Controller controller) {
    return at.string().sections().stream()
        .mapToDouble(
            section ->
                at.pixels()
                    .amps(
                        section.pixels(),
                        section.nullPixels(),
                        Brightness.percent(section, at.prop(), run, controller)))
        .sum();
  }

  private static int places(Piece piece) {
    return piece instanceof PixelString string ? string.pixels() + string.nullPixels() : 0;
  }

  @Override
  public String label(Plan plan) {
    return "Patch %s to the nearest port".formatted(Pieces.called(plan, pieces));
  }
}
