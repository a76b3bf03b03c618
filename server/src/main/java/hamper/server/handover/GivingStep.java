package hamper.server.handover;

/**
 * One device of a giving.
 *
 * @param controller its id
 * @param why what is asked or what went wrong, in words; empty where nothing is to be said
 */
public record GivingStep(String controller, String tag, Progress progress, String why) {
  /** How far it is. */
  public enum Progress {
    WAITING,
    WORKING,
    /** It has all of it, and keeps it. */
    GIVEN,
    /** It had all of it already: nothing was sent. */
    UNCHANGED,
    NOT_KEPT,
    REFUSED,
    /** It went away half-way: nobody knows what it has. */
    LOST,
    DIFFERENT,
    /** It could not be reached; nothing was sent. */
    AWAY,
    /** Nothing was sent: first somebody has to look at the faults that the plan has there. */
    HAS_FAULTS,
    /** Nothing was sent: another unit answers, and somebody has to say that it is a replacement. */
    OTHER_UNIT,
    /** Nothing was sent: it was stopped before. */
    STOPPED,
    /** It could not be noted, so nothing was sent, or nobody knows what it has. */
    FAILED;

    boolean open() {
      return this == WAITING || this == WORKING;
    }
  }

  GivingStep now(Progress next, String words) {
    return new GivingStep(controller, tag, next, words);
  }
}
