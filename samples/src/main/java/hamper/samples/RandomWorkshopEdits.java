package hamper.samples;

import hamper.display.Plan;
import hamper.display.Tag;
import hamper.display.Tagged;
import hamper.edit.Change;
import hamper.edit.Edit;
import hamper.edit.GiveTags;
import hamper.edit.SetStock;
import hamper.edit.SetTag;
import hamper.edit.SetWorkshop;
import java.util.List;
import java.util.Random;

/** What the workshop does at random. It draws for itself, so that other edits stay as they are. */
public final class RandomWorkshopEdits {
  private static final List<String> ARTICLES = List.of("Fuse 5 A", "Cable 18 AWG");

  private final Random random;

  public RandomWorkshopEdits(long seed) {
    random = new Random(seed);
  }

  /** Another edit that a plan with strings takes. */
  public Edit next(Plan plan) {
    return switch (random.nextInt(4)) {
      case 0 -> new SetWorkshop(Change.to(random.nextInt(30)), Change.stays());
      case 1 -> new SetStock(ARTICLES.get(random.nextInt(2)), 1 + random.nextInt(100));
      case 2 -> setTag(plan);
      default -> new GiveTags();
    };
  }

  private Edit setTag(Plan plan) {
    List<Tag.On> things = List.copyOf(Tagged.things(plan).keySet());
    if (things.isEmpty()) {
      return new GiveTags();
    }
    Tag.On on = things.get(random.nextInt(things.size()));
    boolean takenOff = random.nextInt(3) == 0;
    String text = "RED-" + random.nextInt(1_000_000);
    return new SetTag(on, takenOff ? Change.none() : Change.to(text));
  }
}
