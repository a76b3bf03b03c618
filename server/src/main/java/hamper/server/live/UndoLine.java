package hamper.server.live;

import hamper.server.store.LogEntry;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/**
 * What can be undone and redone, worked out from the log: it belongs to the display, not to a
 * window.
 */
final class UndoLine {
  private final Deque<LogEntry.Head> undo = new ArrayDeque<>();
  private final Deque<LogEntry.Head> redo = new ArrayDeque<>();

  /** Follows one more line of the log. */
  void follow(LogEntry.Head head) {
    switch (head.kind()) {
      case EDIT -> {
        undo.push(head);
        redo.clear();
      }
      case UNDO -> {
        undo.pop();
        redo.push(head);
      }
      case REDO -> {
        redo.pop();
        undo.push(head);
      }
    }
  }

  /** What can be taken back, the latest first. */
  List<LogEntry.Head> undos(int most) {
    return undo.stream().limit(most).toList();
  }

  /** What can be made again, the next first. */
  List<LogEntry.Head> redos(int most) {
    return redo.stream().limit(most).toList();
  }

  /** The line whose inverse undoes the latest edit. */
  Optional<LogEntry.Head> nextUndo() {
    return Optional.ofNullable(undo.peek());
  }

  /** The line whose inverse repeats the latest undone edit. */
  Optional<LogEntry.Head> nextRedo() {
    return Optional.ofNullable(redo.peek());
  }
}
