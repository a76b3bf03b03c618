package hamper.guide;

import hamper.check.Checks;
import hamper.check.Finding;
import hamper.pattern.Pattern;
import hamper.pattern.PatternKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** It lights as planned, and jerks. */
final class StutterInquiry {
  private StutterInquiry() {}

  static Inquiry of(SupposedString at) {
    String tag = at.controller().tag();
    String id = at.controller().id();
    List<Question> questions =
        List.of(
            Question.of(
                "quarrel",
                0,
                "Do two send to %s?".formatted(tag),
                new Doing.Ask(id, Reading.QUARREL),
                "yes",
                "yes",
                "no",
                "no"),
            Question.of(
                "missing",
                1,
                "Are packets missing at %s?".formatted(tag),
                new Doing.Ask(id, Reading.MISSING),
                "yes",
                "yes",
                "no",
                "no"),
            Question.of(
                "speed",
                2,
                "Does %s answer at once?".formatted(tag),
                new Doing.Ask(id, Reading.SPEED),
                "quick",
                "at once",
                "slow",
                "it takes its time"),
            Question.of(
                "ours",
                3,
                "Only Hamper sends now. Does it still stutter?",
                new Doing.Light(at.string().id(), Pattern.of(PatternKind.COLUMNS)),
                "yes",
                "yes",
                "no",
                "no"));
    List<Cause> causes = new ArrayList<>();
    causes.add(
        Cause.of(
                "two-senders",
                "Two senders quarrel about %s".formatted(tag),
                "Switch one of them off, or give one a higher priority where the protocol has it.")
            .answers("quarrel", "yes"));
    boolean wifi = at.facts().plan().modelOf(at.controller()).wifi();
    causes.add(
        Cause.of(
                "lost",
                wifi
                    ? "Packets get lost on the air to %s".formatted(tag)
                    : "Packets get lost on the way to %s".formatted(tag),
                wifi
                    ? "Use a cable, or bring the access point nearer; never multicast over the air."
                    : "Change its cable and the port of the switch; look for a link that is too long.")
            .answers("quarrel", "no")
            .answers("missing", "yes"));
    causes.add(
        Cause.of(
                "slow",
                "The way to %s is slow".formatted(tag),
                "Look for a bridge over the air between, and for who else fills that cable.")
            .answers("quarrel", "no")
            .answers("missing", "no")
            .answers("speed", "slow"));
    boolean heavy =
        Checks.run(at.facts()).stream()
            .filter(
                finding ->
                    finding.subjects().stream()
                        .anyMatch(subject -> subject.controller().equals(Optional.of(id))))
            .map(Finding::code)
            .anyMatch(code -> code.startsWith("traffic") || code.startsWith("frame"));
    if (heavy) {
      causes.add(
          Cause.of(
                  "too-much",
                  "%s gets more than it takes at this frame rate".formatted(tag),
                  "Lower the frame rate, or hang some of it elsewhere; see Loads and the findings.")
              .answers("quarrel", "no")
              .answers("speed", "quick")
              .answers("ours", "yes"));
    }
    causes.add(
        Cause.of(
                "sender",
                "Who sends the show sends unevenly",
                "Look at how busy that computer is, and whether it sends at the display's frame rate.")
            .answers("quarrel", "no")
            .answers("missing", "no")
            .answers("speed", "quick")
            .answers("ours", "no"));
    return new Inquiry(GuideKind.STUTTERS, questions, causes);
  }
}
