package hamper.server.handover;

import hamper.facts.Facts;
import hamper.handover.SeenRight;
import hamper.progress.Progress;
import hamper.progress.Stage;
import hamper.progress.StringFact;
import hamper.progress.StringFact.Reached;
import hamper.progress.StringFact.Stored;
import hamper.progress.StringFact.What;
import hamper.server.store.ProgressStore;
import hamper.server.store.TrialStore;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Where each string is: what happened to it, and whether anybody saw it right. */
@Component
public class StringProgress {
  private final ProgressStore store;
  private final TrialStore trials;
  private final Seasons seasons;

  public StringProgress(ProgressStore store, TrialStore trials, Seasons seasons) {
    this.store = store;
    this.trials = trials;
    this.seasons = seasons;
  }

  /**
   * @param display its id
   */
  public Progress of(String display, Facts facts) {
    Map<String, String> now = SeenRight.fingerprints(facts);
    Set<String> seen =
        trials.seen(display).stream()
            .filter(one -> one.holds(now))
            .map(SeenRight::piece)
            .collect(Collectors.toSet());
    return Progress.of(facts.plan(), store.facts(display), seen);
  }

  /** What happened to a string, the latest first. */
  public List<StringFact> history(String display, String piece) {
    return store.history(display, piece);
  }

  /**
   * Strings reached a stage, or were taken back to it.
   *
   * @param by who says so; of what was seen right it has to be somebody
   * @throws RefusedException where the plan has no such string, or it hangs on no port and would
   *     have to
   */
  public void reach(
      String display, Facts facts, Collection<String> pieces, Stage stage, String by) {
    Map<String, Progress.StringAt> known = of(display, facts).byPiece();
    pieces.forEach(piece -> existing(known, piece));
    if (stage.compareTo(Stage.PLUGGED_IN) >= 0) {
      pieces.forEach(
          piece ->
              Require.that(
                  known.get(piece).port().isPresent(),
                  "pieces",
                  known.get(piece).title(),
                  "it hangs on no port of the plan yet; patch it first"));
    }
    if (stage == Stage.SEEN_RIGHT) {
      see(display, facts, pieces, by);
    } else {
      trials.mark(display, List.of(), pieces);
    }
    add(
        display,
        pieces,
        by,
        piece -> new Reached(stage, known.get(piece).port().map(Progress::key)));
  }

  private void see(String display, Facts facts, Collection<String> pieces, String by) {
    Require.that(!by.isEmpty(), "by", "nobody", "say who stood there: the mark is a person's word");
    Map<String, String> now = SeenRight.fingerprints(facts);
    Instant at = Instant.now();
    trials.mark(
        display,
        pieces.stream().map(piece -> new SeenRight(piece, at, by, now.get(piece))).toList(),
        List.of());
  }

  /** Something else happened to strings: trouble, its end, or that they were put away. */
  public void happened(
      String display, Facts facts, Collection<String> pieces, What what, String by) {
    Map<String, Progress.StringAt> known = of(display, facts).byPiece();
    pieces.forEach(piece -> existing(known, piece));
    if (what instanceof Stored) {
      trials.mark(display, List.of(), pieces);
    }
    add(display, pieces, by, piece -> what);
  }

  private void add(
      String display,
      Collection<String> pieces,
      String by,
      java.util.function.Function<String, What> what) {
    Instant at = Instant.now();
    store.add(
        display,
        pieces.stream().map(piece -> new StringFact(piece, at, by, what.apply(piece))).toList());
    seasons.tell(display);
  }

  private static void existing(Map<String, Progress.StringAt> known, String piece) {
    if (!known.containsKey(piece)) {
      throw new RefusedException(
          "pieces", Require.quoted(piece), "no string of this display has this id");
    }
  }
}
