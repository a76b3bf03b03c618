package hamper.display;

import hamper.value.RefusedException;
import java.util.List;
import java.util.Optional;

/** Refuses displays whose channels could not be counted any more. */
final class DisplaySize {
  private static final long MOST_CHANNELS = Integer.MAX_VALUE;

  /** Packing wastes less than it lays. */
  private static final int WASTE = 2;

  private static final int UNIVERSE = 512;

  private DisplaySize() {}

  /**
   * @param runs of each controller
   * @throws RefusedException at the controller with which it becomes too much
   */
  static void check(List<Controller> controllers, List<List<HungRun>> runs) {
    long most = 0;
    for (int i = 0; i < controllers.size(); i++) {
      most += most(controllers.get(i), runs.get(i));
      if (most > MOST_CHANNELS) {
        throw new RefusedException(
            "controllers[%d]".formatted(i),
            "room for up to %,d channels with %s".formatted(most, controllers.get(i).tag()),
            "a display has at most %,d; hang or reserve less, or hold less far out"
                .formatted(MOST_CHANNELS));
      }
    }
  }

  /** What a controller's block may take at most, wherever its pieces come to stand. */
  private static long most(Controller controller, List<HungRun> runs) {
    ControllerSettings settings = controller.settings();
    long reserve =
        (long) settings.reserveUniverses() * UNIVERSE + (long) settings.reserveChannels();
    long channels = 0;
    long held = 0;
    for (HungRun run : runs) {
      channels += UNIVERSE;
      for (HungLeg leg : run.legs()) {
        channels += WASTE * leg.at().channels();
        held = Math.max(held, held(leg.at().piece()));
      }
    }
    return reserve + channels + held;
  }

  private static long held(Piece piece) {
    if (piece instanceof PixelString string) {
      long most = 0;
      for (Section section : string.sections()) {
        most = Math.max(most, held(section.hold()));
      }
      return most;
    } else if (piece instanceof Circuit circuit) {
      return held(circuit.hold());
    }
    return piece instanceof Wall wall ? held(wall.hold()) : 0;
  }

  private static long held(Optional<Hold> hold) {
    return hold.map(at -> at.channel() + (long) at.universe().orElse(0) * UNIVERSE).orElse(0L);
  }
}
