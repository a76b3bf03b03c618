package hamper.server.live;

import hamper.check.Facts;
import hamper.display.Plan;
import hamper.edit.Edit;
import hamper.server.store.DisplayStore;
import hamper.server.store.LogEntry;
import hamper.value.RefusedException;
import java.util.List;
import java.util.Optional;

/**
 * A display in memory, and its one door for edits: they are applied, stored and acknowledged one
 * after another.
 */
public final class LiveDisplay {
  private final String id;
  private final DisplayStore store;
  private final UndoLine undoLine = new UndoLine();
  private Facts facts;
  private int version;

  LiveDisplay(String id, DisplayStore store, Plan plan, int version) {
    this.id = id;
    this.store = store;
    this.facts = Facts.of(plan);
    this.version = version;
    store.log(id).forEach(undoLine::follow);
  }

  public String id() {
    return id;
  }

  /** A consistent look: facts, version and what undo would do. */
  public synchronized Look look() {
    return new Look(
        facts,
        version,
        undoLine.nextUndo().map(LogEntry.Head::label),
        undoLine.nextRedo().map(LogEntry.Head::label));
  }

  /** What a look shows. */
  public record Look(
      Facts facts, int version, Optional<String> undoLabel, Optional<String> redoLabel) {}

  /**
   * @throws StaleVersionException where the edit was made on an older version
   * @throws RefusedException where it cannot be
   */
  public synchronized Step edit(int madeOn, Edit edit) {
    checkVersion(madeOn);
    return apply(edit, LogEntry.Kind.EDIT, edit.label(facts.plan()));
  }

  /** Takes the latest edit back. */
  public synchronized Step undo(int madeOn) {
    checkVersion(madeOn);
    return again(undoLine.nextUndo(), LogEntry.Kind.UNDO, "undo");
  }

  /** Does the latest undone edit again. */
  public synchronized Step redo(int madeOn) {
    checkVersion(madeOn);
    return again(undoLine.nextRedo(), LogEntry.Kind.REDO, "redo");
  }

  private Step again(Optional<LogEntry.Head> head, LogEntry.Kind kind, String verb) {
    LogEntry.Head line =
        head.orElseThrow(
            () -> new RefusedException(verb, "nothing", "there is nothing to " + verb));
    return apply(store.inverse(id, line.version()), kind, line.label());
  }

  private Step apply(Edit edit, LogEntry.Kind kind, String label) {
    Plan plan = facts.plan();
    Edit.Applied applied = edit.applyTo(plan);
    Facts after = facts.with(applied.plan());
    LogEntry entry = new LogEntry(version + 1, kind, label, edit, applied.inverse());
    store.save(id, plan.display(), applied.plan().display(), entry);
    Step step = new Step(version, version + 1, label, facts, after);
    facts = after;
    version++;
    undoLine.follow(new LogEntry.Head(version, kind, label));
    return step;
  }

  private void checkVersion(int madeOn) {
    if (madeOn != version) {
      List<String> since =
          store.log(id).stream()
              .filter(line -> line.version() > madeOn)
              .map(
                  line -> line.kind() == LogEntry.Kind.UNDO ? "undo " + line.label() : line.label())
              .toList();
      throw new StaleVersionException(madeOn, version, since);
    }
  }
}
