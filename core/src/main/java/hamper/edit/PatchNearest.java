package hamper.edit;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
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
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Hangs each piece on the nearest port with room: controllers in its zone first, then by distance
 * of their zones, then in list order; on each an empty port first, then one whose pixels are of the
 * same type and leave room under the limits of model and frame. A DMX line takes what its slots
 * leave room for.
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
    return plan.display().controllers().stream()
        .filter(controller -> kind == PortKind.SERIAL || controller.protocol() != Protocol.NONE)
        .sorted(Comparator.comparingDouble(controller -> metres(plan, controller, at)))
        .flatMap(controller -> portWithRoom(plan, controller, at).stream())
        .findFirst()
        .orElseThrow(
            () ->
                new RefusedException(
                    "piece",
                    Require.quoted(at.title()),
                    "no %s port of any controller has room for it; add a controller"
                        .formatted(kind.name().toLowerCase(Locale.ROOT))));
  }

  /** Unknown distances come last; the sort is stable, so that list order decides. */
  private static double metres(Plan plan, Controller controller, PieceAt at) {
    return Cable.metresBetween(plan, Whereabouts.zone(plan, controller), at.prop().zone())
        .orElse(Double.MAX_VALUE);
  }

  private static Optional<PortRef> portWithRoom(Plan plan, Controller controller, PieceAt at) {
    PortKind kind = at.piece().portKind();
    int most = plan.modeOf(controller, kind).map(mode -> mode.ports()).orElse(0);
    Optional<PortRef> shared = Optional.empty();
    for (int port = 1; port <= most; port++) {
      PortRef ref = new PortRef(controller.id(), kind, port);
      Run run = Runs.runAt(controller, ref);
      if (!hasRoom(plan, controller, run, at.piece())) {
        continue;
      }
      if (run.legs().isEmpty()) {
        return Optional.of(ref);
      }
      shared = shared.or(() -> Optional.of(ref));
    }
    return shared;
  }

  private static boolean hasRoom(Plan plan, Controller controller, Run run, Piece piece) {
    List<Piece> there =
        run.legs().stream().map(leg -> plan.existingPiece(leg.piece()).piece()).toList();
    if (piece instanceof PixelString string) {
      boolean sameType =
          there.stream()
              .allMatch(other -> ((PixelString) other).pixelType().equals(string.pixelType()));
      int nulls = run.legs().stream().mapToInt(Leg::nullPixels).sum();
      int used = nulls + there.stream().mapToInt(PatchNearest::places).sum();
      int limit = PortLimit.of(plan, controller, plan.typeOf(string)).places();
      return sameType && used + places(string) <= limit;
    } else if (piece instanceof SlotPiece slots) {
      return there.stream().noneMatch(other -> meets((SlotPiece) other, slots));
    }
    return there.isEmpty();
  }

  private static int places(Piece piece) {
    return piece instanceof PixelString string ? string.pixels() + string.nullPixels() : 0;
  }

  private static boolean meets(SlotPiece a, SlotPiece b) {
    return a.slot() < b.slot() + b.channels() && b.slot() < a.slot() + a.channels();
  }

  @Override
  public String label(Plan plan) {
    String what =
        pieces.size() == 1 ? plan.existingPiece(pieces.get(0)).title() : pieces.size() + " pieces";
    return "Patch %s to the nearest port".formatted(what);
  }
}
