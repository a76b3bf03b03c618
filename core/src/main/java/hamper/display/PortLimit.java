package hamper.display;

import hamper.catalog.FrameTime;
import hamper.catalog.PixelType;
import hamper.catalog.PortKind;

/**
 * How many pixels and null pixels of a type a pixel port takes: as many as the model drives in its
 * mode, and as many as a frame has time for.
 *
 * @param places from 0
 * @param by what is reached first
 */
public record PortLimit(int places, By by) {
  /** What sets a limit. */
  public enum By {
    /** The device model. */
    MODEL,
    /** The time of a frame. */
    FRAME
  }

  /** Of any pixel port of a controller. */
  public static PortLimit of(Plan plan, Controller controller, PixelType type) {
    int byModel = ofModel(plan, controller, type);
    int byFrame = FrameTime.mostPlaces(type, plan.display().settings().framesPerSecond());
    return byFrame < byModel ? new PortLimit(byFrame, By.FRAME) : new PortLimit(byModel, By.MODEL);
  }

  /** The model's own limit for a pixel type in the controller's mode. */
  public static int ofModel(Plan plan, Controller controller, PixelType type) {
    return plan.modeOf(controller, PortKind.PIXEL)
        .map(mode -> mode.pixelLimit(type.channels()).orElse(Integer.MAX_VALUE))
        .orElse(Integer.MAX_VALUE);
  }
}
