package hamper.server.store;

import hamper.edit.Edit;
import hamper.edit.Restore;
import java.time.Instant;

/**
 * One line of the edit log.
 *
 * @param version that it led to
 * @param by the name that the window said; empty where it said none
 * @param label of what was done, undone or done again
 */
public record LogEntry(
    int version, String by, Kind kind, String label, Edit edit, Restore inverse) {
  /** What a line of the log did. */
  public enum Kind {
    EDIT,
    UNDO,
    REDO
  }

  /** A line without its content. */
  public record Head(int version, Instant at, String by, Kind kind, String label) {}
}
