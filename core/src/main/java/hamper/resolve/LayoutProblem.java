package hamper.resolve;

/**
 * What the plan asks for and addressing cannot give; the checks turn it into findings.
 *
 * @param piece the piece concerned
 * @param section in its piece, from 0
 */
public record LayoutProblem(Kind kind, String piece, int section) {
  /** The cases, each with what was done instead. */
  public enum Kind {
    /** Not the first of a run on a device that starts per port: the hold does not act. */
    HOLD_INSIDE_PORT,
    /** A hold by universe where the first universe is not fixed, or on DDP: it does not act. */
    HOLD_WITHOUT_FIXED_UNIVERSE,
    /** A hold before the controller's first channel, or past its universe: it does not act. */
    HOLD_OUTSIDE_BLOCK,
    /** A held mirror: the hold does not act. */
    HOLD_ON_MIRROR,
    /** Only part of a run mirrors, on a device that starts per port: laid all the same. */
    MIRROR_PART_OF_PORT,
    /** The mirrored piece is not patched: not laid. */
    MIRROR_WITHOUT_ORIGINAL,
    /** More sections than the original has: those follow each other. */
    MIRROR_LONGER,
    /** What it mirrors stands at slots of a DMX line, which are set there: not laid. */
    MIRROR_OF_SLOTS,
    /** It stands at slots that are set at itself, and not at those of what it mirrors. */
    MIRROR_AT_SLOTS,
    /** Another controller which the same packets do not reach alike: not laid. */
    MIRROR_OUT_OF_REACH
  }
}
