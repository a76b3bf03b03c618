package hamper.server.live;

import hamper.catalog.Catalog;
import hamper.change.Difference;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.edit.Edit;
import hamper.edit.Restore;
import hamper.facts.Facts;
import hamper.server.store.DisplayStore;
import hamper.server.store.LogEntry;
import hamper.server.store.StorageFailedException;
import hamper.still.KeepStill;
import hamper.still.Kept;
import hamper.value.RefusedException;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A display in memory, and its one door for edits: they are applied, stored and acknowledged one
 * after another.
 */
public final class LiveDisplay {
  /** Most steps that a refusal for an old version names, the latest. */
  private static final int MOST_TOLD = 20;

  private final String id;
  private final DisplayStore store;
  private final Catalog catalog;
  private UndoLine undoLine;
  private RecentWrites recent;
  private Facts facts;
  private int version;

  /** Whether the store failed in the middle of a step, so that the file may be one further. */
  private boolean uncertain;

  private LiveDisplay(String id, DisplayStore store, Catalog catalog) {
    this.id = id;
    this.store = store;
    this.catalog = catalog;
    read();
  }

  static LiveDisplay open(String id, DisplayStore store, Catalog catalog) {
    return new LiveDisplay(id, store, catalog);
  }

  private void read() {
    DisplayStore.Stored stored = store.read(id);
    UndoLine line = new UndoLine();
    store.log(id).forEach(line::follow);
    facts = Facts.of(new Plan(stored.display(), catalog));
    version = stored.version();
    recent = new RecentWrites();
    undoLine = line;
    uncertain = false;
  }

  public String id() {
    return id;
  }

  /**
   * A consistent look: facts, version and what undo would do. While the disk cannot be read it is
   * what was last known to be stored.
   */
  public synchronized Look look() {
    if (uncertain) {
      try {
        read();
      } catch (StorageFailedException e) {
        // looking goes on; the next edit says what is wrong
      }
    }
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
   * The steps to walk back and forth over.
   *
   * @param undo what can be taken back, the latest first
   * @param redo what can be made again, the next first
   */
  public record History(int version, List<LogEntry.Head> undo, List<LogEntry.Head> redo) {}

  /**
   * @param most of each
   */
  public synchronized History history(int most) {
    return new History(version, undoLine.undos(most), undoLine.redos(most));
  }

  /** What is made of a step before it is stored; where that fails, nothing is stored. */
  public interface Before {
    void storing(Facts before, Facts after);

    /** The name that the window said; empty where it said none. */
    default String by() {
      return "";
    }

    /** Whether starts may move outside the edit where they have to, though they keep still. */
    default boolean startsMayMove() {
      return true;
    }
  }

  /**
   * Makes an edit that may have been made on an older version, as long as nothing that was done
   * since then writes what it writes.
   *
   * @throws StaleVersionException where something does
   * @throws RefusedException where it cannot be
   * @throws StorageFailedException where it is not known to be stored
   */
  public synchronized Step edit(int madeOn, Edit edit, Before before) {
    settle();
    if (madeOn == version) {
      return apply(edit, LogEntry.Kind.EDIT, edit.label(facts.plan()), before);
    }
    try {
      checkOverlap(madeOn, edit);
      return apply(edit, LogEntry.Kind.EDIT, edit.label(facts.plan()), before);
    } catch (RefusedException e) {
      // what it was made for is not there any more
      throw new StaleVersionException(madeOn, version, since(madeOn), List.of());
    }
  }

  /** Makes an edit that was made of the whole display as it was at a version, and only then. */
  public synchronized Step editExactly(int madeOn, Edit edit, Before before) {
    checkVersion(madeOn);
    return apply(edit, LogEntry.Kind.EDIT, edit.label(facts.plan()), before);
  }

  private void checkOverlap(int madeOn, Edit edit) {
    Display now = facts.plan().display();
    Difference writes = Difference.between(now, edit.change(facts.plan()));
    List<RecentWrites.Written> since =
        recent
            .since(madeOn)
            .orElseThrow(
                () -> new StaleVersionException(madeOn, version, since(madeOn), List.of()));
    for (RecentWrites.Written step : since) {
      List<String> both =
          step.relative() && edit.relative() ? List.of() : writes.overlap(step.difference());
      if (!both.isEmpty()) {
        List<StaleVersionException.Overlap> overlaps =
            both.stream()
                .limit(MOST_TOLD)
                .map(path -> new StaleVersionException.Overlap(path, Difference.words(path, now)))
                .toList();
        throw new StaleVersionException(madeOn, version, since(madeOn), overlaps);
      }
    }
  }

  /** Takes the latest edit back. */
  public synchronized Step undo(int madeOn, Before before) {
    checkVersion(madeOn);
    return again(undoLine.nextUndo(), LogEntry.Kind.UNDO, before);
  }

  /** Does the latest undone edit again. */
  public synchronized Step redo(int madeOn, Before before) {
    checkVersion(madeOn);
    return again(undoLine.nextRedo(), LogEntry.Kind.REDO, before);
  }

  private Step again(Optional<LogEntry.Head> head, LogEntry.Kind kind, Before before) {
    String verb = kind.name().toLowerCase(Locale.ROOT);
    LogEntry.Head line =
        head.orElseThrow(
            () -> new RefusedException(verb, "nothing", "there is nothing to " + verb));
    return apply(store.inverse(id, line.version()), kind, line.label(), before);
  }

  private Step apply(Edit edit, LogEntry.Kind kind, String label, Before before) {
    Plan plan = facts.plan();
    Edit made = kind == LogEntry.Kind.EDIT ? still(edit, before) : edit;
    Edit.Applied applied = made.applyTo(plan);
    Facts after = facts.with(applied.plan());
    before.storing(facts, after);
    save(
        plan,
        applied,
        new LogEntry(version + 1, before.by(), kind, label, made, applied.inverse()));
    Step step = new Step(version, version + 1, label, facts, after);
    facts = after;
    version++;
    recent.add(
        new RecentWrites.Written(
            version,
            label,
            edit.relative(),
            Difference.between(plan.display(), applied.plan().display())));
    undoLine.follow(new LogEntry.Head(version, Instant.now(), before.by(), kind, label));
    return step;
  }

  /** The edit with the holds that leave other starts where they are, where they keep still. */
  private Edit still(Edit edit, Before before) {
    if (!keepsStill(facts.plan(), edit)) {
      return edit;
    }
    Kept kept = KeepStill.of(facts.plan(), facts.resolution(), edit);
    if (!kept.moving().isEmpty() && !before.startsMayMove()) {
      throw new StartsMoveException(kept);
    }
    return kept.edit();
  }

  /** Whether an edit of a plan is made so that other starts stay where they are. */
  public static boolean keepsStill(Plan plan, Edit edit) {
    // what brings back an earlier state brings back its starts
    return plan.display().settings().still() && !(edit instanceof Restore);
  }

  private void save(Plan plan, Edit.Applied applied, LogEntry entry) {
    try {
      store.save(id, plan.display(), applied.plan().display(), entry);
    } catch (StorageFailedException e) {
      uncertain = true;
      throw e;
    }
  }

  private void checkVersion(int madeOn) {
    settle();
    if (madeOn != version) {
      throw new StaleVersionException(madeOn, version, since(madeOn), List.of());
    }
  }

  private void settle() {
    if (uncertain) {
      read();
    }
  }

  private List<String> since(int madeOn) {
    return store.log(id, Math.max(madeOn, version - MOST_TOLD)).stream()
        .map(line -> line.kind() == LogEntry.Kind.UNDO ? "undo " + line.label() : line.label())
        .toList();
  }
}
