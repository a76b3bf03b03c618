package hamper.arrange;

/** Whoever waits for a proposal: is told how far it is, and may stop it. */
@FunctionalInterface
public interface Progress {
  /** What is being done. */
  enum Phase {
    /** Pieces get a first place. */
    HANGING,
    /** Pieces are looked at again for a better place. */
    MOVING,
    /** What hangs is checked; what is wrong is tried elsewhere. */
    CHECKING,
    /** Room is made: for what is left, or by emptying controllers with little on them. */
    MAKING_ROOM
  }

  /** Nobody waits. */
  Progress NONE = (phase, done, of) -> true;

  /**
   * Counts steps, not time.
   *
   * @param done steps of the phase
   * @param of how many; 0 where nobody knows
   * @return whether to go on; once not, the proposal is what there is by then, without what is
   *     wrong
   */
  boolean at(Phase phase, int done, int of);
}
