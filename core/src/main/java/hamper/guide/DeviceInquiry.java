package hamper.guide;

import hamper.pattern.Pattern;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Nothing lights: from the plug over the device and the network to whoever sends. */
final class DeviceInquiry {
  /** What a device may say that it was told. */
  private static final String[] TOLD = {
    "planned", "what is planned", "nothing", "nothing", "other", "something else"
  };

  private DeviceInquiry() {}

  static Inquiry of(SupposedString at) {
    String tag = at.controller().tag();
    String title = at.leg().at().title();
    String id = at.controller().id();
    String piece = at.string().id();
    long volts = Math.round(at.leg().at().pixels().volts());
    List<Question> questions = new ArrayList<>();
    questions.add(
        Question.of(
            "power",
            0,
            "Does the lamp of %s burn?".formatted(tag),
            new Doing.Ask(id, Reading.POWER),
            "yes",
            "yes",
            "no",
            "no, or it does not answer"));
    questions.add(
        Question.of(
            "when",
            1,
            "When did %s go dark?".formatted(tag),
            new Doing.Look(),
            "giving",
            "while it was given its configuration",
            "else",
            "at another time"));
    questions.add(
        Question.measured(
            "volts",
            2,
            "Measure between plus and minus at the plug of %s: how many volts of %s are there?"
                .formatted(title, volts),
            at.leg().at().pixels().volts(),
            true));
    questions.add(
        Question.of(
            "identity",
            3,
            "Who does %s say that it is?".formatted(tag),
            new Doing.Ask(id, Reading.IDENTITY),
            "planned",
            "the model that is planned, the unit that was given, its own address",
            "model",
            "another model",
            "unit",
            "another unit of the same model",
            "address",
            "another address"));
    questions.add(
        Question.of(
            "told",
            4,
            "What does %s say that it was told?".formatted(tag),
            new Doing.Ask(id, Reading.CONFIGURATION),
            TOLD));
    questions.add(
        Question.of(
            "white",
            5,
            "All of %s is lit. What does it do?".formatted(title),
            new Doing.Light(piece, Pattern.WHITE),
            "lights",
            "it lights",
            "glows",
            "a faint glow",
            "dark",
            "nothing"));
    questions.add(
        Question.of(
            "packets",
            6,
            "Does the packet counter of %s move?".formatted(tag),
            new Doing.Ask(id, Reading.PACKETS),
            "moves",
            "it moves",
            "still",
            "it stands still"));
    questions.add(
        Question.of(
            "again",
            7,
            "Take the power of %s away and give it back. What does it say then that it was told?"
                .formatted(tag),
            new Doing.Restart(id),
            TOLD));
    questions.add(
        Question.of(
            "test",
            8,
            "Its own test is on, everything at full. Does %s light?".formatted(title),
            new Doing.OwnTest(id),
            "lights",
            "it lights",
            "dark",
            "it stays dark"));
    return new Inquiry(GuideKind.NOTHING_LIGHTS, questions, causes(tag, title));
  }

  /** How somebody who sees it answers. */
  static Optional<String> told(Question question, Sight sight, Sight planned) {
    boolean lights = sight.lit() > 0;
    return switch (question.id()) {
      case "white" -> Optional.of(lights ? sight.glows(planned) ? "glows" : "lights" : Sight.DARK);
      case "test" -> Optional.of(lights ? "lights" : Sight.DARK);
      default -> Optional.empty();
    };
  }

  private static List<Cause> causes(String tag, String title) {
    List<Cause> causes = new ArrayList<>();
    causes.add(
        Cause.of(
                "no-power",
                "%s has no power".formatted(tag),
                "Look for its plug, its fuse, and the residual-current breaker of its circuit.")
            .answers("power", "no")
            .answers("when", "else"));
    causes.add(
        Cause.of(
                "vanishes",
                "%s goes away while it is given its configuration".formatted(tag),
                "Give it back its power, and give it again from a cable beside it: its supply or its"
                    + " network does not bear that it starts anew.")
            .given()
            .answers("power", "no")
            .answers("when", "giving"));
    causes.add(
        alive(
                "no-volts",
                "No voltage reaches %s".formatted(title),
                "Change the fuse of its feed, or the supply behind it; first find what blew it.")
            .answers("volts", "none")
            .answers("white", "dark")
            .answers("test", "dark"));
    causes.add(
        alive(
                "fuse",
                "A fuse of %s has gone; what glows comes through the data wire".formatted(title),
                "Change the fuse of its feed; first find what blew it.")
            .answers("volts", "none", "less")
            .answers("white", "glows")
            .answers("test", "dark"));
    causes.add(
        fed(
                "model",
                "Another model stands where %s is planned".formatted(tag),
                "Put the planned one there, or exchange it in the plan and give it what is planned.")
            .given()
            .answers("identity", "model"));
    causes.add(
        fed(
                "unit",
                "Another unit stands where %s stood, and was told nothing".formatted(tag),
                "Give it its configuration.")
            .given()
            .answers("identity", "unit")
            .answers("told", "nothing", "other"));
    causes.add(
        fed(
                "address",
                "%s has another address than is planned".formatted(tag),
                "Set the planned address at the device, or plan the one that it has.")
            .answers("identity", "address"));
    causes.add(
        mine(
                "untold",
                "%s was never told anything, or has lost it".formatted(tag),
                "Give it its configuration, and keep it.")
            .given()
            .answers("told", "nothing")
            .answers("again", "nothing"));
    causes.add(
        mine(
                "other-told",
                "%s was told something else than is planned".formatted(tag),
                "Give it its configuration again; or take over what it has, where that is right.")
            .given()
            .answers("told", "other"));
    causes.add(
        told(
                "forgets",
                "%s does not keep what it is told".formatted(tag),
                "Keep it at the device's own page, and see that it says so; until then give it after"
                    + " every loss of power.")
            .given()
            .answers("packets", "moves")
            .answers("again", "nothing", "other"));
    causes.add(
        told(
                "network",
                "Nothing that is sent reaches %s".formatted(tag),
                "Look for its cable and switch, its subnet, and the adapter that the sender uses.")
            .answers("packets", "still")
            .answers("white", "dark")
            .answers("again", "planned"));
    causes.add(
        told(
                "wire",
                "What %s gives out does not reach %s".formatted(tag, title),
                "Look at the plug, the data wire, and whether its data-in end is where data enters.")
            .answers("packets", "moves")
            .answers("white", "dark")
            .answers("again", "planned")
            .answers("test", "dark"));
    causes.add(
        told(
                "not-assigned",
                "%s hears what is sent and does not give it to %s".formatted(tag, title),
                "Give it its configuration again: the output, its start and its universes.")
            .given()
            .answers("packets", "moves")
            .answers("white", "dark")
            .answers("again", "planned")
            .answers("test", "lights"));
    causes.add(
        told(
                "as-planned",
                "%s does what is planned: who sends the show is at fault".formatted(title),
                "Compare the send list of its source with the plan, and whether it sends at all.")
            .answers("packets", "moves")
            .answers("white", "lights")
            .answers("again", "planned")
            .answers("test", "lights"));
    return causes;
  }

  private static Cause alive(String id, String title, String act) {
    return Cause.of(id, title, act)
        .answers("power", "yes")
        .answers("when", "else")
        .answers("identity", "planned")
        .answers("told", "planned")
        .answers("packets", "moves")
        .answers("again", "planned");
  }

  /** Its string has what it needs. */
  private static Cause fed(String id, String title, String act) {
    return Cause.of(id, title, act)
        .answers("power", "yes")
        .answers("when", "else")
        .answers("volts", "planned");
  }

  private static Cause mine(String id, String title, String act) {
    return fed(id, title, act).answers("identity", "planned");
  }

  private static Cause told(String id, String title, String act) {
    return mine(id, title, act).answers("told", "planned");
  }
}
