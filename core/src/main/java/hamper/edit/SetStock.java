package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.Require;

/**
 * Says how much of an article is in stock.
 *
 * @param article as the shopping list calls it
 * @param count pieces, of cable metres; 0: none
 */
public record SetStock(String article, int count) implements Edit {
  public SetStock {
    Require.text("article", article, 200);
    Require.that(!article.isBlank(), "article", "nothing", "name it as the shopping list does");
    Require.inRange("count", count, 0, 1_000_000);
  }

  @Override
  public Display change(Plan plan) {
    Display display = plan.display();
    return display.withWorkshop(display.workshop().withStock(article, count));
  }

  @Override
  public String label(Plan plan) {
    return "%s: %d in stock".formatted(article, count);
  }
}
