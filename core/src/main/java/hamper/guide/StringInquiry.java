package hamper.guide;

import hamper.address.ColourOrder;
import hamper.display.Controller;
import hamper.display.PixelString;
import hamper.display.Section;
import hamper.edit.EditsBetween;
import hamper.edit.SetSections;
import hamper.pattern.Colour;
import hamper.pattern.Pattern;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * A string that lights, and not as planned: every option that its device may have been told
 * otherwise, with what one would see of it, worked out for this very string.
 */
final class StringInquiry {
  private static final int MOST_NULLS = 3;
  private static final int RGB = 3;
  private static final int RGBW = 4;
  private static final int FULL_UNIVERSE = 512;
  private static final int WHOLE_PIXELS = 510;
  private static final String[] COUNTED = {"first", "second", "third", "fourth"};

  private static final String CHANNEL = "channel-";
  private static final String PIXEL = "pixel-";
  private static final String LOST = "lost";
  private static final String NULLS = "nulls-";
  private static final String LAST = "last";
  private static final String BRIGHT = "bright";

  /** How a question is put, and what is on the string meanwhile. */
  private record Asked(Question question, Pattern pattern) {}

  private final SupposedString at;
  private final SupposedLight lit;
  private final PixelString string;
  private final String title;
  private final List<Asked> asked = new ArrayList<>();
  private final List<Cause> causes = new ArrayList<>();
  private final Map<Pattern, Sight> planned = new LinkedHashMap<>();

  private StringInquiry(SupposedString at) {
    this.at = at;
    lit = new SupposedLight(at);
    string = at.string();
    title = at.leg().at().title();
  }

  static Inquiry of(GuideKind kind, SupposedString at) {
    StringInquiry made = new StringInquiry(at);
    boolean coloursFirst = kind == GuideKind.WRONG_COLOURS;
    made.colours(coloursFirst ? 0 : 1);
    made.positions(coloursFirst ? 1 : 0);
    made.suppose();
    return new Inquiry(kind, made.asked.stream().map(Asked::question).toList(), made.causes);
  }

  private void colours(int stage) {
    if (at.width() < RGB) {
      return;
    }
    Colour[] channels = {Colour.RED, Colour.GREEN, Colour.BLUE, Colour.FOURTH};
    for (int c = 0; c < Math.min(at.width(), channels.length); c++) {
      Pattern pattern = Pattern.of(channels[c]);
      String ask =
          "The %s channel of every address of %s is lit. What do you see%s?"
              .formatted(COUNTED[c], title, at.hasOneOrder() ? "" : " in its first section");
      List<String> choices =
          new ArrayList<>(List.of("red", "red", "green", "green", "blue", "blue"));
      if (at.width() > RGB) {
        choices.addAll(List.of("white", "white"));
      }
      if (at.width() > RGBW) {
        choices.addAll(List.of("amber", "amber", "violet", "violet"));
      }
      choices.addAll(
          List.of(
              Sight.STRIPES,
              "stripes: the colour changes from pixel to pixel",
              "mixed",
              "all of it in one colour that is none of these",
              Sight.DARK,
              "nothing"));
      Question question =
          Question.of(
              CHANNEL + (c + 1), stage, ask, light(pattern), choices.toArray(String[]::new));
      asked.add(new Asked(question, pattern));
    }
  }

  private Doing light(Pattern pattern) {
    return new Doing.Light(string.id(), pattern);
  }

  private void positions(int stage) {
    for (int place : places()) {
      Pattern pattern = Pattern.count(place);
      String ask =
          "Pixel %d of %s is lit alone. Which one lights first, counted from the plug, null pixels too?"
              .formatted(place, title);
      Question question =
          Question.number(
              PIXEL + place, stage, ask, light(pattern), Sight.NONE, "none of this string");
      asked.add(new Asked(question, pattern));
    }
    Question length =
        Question.number(
            LAST,
            stage,
            "All of %s is lit. Which pixel is the last that lights, counted from the plug, null pixels too?"
                .formatted(title),
            light(Pattern.WHITE),
            Sight.NONE,
            "none of this string");
    asked.add(new Asked(length, Pattern.WHITE));
    Question bright =
        Question.of(
            BRIGHT,
            stage + 2,
            "All of %s is lit. How bright is it beside its neighbours?".formatted(title),
            light(Pattern.WHITE),
            Sight.AS_PLANNED,
            "like them, or darker",
            Sight.BRIGHTER,
            "clearly brighter",
            Sight.NONE,
            "it is dark");
    asked.add(new Asked(bright, Pattern.WHITE));
  }

  /** Pixels that tell most: the ends, the middle, where a fold turns and where a group ends. */
  private Set<Integer> places() {
    int last = string.pixels();
    Set<Integer> places = new LinkedHashSet<>();
    places.add(1);
    places.add(last);
    int before = 0;
    for (Section section : string.sections().subList(0, Math.min(4, string.sections().size()))) {
      section.fold().ifPresent(fold -> places.add(fold + 1));
      places.add(before + section.group() + 1);
      before += section.pixels();
      places.add(before);
      places.add(before + 1);
    }
    places.add((last + 1) / 2);
    places.removeIf(place -> place < 1 || place > last);
    return places;
  }

  private void suppose() {
    cause(
        Supposition.AS_PLANNED,
        Cause.of(
            "as-planned",
            "%s does what is planned: who sends the show is at fault".formatted(title),
            "Compare the send list of its source with the plan: universes, sizes, and whether it swaps"
                + " colours too."));
    orders();
    Set<Integer> nulls = new LinkedHashSet<>();
    IntStream.rangeClosed(0, MOST_NULLS).forEach(nulls::add);
    nulls.add(Math.max(0, at.nulls() - 1));
    nulls.add(at.nulls() + 1);
    nulls.remove(at.nulls());
    nulls.stream().sorted().forEach(this::nulls);
    if (any(section -> section.group() > 1)) {
      told("ungrouped", "group", "each pixel has an address of its own: its group was forgotten");
    }
    told(
        "turned", "direction", "it runs the other way: its direction was told the other way round");
    if (any(section -> section.fold().isPresent())) {
      told("unfolded", "fold", "it does not turn back: its fold was forgotten");
    }
    if (at.isDimmed()) {
      told("undimmed", "brightness", "it shines with all it has: its brightness was forgotten");
    }
    cause(
        at.lost(),
        Cause.of(
                LOST,
                "%s has lost what it was told: it does what its maker set"
                    .formatted(at.controller().tag()),
                "Give it its configuration again, and keep it; then see whether it has it after a loss of"
                    + " power.")
            .given());
    size();
    if (at.reachesLastUniverse()) {
      told("deaf", "universe", "its last universe is not heard: it has one input too few");
    }
    if (at.width() == RGB || at.width() == RGBW) {
      int other = RGB + RGBW - at.width();
      cause(
          Supposition.channels(other),
          Cause.of(
                  "channels-" + other,
                  "It is told %d channels a pixel, and %s has %d"
                      .formatted(other, title, at.width()),
                  "Give it its configuration again; where that changes nothing, %s is of another pixel type."
                      .formatted(title))
              .given());
    }
  }

  private boolean any(Function<Section, Boolean> is) {
    return string.sections().stream().anyMatch(is::apply);
  }

  private void told(String field, String id, String what) {
    cause(
        Supposition.that(field),
        Cause.of(
                id,
                "%s: %s".formatted(title, what),
                "Give %s its configuration again.".formatted(at.controller().tag()))
            .given());
  }

  private void orders() {
    if (at.width() < RGB) {
      return;
    }
    ColourOrder now = at.leg().at().orderOf(string.sections().get(0));
    for (ColourOrder told : Orders.others(now)) {
      ColourOrder takes = Orders.taken(now, told);
      Section first = string.sections().get(0);
      SetSections edit =
          new SetSections(
              IntStream.range(0, string.sections().size())
                  .mapToObj(i -> new SetSections.At(string.id(), i))
                  .toList(),
              SetSections.between(
                      new SetSections.At(string.id(), 0),
                      first,
                      first.withColourOrder(Optional.of(takes)))
                  .set());
      cause(
          Supposition.order(told),
          Cause.of(
                  "order-" + takes,
                  "%s takes its colours as %s, and %s is planned".formatted(title, takes, now),
                  ("Plan %s and give it; or, where its neighbours of the same kind are right, %s was told"
                          + " %s: give it again as it is. Does the sender swap colours too? Then one of both"
                          + " has to stop.")
                      .formatted(takes, at.controller().tag(), told))
              .with(edit)
              .given());
    }
  }

  private void nulls(int told) {
    Section first = string.sections().get(0);
    int gap = at.leg().leg().nullPixels();
    Cause cause =
        Cause.of(
                NULLS + told,
                "%s is told a count of null pixels of %d; planned are %d"
                    .formatted(title, told, at.nulls()),
                "Give it again as it is; or plan %d where that is what hangs there."
                    .formatted(told))
            .given();
    if (told >= gap && told - gap != first.nullPixels()) {
      cause =
          cause.with(
              SetSections.between(
                  new SetSections.At(string.id(), 0), first, first.withNullPixels(told - gap)));
    }
    cause(Supposition.nulls(told), cause);
  }

  private void size() {
    Controller controller = at.controller();
    int planned = controller.settings().universeSize();
    if (!controller.protocol().usesUniverses()
        || planned != FULL_UNIVERSE && planned != WHOLE_PIXELS) {
      return;
    }
    int told = planned == FULL_UNIVERSE ? WHOLE_PIXELS : FULL_UNIVERSE;
    Controller after = controller.withSettings(controller.settings().withUniverseSize(told));
    cause(
        Supposition.size(told),
        Cause.of(
                "size-" + told,
                "%s takes universes of %d channels, and %d are planned"
                    .formatted(controller.tag(), told, planned),
                "Set %d at the device and give it again; or plan %d, here and at whoever sends."
                    .formatted(planned, told))
            .with(EditsBetween.fields(controller, after))
            .given());
  }

  /** What one would see of it, question by question. */
  private void cause(Supposition supposed, Cause cause) {
    Map<Pattern, Sight> sights = new LinkedHashMap<>();
    Cause complete = cause;
    for (Asked one : asked) {
      Sight plan =
          planned.computeIfAbsent(
              one.pattern(), pattern -> lit.sight(Supposition.AS_PLANNED, pattern));
      Sight sight = sights.computeIfAbsent(one.pattern(), pattern -> lit.sight(supposed, pattern));
      complete = complete.answers(one.question().id(), told(at, one.question(), sight, plan));
    }
    for (int i = 0; i < causes.size() && supposed.nulls().isPresent(); i++) {
      Cause other = causes.get(i);
      if (other.id().startsWith(NULLS) && other.answers().equals(complete.answers())) {
        causes.set(i, other.orMore()); // so short a string that all of them push it off its end
        return;
      }
    }
    Map<String, Set<String>> seen = complete.answers();
    boolean known =
        cause.id().equals(LOST) && causes.stream().anyMatch(one -> one.answers().equals(seen));
    if (!known) {
      causes.add(complete);
    }
  }

  /** How somebody who sees it answers a question. */
  static String told(SupposedString at, Question question, Sight sight, Sight planned) {
    if (question.id().startsWith(CHANNEL)) {
      Section first = at.string().sections().get(0);
      return at.hasOneOrder()
          ? sight.colour()
          : sight.part(first.nullPixels() + first.pixels()).colour();
    } else if (question.id().startsWith(PIXEL)) {
      return sight.first();
    }
    return question.id().equals(BRIGHT) ? sight.brightness(planned) : sight.last();
  }
}
