package hamper.display;

import hamper.value.RecordShape;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the workshop goes by: tags, spares and stock.
 *
 * @param sparesPercent of what is bought by the piece; left out: {@link #USUAL_SPARES}
 * @param allowancePercent of cable, for knots and detours; left out: {@link #USUAL_ALLOWANCE}
 * @param stock what is there already, by article
 * @param lastTag the highest number that was ever given; no number is given twice
 * @param tags in the order in which they were given
 */
public record Workshop(
    Optional<Integer> sparesPercent,
    Optional<Integer> allowancePercent,
    List<Stock> stock,
    int lastTag,
    List<Tag> tags) {
  /** A rule of thumb (percent). */
  public static final int USUAL_SPARES = 5;

  /** A rule of thumb (percent). */
  public static final int USUAL_ALLOWANCE = 10;

  private static final int MOST_TAGS = 200_000;

  public static final Workshop NONE =
      new Workshop(Optional.empty(), Optional.empty(), List.of(), 0, List.of());

  /**
   * @param article as the shopping list calls it
   * @param count pieces, of cable metres
   */
  public record Stock(String article, int count) {
    public Stock {
      Require.text("article", article, 200);
      Require.inRange("count", count, 1, 1_000_000);
    }
  }

  public Workshop {
    Require.inRange("sparesPercent", sparesPercent, 0, 200);
    Require.inRange("allowancePercent", allowancePercent, 0, 200);
    stock = List.copyOf(stock);
    tags = List.copyOf(tags);
    Require.inRange("stock", stock.size(), 0, 10_000);
    Require.inRange("lastTag", lastTag, 0, 10_000_000);
    Require.inRange("tags", tags.size(), 0, MOST_TAGS);
    Set<String> articles = new HashSet<>();
    for (int i = 0; i < stock.size(); i++) {
      once(articles.add(stock.get(i).article()), "stock[%d].article", i, stock.get(i).article());
    }
    Set<String> texts = new HashSet<>();
    Set<Tag.On> things = new HashSet<>();
    for (int i = 0; i < tags.size(); i++) {
      once(texts.add(tags.get(i).text()), "tags[%d].text", i, tags.get(i).text());
      Require.that(
          tags.get(i).kind() != Tag.Kind.LEAD,
          "tags[%d].kind".formatted(i),
          Tag.Kind.LEAD,
          "the tag of a lead stands with its feed");
      once(things.add(tags.get(i).on()), "tags[%d].of", i, tags.get(i).of());
    }
  }

  private static void once(boolean isNew, String place, int index, String found) {
    if (!isNew) {
      throw new RefusedException(
          place.formatted(index), Require.quoted(found), "it is there already; each stands once");
    }
  }

  public int spares() {
    return sparesPercent.orElse(USUAL_SPARES);
  }

  public int allowance() {
    return allowancePercent.orElse(USUAL_ALLOWANCE);
  }

  /** Tags by what they are on. */
  public Map<Tag.On, String> byThing() {
    Map<Tag.On, String> all = new HashMap<>();
    tags.forEach(tag -> all.put(tag.on(), tag.text()));
    return all;
  }

  /** Pieces that are there of an article; 0 where nobody said so. */
  public int inStock(String article) {
    return stock.stream().filter(one -> one.article().equals(article)).mapToInt(Stock::count).sum();
  }

  /** The same with so many of an article; 0: none. */
  public Workshop withStock(String article, int count) {
    List<Stock> changed = new ArrayList<>(stock);
    changed.removeIf(one -> one.article().equals(article));
    if (count > 0) {
      changed.add(new Stock(article, count));
    }
    return RecordShape.with(this, "stock", changed);
  }

  /**
   * The same with a tag for each thing that has none, of numbers that were never given.
   *
   * @param things with their names, in the order of the numbers
   * @param elsewhere tags that stand with their feeds
   */
  Workshop withTagsFor(Map<Tag.On, String> things, Set<String> elsewhere) {
    Map<Tag.On, String> known = byThing();
    Set<String> taken = new HashSet<>(known.values());
    taken.addAll(elsewhere);
    List<Tag> all = new ArrayList<>(tags);
    int number = lastTag;
    for (Map.Entry<Tag.On, String> thing : things.entrySet()) {
      if (!known.containsKey(thing.getKey())) {
        number = free(thing.getKey().kind(), number, taken);
        all.add(Tag.of(Tag.text(thing.getKey().kind(), number), thing.getKey(), thing.getValue()));
      }
    }
    return new Workshop(sparesPercent, allowancePercent, stock, number, all);
  }

  /** The next number whose tag nobody has written anywhere by hand. */
  static int free(Tag.Kind kind, int last, Set<String> taken) {
    int number = last + 1;
    while (taken.contains(Tag.text(kind, number))) {
      number++;
    }
    return number;
  }

  Workshop withLastTag(int number) {
    return RecordShape.with(this, "lastTag", number);
  }

  /** The same with another tag on a thing, or none. */
  public Workshop withTag(Tag.On on, Optional<String> text, String name) {
    List<Tag> all = new ArrayList<>(tags);
    int at = tags.stream().map(Tag::on).toList().indexOf(on);
    if (at >= 0) {
      all.remove(at);
    }
    text.ifPresent(said -> all.add(at < 0 ? all.size() : at, Tag.of(said, on, name)));
    return RecordShape.with(this, "tags", all);
  }

  /** As it was, but no number that was given since is free again: a label may be printed. */
  public Workshop restoredOver(Workshop now) {
    return RecordShape.with(this, "lastTag", Math.max(lastTag, now.lastTag));
  }
}
