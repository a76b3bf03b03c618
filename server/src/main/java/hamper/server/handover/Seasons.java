package hamper.server.handover;

import hamper.catalog.Catalog;
import hamper.change.Comparison;
import hamper.change.ToldDifference;
import hamper.display.Plan;
import hamper.handover.HandoverFact;
import hamper.handover.Milestone;
import hamper.handover.Season;
import hamper.resolve.Resolver;
import hamper.server.store.HandoverStore;
import hamper.server.store.MilestoneStore;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArraySet;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/**
 * What is known beside each display's plan; facts become part of it once they are stored. Read when
 * first asked for.
 */
@Component
public class Seasons {
  private final HandoverStore facts;
  private final MilestoneStore milestones;
  private final Catalog catalog;
  private final Map<String, Season> seasons = new ConcurrentHashMap<>();
  private final Set<Consumer<String>> followers = new CopyOnWriteArraySet<>();

  public Seasons(HandoverStore facts, MilestoneStore milestones, Catalog catalog) {
    this.facts = facts;
    this.milestones = milestones;
    this.catalog = catalog;
  }

  /**
   * @param display its id
   */
  public Season of(String display) {
    return seasons.computeIfAbsent(
        display, id -> Season.of(facts.latest(id), frozen(milestones.list(id), id)));
  }

  private Optional<Season.Frozen> frozen(List<MilestoneStore.MilestoneHead> all, String display) {
    return all.isEmpty()
        ? Optional.empty()
        : milestones.find(display, all.get(all.size() - 1).id()).map(this::frozen);
  }

  private Season.Frozen frozen(Milestone milestone) {
    return new Season.Frozen(milestone.name(), side(milestone));
  }

  /** A milestone with its addresses. */
  public Comparison.Side side(Milestone milestone) {
    Plan plan = new Plan(milestone.display(), catalog);
    return new Comparison.Side(plan, Resolver.resolve(plan));
  }

  /** Whether a controller was handed anything, or somebody tried. */
  public boolean knows(String display, String controller) {
    return of(display).of(controller).isPresent();
  }

  /** Serial numbers of units that were given a configuration, by the id of the controller. */
  public Map<String, String> serials(String display) {
    Map<String, String> serials = new HashMap<>();
    of(display)
        .handed()
        .forEach((id, handed) -> handed.serial().ifPresent(serial -> serials.put(id, serial)));
    return serials;
  }

  /** What a device was given before what it was given last; empty where nothing else. */
  public Optional<HandoverFact> before(String display, String controller) {
    List<HandoverFact> given = facts.given(display, controller);
    return given.stream()
        .filter(
            one -> !ToldDifference.between(one.told().get(), given.get(0).told().get()).isNone())
        .findFirst();
  }

  /**
   * Adds a fact.
   *
   * @throws hamper.server.store.StorageFailedException where it is not known to be stored
   */
  public void add(String display, HandoverFact fact) {
    synchronized (this) {
      Season before = of(display);
      facts.add(display, fact);
      seasons.put(display, before.with(fact));
    }
    tell(display);
  }

  /** Sets or forgets milestones. */
  public void change(String display, Consumer<MilestoneStore> change) {
    synchronized (this) {
      Season before = of(display);
      change.accept(milestones);
      seasons.put(display, before.withMilestone(frozen(milestones.list(display), display)));
    }
    tell(display);
  }

  /** Something beside the plan changed: whoever follows is told of the display. */
  public void tell(String display) {
    followers.forEach(one -> one.accept(display));
  }

  /** Tells somebody of every change, by the id of the display. */
  public void follow(Consumer<String> follower) {
    followers.add(follower);
  }
}
