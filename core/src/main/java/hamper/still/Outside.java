package hamper.still;

import hamper.address.ChannelSpan;
import hamper.display.Controller;
import hamper.display.LegAt;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.resolve.Placement;
import hamper.resolve.Resolution;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What an edit left alone, and where it stood: pieces that are as they were, on the port they hung
 * on, of controllers that are set as they were. All else is inside the edit.
 */
final class Outside {
  /** A section, wherever it stands. */
  record Key(String piece, int section) {}

  private final Map<Key, Placement> before = new HashMap<>();
  private final Set<String> sameControllers = new HashSet<>();

  private Outside() {}

  static Outside of(Plan was, Resolution stood, Plan is) {
    Outside outside = new Outside();
    for (Controller controller : is.display().controllers()) {
      Optional<Controller> then = was.controller(controller.id());
      if (then.isPresent() && isSet(then.get()).equals(isSet(controller))) {
        outside.sameControllers.add(controller.id());
      }
    }
    stood
        .placements()
        .filter(
            at ->
                isAsItWas(was, is, at) && outside.sameControllers.contains(at.port().controller()))
        .forEach(at -> outside.before.put(new Key(at.piece(), at.section()), at));
    return outside;
  }

  /** All of a controller that its addresses follow from, but for what hangs on it. */
  private static Object isSet(Controller controller) {
    return List.of(
        controller.model(),
        controller.protocol(),
        controller.settings().firstUniverse(),
        controller.settings().universeSize(),
        controller.settings().mode(),
        controller.packing(),
        controller.portStart());
  }

  private static boolean isAsItWas(Plan was, Plan is, Placement at) {
    Optional<PieceAt> now = is.piece(at.piece());
    Optional<LegAt> leg = is.leg(at.piece());
    Optional<LegAt> then = was.leg(at.piece());
    return now.isPresent()
        && leg.isPresent()
        && then.isPresent()
        && now.get().piece().equals(was.existingPiece(at.piece()).piece())
        && leg.get().port().equals(then.get().port())
        && leg.get().leg().mirrorOf().equals(then.get().leg().mirrorOf());
  }

  /** Where a section stood that is outside the edit. */
  Optional<Placement> stood(Placement at) {
    return Optional.ofNullable(before.get(new Key(at.piece(), at.section())))
        .filter(was -> was.port().equals(at.port()));
  }

  /** Whether a controller is set as it was. */
  boolean isSame(String controller) {
    return sameControllers.contains(controller);
  }

  /** Whether a section stands elsewhere than it stood, though the edit left it alone. */
  boolean hasMoved(Placement at) {
    return stood(at).filter(was -> !sameStart(was, at)).isPresent();
  }

  private static boolean sameStart(Placement was, Placement is) {
    return was.start().equals(is.start())
        && was.controllerChannels()
            .map(ChannelSpan::start)
            .equals(is.controllerChannels().map(ChannelSpan::start));
  }

  /** Channels of all that moved. */
  int moved(Resolution after) {
    return after.placements().filter(this::hasMoved).mapToInt(Placement::channels).sum();
  }
}
