package hamper.server.live;

import hamper.still.Kept;

/** Starts keep still, and an edit cannot be made without moving some: somebody has to say so. */
public final class StartsMoveException extends RuntimeException {
  private final transient Kept kept;

  StartsMoveException(Kept kept) {
    super(
        "%d %s outside the edit %s to move by it, %d channels in all"
            .formatted(
                kept.moving().size(),
                kept.moving().size() == 1 ? "start" : "starts",
                kept.moving().size() == 1 ? "has" : "have",
                kept.with()));
    this.kept = kept;
  }

  /** What moves, and why. */
  public Kept kept() {
    return kept;
  }
}
