package hamper.load;

import hamper.catalog.Driver;
import hamper.catalog.PixelType;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Plan;

/**
 * The way of the data to the first pixel of a string, and how far it may be. Source: the load
 * rules; rules of thumb.
 *
 * @param metres of socket or gap, the string's own lead included (m)
 * @param driven how far what drives the first span reaches (m)
 * @param onward how far a null pixel reaches (m)
 */
public record DataReach(double metres, double driven, double onward) {
  /** No data goes further than this without a pixel (m). */
  public static final double MOST_METRES = 15;

  private static final double ROUNDING = 1e-9;

  public static DataReach of(Plan plan, HungRun run, HungLeg leg) {
    PixelType type = leg.at().pixels();
    double metres = run.cableTo(leg, plan).metres() + leg.at().string().leadMetres();
    double driven =
        leg.index() == 0
            ? socket(plan, run).metres()
            : run.legs().get(leg.index() - 1).at().pixels().spanOrUsual();
    return new DataReach(metres, driven, type.spanOrUsual());
  }

  private static Driver socket(Plan plan, HungRun run) {
    return plan.modelOf(run.controller())
        .portsOf(PortKind.PIXEL)
        .map(PortGroup::driverOrUsual)
        .orElse(Driver.BUFFERED);
  }

  /** From pixel to pixel (m): null pixels stand evenly along the way. */
  public double span(int nullPixels) {
    return metres / (nullPixels + 1);
  }

  /** What a span may be (m): the weakest of what drives them counts. */
  public double most(int nullPixels) {
    return nullPixels == 0 ? driven : Math.min(driven, onward);
  }

  public boolean tooFar(int nullPixels) {
    return span(nullPixels) > most(nullPixels) + ROUNDING;
  }

  /** The fewest null pixels that bridge the way. */
  public int nullPixels() {
    return tooFar(0) ? (int) Math.max(1, Math.ceil(metres / most(1) - ROUNDING) - 1) : 0;
  }
}
