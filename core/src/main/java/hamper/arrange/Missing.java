package hamper.arrange;

import hamper.display.Plan;
import hamper.edit.Edit;
import hamper.edit.Together;
import hamper.facts.Facts;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What would have to be changed so that pieces fit that fit nowhere: another mode of a controller,
 * a string cut in parts, or one more controller where they are. Each change is tried before it is
 * told.
 */
public final class Missing {
  /** Changes that are made one after the other, at most, where no single one is enough. */
  private static final int MOST_TOGETHER = 4;

  /** Changes that are told beside each other. */
  private static final int MOST_TOLD = 3;

  /**
   * A change, or several together.
   *
   * @param told in words
   * @param fit how many more pieces have a place then
   * @param left how many have none even then
   */
  public record Addition(String told, Edit edit, int fit, int left) {}

  private final Set<String> others;
  private final Aim aim;

  private Missing(Plan plan, Set<String> wanted, Aim aim) {
    this.aim = aim;
    others = new HashSet<>(Arrange.all(plan));
    others.removeAll(wanted);
  }

  /**
   * The fewest changes: single ones where any is enough, else one after the other.
   *
   * @param wanted ids of pieces, of which some fit nowhere
   * @return none where nothing helps
   */
  public static List<Addition> of(Facts facts, Set<String> wanted, Aim aim) {
    return new Missing(facts.plan(), wanted, aim).remedies(facts);
  }

  private List<Addition> remedies(Facts facts) {
    Proposal now = Arrange.of(facts, Asked.of(wanted(facts.plan()), aim));
    if (now.left().isEmpty()) {
      return List.of();
    }
    List<Addition> single = tried(facts, now);
    List<Addition> enough = single.stream().filter(one -> one.left() == 0).toList();
    if (!enough.isEmpty() || single.isEmpty()) {
      return enough.stream().limit(MOST_TOLD).toList();
    }
    return List.of(oneAfterTheOther(facts, now, single));
  }

  private Addition oneAfterTheOther(Facts facts, Proposal first, List<Addition> single) {
    List<Edit> edits = new ArrayList<>();
    List<String> told = new ArrayList<>();
    Facts changed = facts;
    Proposal now = first;
    List<Addition> known = single;
    while (edits.size() < MOST_TOGETHER && !now.left().isEmpty()) {
      Optional<Addition> next = asBefore(changed, now, known);
      if (next.isEmpty()) {
        known = tried(changed, now);
        next = known.stream().findFirst();
      }
      if (next.isEmpty()) {
        break;
      }
      edits.add(next.get().edit());
      told.add(next.get().told());
      changed = changed.with(next.get().edit().applyTo(changed.plan()).plan());
      now = Arrange.of(changed, Asked.of(wanted(changed.plan()), aim));
    }
    String title = String.join("; ", told);
    String shortened = "%d changes so that all fits".formatted(edits.size());
    return new Addition(
        title,
        edits.size() == 1 ? edits.get(0) : new Together(shortened, edits),
        first.left().size() - now.left().size(),
        now.left().size());
  }

  /**
   * The best of those that helped before, if it helps as much now: others hardly help more than
   * they did, and need not all be tried again.
   */
  private Optional<Addition> asBefore(Facts facts, Proposal now, List<Addition> known) {
    List<Helpful.Candidate> all = helpful(facts, now).alone().flatMap(List::stream).toList();
    return known.stream()
        .flatMap(
            before ->
                all.stream()
                    .filter(one -> one.told().equals(before.told()))
                    .flatMap(one -> tried(facts, now, one).stream())
                    .filter(again -> again.fit() >= before.fit()))
        .findFirst();
  }

  private static Helpful helpful(Facts facts, Proposal now) {
    Plan plan = facts.plan();
    return new Helpful(
        plan, now.left().stream().map(one -> plan.existingPiece(one.piece())).toList());
  }

  /** Those that help, the most helpful first; a mode before a device that has to be bought. */
  private List<Addition> tried(Facts facts, Proposal now) {
    Helpful helpful = helpful(facts, now);
    List<Addition> helping = tried(facts, now, helpful.alone());
    return helping.isEmpty() ? tried(facts, now, helpful.withCuts()) : helping;
  }

  private List<Addition> tried(
      Facts facts, Proposal now, Stream<List<Helpful.Candidate>> candidates) {
    return candidates
        .flatMap(ways -> ways.stream().flatMap(one -> tried(facts, now, one).stream()).limit(1))
        .sorted(Comparator.comparingInt(Addition::left))
        .toList();
  }

  private Optional<Addition> tried(Facts facts, Proposal now, Helpful.Candidate candidate) {
    return Helpful.after(facts.plan(), candidate.edit())
        .map(plan -> Arrange.once(facts.with(plan), wanted(plan), aim).left().size())
        .filter(left -> left < now.left().size())
        .map(
            left ->
                new Addition(candidate.told(), candidate.edit(), now.left().size() - left, left));
  }

  /** What is to be hung of a plan: what was asked for, and what a change made of it. */
  private Set<String> wanted(Plan plan) {
    return Arrange.all(plan).stream()
        .filter(piece -> !others.contains(piece))
        .collect(Collectors.toSet());
  }
}
