package hamper.server.handover;

import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.handover.SeenRight;
import hamper.progress.Claim;
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
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
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
  public synchronized void reach(
      String display, Facts facts, Collection<String> pieces, Stage stage, String by) {
    Map<String, Progress.StringAt> known = of(display, facts).byPiece();
    pieces.forEach(piece -> existing(known, piece));
    pieces.forEach(
        piece -> {
          Progress.StringAt now = known.get(piece);
          hangs(now.title(), now.port().isPresent(), stage);
        });
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
  public synchronized void happened(
      String display, Facts facts, Collection<String> pieces, What what, String by) {
    Map<String, Progress.StringAt> known = of(display, facts).byPiece();
    pieces.forEach(piece -> existing(known, piece));
    if (what instanceof Stored) {
      trials.mark(display, List.of(), pieces);
    }
    add(display, pieces, by, piece -> what);
  }

  /**
   * A claim under the name that it was given where it was said, by which it is known when it is
   * sent once more.
   *
   * @param fingerprint of the string as it was looked at, where it is said to be seen right
   */
  public record Said(String id, Claim claim, Optional<String> fingerprint) {}

  /**
   * What somebody says who may have been out of reach since.
   *
   * @param said claims that are possible
   * @return what became of each, by its name
   */
  public synchronized Map<String, Claim.Verdict> claim(
      String display, Facts facts, List<Said> said) {
    Map<String, Claim.Verdict> verdicts = new HashMap<>();
    Set<String> sent = store.known(display, said.stream().map(Said::id).toList());
    List<Said> left = new ArrayList<>();
    for (Said one : said) {
      if (sent.contains(one.id())) {
        verdicts.put(one.id(), Claim.Verdict.AGREED);
      } else {
        left.add(one);
      }
    }
    while (!left.isEmpty()) {
      // of each string one at a time: the next is held against what the one before it came to
      Map<String, Said> round = new LinkedHashMap<>();
      left.forEach(one -> round.putIfAbsent(one.claim().fact().piece(), one));
      left.removeAll(round.values());
      left.removeIf(one -> round.values().stream().anyMatch(now -> now.id().equals(one.id())));
      verdicts.putAll(round(display, facts, round));
    }
    seasons.tell(display);
    return verdicts;
  }

  private Map<String, Claim.Verdict> round(String display, Facts facts, Map<String, Said> round) {
    Map<String, Progress.StringAt> now = of(display, facts).byPiece();
    Map<String, List<StringFact>> known =
        store.facts(display).stream().collect(Collectors.groupingBy(StringFact::piece));
    Map<String, Claim.Verdict> verdicts = new HashMap<>();
    List<Said> taken = new ArrayList<>();
    round.forEach(
        (piece, one) -> {
          List<StringFact> before = known.getOrDefault(piece, List.of());
          Claim claim = one.claim().inOrder(before);
          Claim.Verdict verdict = claim.against(now.get(piece), before);
          verdicts.put(one.id(), verdict);
          if (verdict == Claim.Verdict.TAKEN) {
            taken.add(new Said(one.id(), claim, one.fingerprint()));
          }
        });
    mark(display, taken);
    store.addSaid(
        display,
        taken.stream()
            .map(one -> new ProgressStore.Said(Optional.of(one.id()), one.claim().fact()))
            .toList());
    return verdicts;
  }

  /** What was seen right is marked so; what was taken back, or reached less, is not any more. */
  private void mark(String display, List<Said> taken) {
    List<SeenRight> seen = new ArrayList<>();
    List<String> unseen = new ArrayList<>();
    for (Said one : taken) {
      StringFact fact = one.claim().fact();
      if (fact.what() instanceof Reached reached) {
        if (reached.stage() == Stage.SEEN_RIGHT) {
          seen.add(new SeenRight(fact.piece(), fact.at(), fact.by(), one.fingerprint().orElse("")));
        } else {
          unseen.add(fact.piece());
        }
      }
    }
    trials.mark(display, seen, unseen);
  }

  /**
   * @throws RefusedException where the plan has no such string, or one that hangs nowhere is said
   *     to be plugged in
   */
  public void checkPossible(Plan plan, Claim claim) {
    StringFact fact = claim.fact();
    String piece = fact.piece();
    PieceAt at =
        plan.piece(piece)
            .filter(one -> one.piece() instanceof PixelString)
            .orElseThrow(() -> unknown(piece));
    if (fact.what() instanceof Reached reached && !claim.back()) {
      hangs(at.title(), plan.leg(piece).isPresent(), reached.stage());
    }
  }

  private static void hangs(String title, boolean hangs, Stage stage) {
    Require.that(
        hangs || stage.compareTo(Stage.PLUGGED_IN) < 0,
        "pieces",
        title,
        "it hangs on no port of the plan yet; patch it first");
  }

  private void add(
      String display, Collection<String> pieces, String by, Function<String, What> what) {
    Instant at = Instant.now();
    store.add(
        display,
        pieces.stream().map(piece -> new StringFact(piece, at, by, what.apply(piece))).toList());
    seasons.tell(display);
  }

  private static void existing(Map<String, Progress.StringAt> known, String piece) {
    if (!known.containsKey(piece)) {
      throw unknown(piece);
    }
  }

  private static RefusedException unknown(String piece) {
    return new RefusedException(
        "pieces", Require.quoted(piece), "no string of this display has this id");
  }
}
