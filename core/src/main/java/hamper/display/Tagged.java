package hamper.display;

import hamper.catalog.Banks;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;

/** What of a plan can have a tag: strings, cables that lead to them, cables of banks. */
public final class Tagged {
  private Tagged() {}

  /** With their names: strings as props have them, then cables along the wires. */
  public static Map<Tag.On, String> things(Plan plan) {
    Map<Tag.On, String> all = new LinkedHashMap<>();
    for (Prop prop : plan.display().props()) {
      for (Piece piece : prop.pieces()) {
        if (piece instanceof PixelString) {
          all.put(Tag.On.string(piece.id()), prop.titleOf(piece));
        }
      }
    }
    for (Controller controller : plan.display().controllers()) {
      for (BankCable cable : controller.cables()) {
        all.put(Tag.On.bank(controller.id(), cable), bank(controller, cable.bank(), cable.box()));
      }
      for (HungRun run : plan.runsOf(controller)) {
        for (HungLeg leg : run.legs()) {
          if (run.cableTo(leg, plan).metres() > 0) {
            all.put(Tag.On.cable(leg.at().piece().id()), "cable to " + leg.at().title());
          }
        }
      }
    }
    return all;
  }

  /** The tags of leads, which stand with their feeds, by what they are on. */
  public static Map<Tag.On, String> leads(Plan plan) {
    Map<Tag.On, String> all = new LinkedHashMap<>();
    eachFeed(
        plan,
        (on, feed) -> {
          if (feed.tag().isPresent()) {
            all.put(on, feed.tag().get());
          }
        });
    return all;
  }

  /** Strings, cables and leads without a tag. */
  public static int untagged(Plan plan) {
    Map<Tag.On, String> known = plan.display().workshop().byThing();
    int[] count = {0};
    things(plan).keySet().forEach(on -> count[0] += known.containsKey(on) ? 0 : 1);
    eachFeed(plan, (on, feed) -> count[0] += feed.tag().isPresent() ? 0 : 1);
    return count[0];
  }

  /** The display with a tag on each string, cable and lead that has none. */
  public static Display withAll(Plan plan) {
    Display display = plan.display();
    Set<String> onLeads = new HashSet<>(leads(plan).values());
    Workshop given = display.workshop().withTagsFor(things(plan), onLeads);
    Set<String> taken = new HashSet<>(onLeads);
    given.tags().forEach(tag -> taken.add(tag.text()));
    int[] last = {given.lastTag()};
    List<Controller> controllers =
        display.controllers().stream()
            .map(
                controller ->
                    controller.withRuns(
                        controller.runs().stream()
                            .map(
                                run ->
                                    run.withLegs(
                                        run.legs().stream()
                                            .map(leg -> tagged(leg, last, taken))
                                            .toList()))
                            .toList()))
            .toList();
    return display.withControllers(controllers).withWorkshop(given.withLastTag(last[0]));
  }

  private static Leg tagged(Leg leg, int[] last, Set<String> taken) {
    if (leg.feeds().stream().allMatch(feed -> feed.tag().isPresent())) {
      return leg;
    }
    List<Feed> feeds = new ArrayList<>();
    for (Feed feed : leg.feeds()) {
      if (feed.tag().isPresent()) {
        feeds.add(feed);
      } else {
        last[0] = Workshop.free(Tag.Kind.LEAD, last[0], taken);
        feeds.add(feed.withTag(Tag.text(Tag.Kind.LEAD, last[0])));
      }
    }
    return leg.withFeeds(feeds);
  }

  private static void eachFeed(Plan plan, BiConsumer<Tag.On, Feed> visitor) {
    for (Controller controller : plan.display().controllers()) {
      for (Run run : controller.runs()) {
        for (Leg leg : run.legs()) {
          for (int i = 0; i < leg.feeds().size(); i++) {
            visitor.accept(Tag.On.lead(leg.piece(), i), leg.feeds().get(i));
          }
        }
      }
    }
  }

  /** How a thing is called. */
  public static String nameOf(Plan plan, Tag.On on) {
    return switch (on.kind()) {
      case STRING -> plan.existingPiece(on.of()).title();
      case CABLE -> "cable to " + plan.existingPiece(on.of()).title();
      case LEAD -> "lead %d of %s".formatted(on.bank().get(), plan.existingPiece(on.of()).title());
      case BANK ->
          "%s bank %d, box %d"
              .formatted(plan.existingController(on.of()).tag(), on.bank().get(), on.box().get());
    };
  }

  private static String bank(Controller controller, int bank, int box) {
    return "%s bank %d, box %s".formatted(controller.tag(), bank, Banks.letter(box));
  }
}
