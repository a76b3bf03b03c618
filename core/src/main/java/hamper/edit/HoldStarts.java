package hamper.edit;

import hamper.address.StartsPer;
import hamper.display.Circuit;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Hold;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Wall;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Placement;
import hamper.resolve.Resolution;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Holds starts: of a piece, or of a whole controller where it is now, with its universes. */
public final class HoldStarts {
  /**
   * A start that is held.
   *
   * @param section of its piece, from 0; without meaning for a piece that has none
   */
  public record At(String piece, int section, Hold hold) {}

  private HoldStarts() {}

  /**
   * @param startsPer of the device that is to keep them: one that takes a start a port is held by
   *     the first section of each
   */
  static Display of(Plan plan, Resolution resolution, String controller, StartsPer startsPer) {
    int index = plan.indexOf(plan.existingController(controller).id());
    Controller before = plan.display().controllers().get(index);
    boolean perPort = startsPer == StartsPer.PORT;
    List<At> held = new ArrayList<>();
    for (Placement at : resolution.byController().get(index)) {
      boolean acts = !perPort || at.position() == 1;
      if (acts && !at.mirror() && at.kind().flows()) {
        at.controllerChannels()
            .map(span -> new At(at.piece(), at.section(), Hold.atChannel(span.start())))
            .ifPresent(held::add);
      }
    }
    Controller after = holdUniverses(before, resolution.blocks().get(index));
    return Runs.change(of(plan, held), controller, other -> after);
  }

  /** A display with these starts held; what has none that could be held stays as it is. */
  public static Display of(Plan plan, List<At> all) {
    Map<String, Piece> held = new HashMap<>();
    for (At at : all) {
      Piece piece = held.getOrDefault(at.piece(), plan.existingPiece(at.piece()).piece());
      held.put(at.piece(), hold(piece, at.section(), Optional.of(at.hold())));
    }
    return Pieces.change(plan, List.copyOf(held.keySet()), piece -> held.get(piece.id()));
  }

  private static Piece hold(Piece piece, int section, Optional<Hold> hold) {
    if (piece instanceof PixelString string) {
      return string.withSection(section, string.sections().get(section).withHold(hold));
    } else if (piece instanceof Circuit circuit) {
      return circuit.withHold(hold);
    } else if (piece instanceof Wall wall) {
      return wall.withHold(hold);
    }
    return piece;
  }

  /** The first universe and the size of the block are kept, and each DMX line its universe. */
  private static Controller holdUniverses(Controller before, ControllerBlock block) {
    Controller changed =
        before.withSettings(
            before
                .settings()
                .withBlock(
                    block.firstUniverse(),
                    before.protocol().usesUniverses() ? block.flowingUniverses() : 0,
                    before.protocol().usesUniverses() ? 0 : block.flowingChannels()));
    for (var entry : block.dmxUniverses().entrySet()) {
      changed = Runs.withUniverse(changed, entry.getKey(), entry.getValue());
    }
    return changed;
  }
}
