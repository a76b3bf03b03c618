package hamper.guide;

import hamper.catalog.Behaviour;
import hamper.catalog.PortKind;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.PortRef;
import hamper.edit.Edit;
import hamper.edit.PatchPieces;
import hamper.edit.Together;
import hamper.facts.ControllerFacts;
import hamper.facts.RunFacts;
import hamper.pattern.Pattern;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Another prop lights than the one that is meant, or one that nobody lit. */
final class AnotherInquiry {
  private static final int MOST_PORTS = 128;

  /** What is seen of each behaviour when nobody sends. */
  private static final Map<Behaviour, String> SILENT =
      new EnumMap<>(
          Map.of(Behaviour.SAFE, Sight.DARK, Behaviour.HOLD, "stays", Behaviour.STORED, "plays"));

  private AnotherInquiry() {}

  static Inquiry of(SupposedString at) {
    String tag = at.controller().tag();
    String id = at.controller().id();
    String title = at.leg().at().title();
    List<RunFacts> others =
        at.facts().controllers().stream()
            .filter(own -> own.controller().id().equals(id))
            .map(ControllerFacts::runs)
            .flatMap(List::stream)
            .filter(run -> run.run().carriesPixels() && !run.port().equals(at.run().port()))
            .limit(MOST_PORTS)
            .toList();
    List<String> choices = new ArrayList<>();
    choices.addAll(List.of("itself", title + " alone"));
    choices.addAll(
        List.of("unplanned", "a socket of %s where nothing is planned too".formatted(tag)));
    choices.addAll(List.of("elsewhere", "something on another controller"));
    choices.addAll(List.of("nothing", "nothing"));
    others.forEach(
        run ->
            choices.addAll(
                List.of(
                    key(run.run()), "%s on %s".formatted(titles(run.run()), run.run().written()))));
    List<Question> questions =
        List.of(
            Question.of(
                "silence",
                0,
                "Nothing is sent for three seconds, as if the cable were cut. What do the lights of %s do?"
                    .formatted(tag),
                new Doing.Silence(),
                "dark",
                "it is dark",
                "stays",
                "it stays as it was",
                "plays",
                "it plays something of its own"),
            Question.of(
                "alone",
                1,
                "Only %s is lit, all of it. What lights?".formatted(title),
                new Doing.Light(at.string().id(), Pattern.WHITE),
                choices.toArray(String[]::new)),
            Question.of(
                "identity",
                2,
                "Which address does %s say that it has?".formatted(tag),
                new Doing.Ask(id, Reading.IDENTITY),
                "planned",
                "the planned one",
                "address",
                "another one",
                "model",
                "it is another model",
                "unit",
                "it is another unit"));
    List<Cause> causes = new ArrayList<>();
    byItself(at, causes);
    causes.add(
        Cause.of(
                "old-outputs",
                "Outputs of last year are still alive on %s".formatted(tag),
                "Give it its configuration again: unused ports are told that they are empty.")
            .given()
            .answers("silence", planned(at))
            .answers("alone", "unplanned"));
    causes.add(
        Cause.of(
                "address",
                "%s and another have each other's address".formatted(tag),
                "Set the planned address at the device; two of one address fight.")
            .answers("silence", planned(at))
            .answers("alone", "elsewhere", "nothing", "itself")
            .answers("identity", "address"));
    causes.add(
        Cause.of(
                "elsewhere",
                "%s hangs on another controller than is planned".formatted(title),
                "Hang it where it is planned, or plan it where it hangs.")
            .answers("silence", planned(at))
            .answers("alone", "elsewhere", "nothing")
            .answers("identity", "planned"));
    for (RunFacts run : others) {
      causes.add(
          Cause.of(
                  "swapped-" + key(run.run()),
                  "The plugs of %s and %s are swapped"
                      .formatted(at.run().run().written(), run.run().written()),
                  "Swap the plugs; or plan it as it hangs, and give it again.")
              .with(swapped(at.run().run(), run.run()))
              .given()
              .answers("silence", planned(at))
              .answers("alone", key(run.run()))
              .answers("identity", "planned"));
    }
    causes.add(
        Cause.of(
                "as-planned",
                "What is lit is what was meant: who sends the show is at fault",
                "Compare the send list of its source, and the show's own model of the yard, with the plan.")
            .answers("silence", planned(at))
            .answers("alone", "itself")
            .answers("identity", "planned"));
    return new Inquiry(GuideKind.ANOTHER_LIGHTS, questions, causes);
  }

  /** How somebody who sees all ports of the controller answers. */
  static Optional<String> told(SupposedString at, Question question, Guides.Clocked clocked) {
    Set<PortRef> lit = new LinkedHashSet<>();
    Set<Byte> levels = new HashSet<>();
    clocked
        .shown()
        .forEach(
            (port, bytes) -> {
              for (byte level : bytes) {
                if (port.kind() == PortKind.PIXEL && level != 0) {
                  lit.add(port);
                  levels.add(level);
                }
              }
            });
    if (question.id().equals("silence")) {
      if (lit.isEmpty()) {
        return Optional.of(Sight.DARK);
      }
      List<PortRef> planned =
          clocked.meant().keySet().stream().filter(port -> port.kind() == PortKind.PIXEL).toList();
      boolean whole = levels.size() == 1 && lit.containsAll(planned);
      return Optional.of(whole && planned.size() > 1 ? "plays" : "stays");
    } else if (!question.id().equals("alone")) {
      return Optional.empty();
    } else if (lit.stream().anyMatch(port -> !clocked.meant().containsKey(port))) {
      return Optional.of("unplanned");
    } else if (lit.isEmpty()) {
      return Optional.of("nothing");
    }
    return lit.contains(at.run().port())
        ? Optional.of("itself")
        : lit.stream().map(port -> "port-" + port.port()).findFirst();
  }

  private static String key(HungRun run) {
    return "port-" + run.port().port();
  }

  private static String titles(HungRun run) {
    List<String> titles = run.legs().stream().map(leg -> leg.at().title()).toList();
    return titles.size() > 2
        ? "%s and %d more".formatted(titles.get(0), titles.size() - 1)
        : String.join(" and ", titles);
  }

  /** What a device does when nobody sends: a thing of its model, as the catalogue has it. */
  private static String planned(SupposedString at) {
    return SILENT.get(
        at.facts().plan().modelOf(at.controller()).lostSource().orElse(Behaviour.SAFE));
  }

  /** It does something else when nobody sends than its model should. */
  private static void byItself(SupposedString at, List<Cause> causes) {
    SILENT.forEach(
        (behaviour, seen) -> {
          if (!seen.equals(planned(at))) {
            causes.add(
                Cause.of(
                        "silent-" + seen,
                        "When nobody sends %s %s"
                            .formatted(at.controller().tag(), behaviour.title()),
                        "Its model should not: set that at the device's own page, clear a show that it"
                            + " stores, and end shows with black.")
                    .answers("silence", seen));
          }
        });
  }

  private static Edit swapped(HungRun one, HungRun other) {
    return new Together(
        "Swap %s and %s".formatted(one.written(), other.written()),
        List.of(
            new PatchPieces(ids(other), one.port(), Optional.of(ids(one).get(0))),
            new PatchPieces(ids(one), other.port(), Optional.empty())));
  }

  private static List<String> ids(HungRun run) {
    return run.legs().stream().map(HungLeg::leg).map(leg -> leg.piece()).toList();
  }
}
