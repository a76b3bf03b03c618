package hamper.guide;

import hamper.display.Feed;
import hamper.display.HungLeg;
import hamper.edit.AddFeeds;
import hamper.edit.SetSections;
import hamper.pattern.Colour;
import hamper.pattern.Pattern;
import hamper.resolve.Placement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** A string that is right near its plug, and from somewhere on it is not. */
final class EndInquiry {
  private static final String LAST = "last";
  private static final String BLUE = "blue";
  private static final String BEHIND = "behind";
  private static final double USUAL_FUSE_AMPS = 5;

  /** From so many channels on a pixel has a blue of its own. */
  private static final int RGB = 3;

  private EndInquiry() {}

  static Inquiry dark(SupposedString at) {
    String title = at.leg().at().title();
    String id = at.controller().id();
    Doing white = new Doing.Light(at.string().id(), Pattern.WHITE);
    List<Question> questions =
        List.of(
            Question.number(
                LAST,
                0,
                "All of %s is lit. Which pixel is the last that lights as the first ones do, counted from the plug, null pixels too?"
                    .formatted(title),
                white,
                Sight.NONE,
                "none"),
            Question.number(
                BLUE,
                0,
                "Only blue is lit. Which pixel is the last that shows it as the first ones do?",
                new Doing.Light(at.string().id(), Pattern.of(Colour.BLUE)),
                Sight.NONE,
                "none"),
            Question.of(
                BEHIND,
                1,
                "Green now. What do the pixels behind it do?",
                new Doing.Light(at.string().id(), Pattern.of(Colour.GREEN)),
                Sight.DARK,
                "they are dark",
                Sight.LIKE_OTHERS,
                "they are green like the others",
                Sight.FROZEN,
                "they stand still in other colours",
                Sight.FLICKERS,
                "they flicker"),
            Question.measured(
                "volts",
                2,
                "Measure between plus and minus at its last pixel, while it is white: how many volts?",
                at.leg().at().pixels().volts(),
                true),
            Question.of(
                "test",
                3,
                "The own test of %s is on, everything full: do the pixels behind light now?"
                    .formatted(at.controller().tag()),
                new Doing.OwnTest(id),
                "lights",
                "they light",
                "dark",
                "they stay as they are"));
    List<Question> asked =
        questions.stream().filter(one -> at.width() >= RGB || !one.id().equals(BLUE)).toList();
    return new Inquiry(GuideKind.END_DARK, asked, darkCauses(at));
  }

  private static List<Cause> darkCauses(SupposedString at) {
    String title = at.leg().at().title();
    int pixels = at.string().places();
    Set<String> before = numbers(0, pixels - 1);
    SupposedLight lit = new SupposedLight(at);
    String end = lit.sight(Supposition.AS_PLANNED, Pattern.WHITE).last();
    List<Cause> causes = new ArrayList<>();
    causes.add(
        feeding(
                at,
                Cause.of(
                    "voltage",
                    "Too little voltage at the end of %s: blue goes first".formatted(title),
                    "Feed it at its end too, or take thicker wire, or less brightness; see Loads."))
            .answers(LAST, with(before, end))
            .answers(BLUE, before)
            .answers(BEHIND, Sight.LIKE_OTHERS)
            .answers("volts", "less")
            .answers("test", "dark"));
    causes.add(
        dead("dead", title, "is dark")
            .answers(LAST, before)
            .answers(BLUE, before)
            .answers(BEHIND, Sight.DARK));
    causes.add(
        dead("dead-frozen", title, "stands still")
            .answers(BEHIND, Sight.FROZEN, Sight.LIKE_OTHERS));
    causes.add(dead("dead-random", title, "shows anything").answers(BEHIND, Sight.FLICKERS));
    if (at.reachesLastUniverse()) {
      String heard = lit.sight(Supposition.that("deaf"), Pattern.WHITE).last();
      causes.add(
          Cause.of(
                  "universe",
                  "%s does not hear its last universe: it has one input too few"
                      .formatted(at.controller().tag()),
                  "Give it its configuration again; an input set by hand has to be long enough.")
              .given()
              .answers(LAST, heard)
              .answers(BLUE, lit.sight(Supposition.that("deaf"), Pattern.of(Colour.BLUE)).last())
              .answers(BEHIND, Sight.DARK)
              .answers("volts", "planned")
              .answers("test", "lights"));
    }
    Optional<Integer> limit = limit(at);
    limit.ifPresent(
        most ->
            causes.add(
                Cause.of(
                        "limit",
                        "%s drives no more than %d pixels of %s"
                            .formatted(at.controller().tag(), most, title),
                        "Hang what is beyond on another port.")
                    .answers(LAST, Integer.toString(most))
                    .answers(BLUE, Integer.toString(most))
                    .answers(BEHIND, Sight.DARK)
                    .answers("volts", "planned")
                    .answers("test", "dark")));
    if (at.run().run().legs().stream().anyMatch(leg -> !leg.leg().feeds().isEmpty())) {
      causes.add(
          Cause.of(
                  "feed-fuse",
                  "A fuse of a feed along the wire has gone",
                  "Change the fuse of the feed where it becomes dark; first find what blew it.")
              .answers(LAST, before)
              .answers(BEHIND, Sight.DARK, Sight.LIKE_OTHERS)
              .answers("volts", "none")
              .answers("test", "dark"));
    }
    causes.add(
        Cause.of(
                "as-planned",
                "%s lights to its end: who sends the show is at fault".formatted(title),
                "See how far the show's own sender goes: its list may have fewer pixels or universes.")
            .answers(LAST, end)
            .answers(BLUE, lit.sight(Supposition.AS_PLANNED, Pattern.of(Colour.BLUE)).last())
            .answers(BEHIND, Sight.LIKE_OTHERS)
            .answers("volts", "planned")
            .answers("test", "lights"));
    return causes;
  }

  private static Cause dead(String id, String title, String rest) {
    return Cause.of(
            id,
            "A pixel of %s is dead: what is behind it %s".formatted(title, rest),
            "Change the pixel right behind the last one that is right, or that one itself: data goes in"
                + " and does not come out. Halving finds it where counting does not.")
        .answers("volts", "planned")
        .answers("test", "dark");
  }

  private static Cause feeding(SupposedString at, Cause cause) {
    return at.run()
        .supply()
        .map(
            supply ->
                cause.with(
                    new AddFeeds(
                        at.string().id(),
                        List.of(
                            new Feed(
                                supply,
                                at.string().places(),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.of(USUAL_FUSE_AMPS))))))
        .orElse(cause);
  }

  /** How many positions of the string its port still drives, where it does not drive all. */
  private static Optional<Integer> limit(SupposedString at) {
    HungLeg leg = at.leg();
    return at.run()
        .load()
        .filter(load -> load.limit() < leg.end() && load.limit() > leg.start())
        .map(load -> load.limit() - leg.start());
  }

  private static Set<String> numbers(int from, int to) {
    Set<String> numbers =
        IntStream.rangeClosed(from, to).mapToObj(Integer::toString).collect(Collectors.toSet());
    numbers.add(Sight.NONE);
    return numbers;
  }

  private static Set<String> with(Set<String> some, String more) {
    Set<String> all = new TreeSet<>(some);
    all.add(more);
    return all;
  }

  static Inquiry flickers(SupposedString at) {
    String title = at.leg().at().title();
    String id = at.controller().id();
    int pixels = at.string().places();
    List<Question> questions =
        List.of(
            Question.number(
                "from",
                0,
                "All of %s is lit. Which pixel is the first that flickers, counted from the plug, null pixels too?"
                    .formatted(title),
                new Doing.Light(at.string().id(), Pattern.WHITE),
                Sight.NONE,
                "none, now that it is lit from here"),
            Question.of(
                "missing",
                1,
                "Are packets missing at %s?".formatted(at.controller().tag()),
                new Doing.Ask(id, Reading.MISSING),
                "yes",
                "yes",
                "no",
                "no"),
            Question.measured(
                "volts",
                2,
                "Measure between plus and minus where it begins to flicker: how many volts?",
                at.leg().at().pixels().volts(),
                false),
            Question.of(
                "wiggle",
                3,
                "Move the plug before it. What happens?",
                new Doing.Look(),
                "changes",
                "it changes",
                "same",
                "nothing changes"));
    String first = "1";
    Set<String> anywhere = new TreeSet<>(numbers(1, pixels));
    anywhere.remove(Sight.NONE);
    Set<String> behind = new TreeSet<>(anywhere);
    behind.remove(first);
    List<Cause> causes = new ArrayList<>();
    causes.add(
        Cause.of(
                "dead-random",
                "A pixel of %s passes its data on badly".formatted(title),
                "Change the last one that is right; where that does not help, the first that flickers.")
            .answers("from", behind)
            .answers("missing", "no")
            .answers("volts", "planned")
            .answers("wiggle", "same"));
    causes.add(
        Cause.of(
                "joint",
                "A joint is loose, or the minus of two supplies is not joined",
                "Mend the joint before it; join the minus of both supplies.")
            .answers("from", anywhere)
            .answers("missing", "no")
            .answers("volts", "planned", "less")
            .answers("wiggle", "changes"));
    causes.add(repeater(at));
    causes.add(
        feeding(
                at,
                Cause.of(
                    "voltage",
                    "Too little voltage from there on",
                    "Feed it there too, or take less brightness; see Loads."))
            .answers("from", behind)
            .answers("missing", "no")
            .answers("volts", "less")
            .answers("wiggle", "same"));
    causes.add(
        Cause.of(
                "packets",
                "Packets get lost on their way to %s".formatted(at.controller().tag()),
                "Use a cable instead of the air, mend the one there is, or send less.")
            .answers("from", first)
            .answers("missing", "yes"));
    causes.add(
        Cause.of(
                "sender",
                "It does not flicker when it is lit from here: two send, or the show does it",
                "Switch off whatever else sends to it.")
            .answers("from", Sight.NONE));
    return new Inquiry(GuideKind.FLICKERS, questions, causes);
  }

  /** A null pixel at the plug makes the signal new on a long lead. */
  private static Cause repeater(SupposedString at) {
    Placement first =
        at.run().placements().stream()
            .filter(one -> one.leg() == at.leg().index())
            .findFirst()
            .orElseThrow();
    var section = at.string().sections().get(first.section());
    return Cause.of(
            "lead",
            "The data wire to %s is too long".formatted(at.leg().at().title()),
            "Put a null pixel at its plug, which makes the signal new, and plan it; or come nearer.")
        .with(
            SetSections.between(
                new SetSections.At(at.string().id(), 0),
                section,
                section.withNullPixels(section.nullPixels() + 1)))
        .given()
        .answers("from", "1")
        .answers("missing", "no")
        .answers("volts", "planned")
        .answers("wiggle", "same");
  }

  /** How somebody who sees it answers; empty where it takes more than one look. */
  static Optional<String> told(Question question, Sight sight, Sight planned) {
    return switch (question.id()) {
      case BLUE, LAST -> Optional.of(sight.lastAsMeant(planned));
      case BEHIND -> Optional.of(sight.behind(planned));
      case "test" -> Optional.of(sight.lit() == sight.pixels() ? "lights" : Sight.DARK);
      default -> Optional.empty();
    };
  }
}
