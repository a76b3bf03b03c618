package hamper.edit;

import hamper.address.ChannelSpan;
import hamper.address.StartsPer;
import hamper.display.Circuit;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Hold;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Wall;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Placement;
import hamper.resolve.Resolution;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Holds starts: of a piece, or of a whole controller where it is now, with its universes. */
public final class HoldStarts {
  private HoldStarts() {}

  /**
   * @param startsPer of the device that is to keep them: one that takes a start a port is held by
   *     the first section of each
   */
  static Display of(Plan plan, Resolution resolution, String controller, StartsPer startsPer) {
    int index = plan.indexOf(plan.existingController(controller).id());
    Controller before = plan.display().controllers().get(index);
    Map<String, Piece> held = new HashMap<>();
    boolean perPort = startsPer == StartsPer.PORT;
    for (Placement at : resolution.byController().get(index)) {
      boolean acts = !perPort || at.position() == 1;
      Optional<Hold> hold =
          at.controllerChannels().filter(span -> acts).map(ChannelSpan::start).map(Hold::atChannel);
      if (hold.isPresent() && !at.mirror() && at.kind().flows()) {
        Piece piece = held.getOrDefault(at.piece(), plan.existingPiece(at.piece()).piece());
        held.put(at.piece(), hold(piece, at.section(), hold));
      }
    }
    Display display = plan.display();
    List<Prop> props =
        display.props().stream()
            .map(
                prop ->
                    prop.pieces().stream().anyMatch(at -> held.containsKey(at.id()))
                        ? with(prop, held)
                        : prop)
            .toList();
    Controller after = holdUniverses(before, resolution.blocks().get(index));
    return display
        .withProps(props)
        .withControllers(Runs.change(display.controllers(), controller, other -> after));
  }

  public static Prop with(Prop prop, Map<String, Piece> held) {
    return prop.withPieces(
        prop.pieces().stream().map(piece -> held.getOrDefault(piece.id(), piece)).toList());
  }

  /**
   * The piece with the start of one of its sections held, or let go; as it is where nothing of it
   * is held.
   *
   * @param section from 0; without meaning for what has none
   */
  public static Piece hold(Piece piece, int section, Optional<Hold> hold) {
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
      Run run = Runs.runAt(changed, entry.getKey());
      changed =
          changed.withRun(
              new Run(
                  run.kind(),
                  run.port(),
                  run.legs(),
                  Optional.of(entry.getValue()),
                  run.brightness()));
    }
    return changed;
  }
}
