package hamper.server.api;

import hamper.edit.Edit;
import hamper.facts.Facts;
import hamper.guide.Cause;
import hamper.guide.Doing;
import hamper.guide.GuideKind;
import hamper.guide.Guides;
import hamper.guide.Inquiry;
import hamper.guide.Question;
import hamper.guide.Reading;
import hamper.guide.Walk;
import hamper.pattern.Pattern;
import hamper.pattern.PatternKind;
import hamper.server.live.Displays;
import hamper.server.trial.GuideReader;
import hamper.value.RefusedException;
import hamper.value.Require;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Guides from the device outwards to a cause; whoever walks them keeps the answers. */
@RestController
@RequestMapping("/api/displays/{id}/trial/guides")
@Tag(name = "trial")
class GuidesController {
  private static final int MOST_ANSWERS = 100;

  private final Displays displays;
  private final GuideReader reader;

  GuidesController(Displays displays, GuideReader reader) {
    this.displays = displays;
    this.reader = reader;
  }

  record GuideHead(GuideKind kind, String title) {}

  /**
   * @param piece the id of the string that is looked at
   * @param answers so far, in their order
   */
  record GuideRequest(String piece, List<Walk.Answer> answers) {
    GuideRequest {
      answers = List.copyOf(answers);
      Require.inRange("answers", answers.size(), 0, MOST_ANSWERS);
    }
  }

  /** What is to be done before a question is answered. */
  enum DoingKind {
    LOOK,
    LIGHT,
    SILENCE,
    OWN_TEST,
    RESTART,
    ASK
  }

  /**
   * @param pattern what the string is lit with meanwhile
   * @param controller its id, where one is asked or switched
   */
  record GuideDoing(DoingKind kind, Optional<Pattern> pattern, Optional<String> controller) {}

  /**
   * @param choices what may be answered; where a number is, those that are no number
   * @param volts that should be there, where they are measured and typed (V)
   */
  record GuideQuestion(
      String id,
      String ask,
      GuideDoing doing,
      List<Question.Choice> choices,
      boolean number,
      Optional<Double> volts) {
    GuideQuestion {
      choices = List.copyOf(choices);
    }
  }

  /**
   * @param act what to do about it
   * @param edit of the plan that goes with it
   * @param give whether the device is to be given its configuration (again)
   */
  record GuideCause(String id, String title, String act, Optional<Edit> edit, boolean give) {}

  /**
   * @param by the question that ruled it out
   */
  record GuideRuledOut(String title, String by) {}

  /**
   * @param next what is asked now; left out: nothing more can be told from there
   * @param left causes that fit all answers
   */
  record GuideView(
      GuideKind kind,
      String title,
      Optional<GuideQuestion> next,
      List<GuideCause> left,
      List<GuideRuledOut> ruledOut) {
    GuideView {
      left = List.copyOf(left);
      ruledOut = List.copyOf(ruledOut);
    }
  }

  /**
   * @param answer the key of it; left out: only a person can say
   */
  record GuideRead(Optional<String> answer) {}

  @GetMapping
  @Operation(summary = "What somebody may see who needs a guide")
  List<GuideHead> guides(@PathVariable String id) {
    displays.get(id);
    return Arrays.stream(GuideKind.values())
        .map(kind -> new GuideHead(kind, kind.title()))
        .toList();
  }

  @PostMapping("/{kind}")
  @Operation(summary = "The next question after some answers, or what is left of causes")
  GuideView walk(
      @PathVariable String id, @PathVariable GuideKind kind, @RequestBody GuideRequest request) {
    Facts facts = displays.get(id).look().facts();
    Inquiry inquiry = Guides.of(kind, facts, request.piece());
    Walk walk = Walk.of(inquiry, request.answers());
    return new GuideView(
        kind,
        kind.title(),
        walk.next().map(GuidesController::view),
        walk.left().stream().map(GuidesController::view).toList(),
        walk.ruledOut().stream()
            .map(out -> new GuideRuledOut(out.cause().title(), out.by().ask()))
            .toList());
  }

  @PostMapping("/{kind}/questions/{question}/reading")
  @Operation(
      summary = "What a stand-in says to a question, while what it wants is done; live nothing")
  GuideRead read(
      @PathVariable String id,
      @PathVariable GuideKind kind,
      @PathVariable String question,
      @RequestBody GuideRequest request)
      throws IOException, InterruptedException {
    Facts facts = displays.get(id).look().facts();
    Inquiry inquiry = Guides.of(kind, facts, request.piece());
    Question asked =
        inquiry.questions().stream()
            .filter(one -> one.id().equals(question))
            .findFirst()
            .orElseThrow(
                () -> new RefusedException("question", question, "this guide does not ask that"));
    return new GuideRead(reader.read(id, facts, inquiry, request.piece(), asked));
  }

  private static GuideQuestion view(Question question) {
    return new GuideQuestion(
        question.id(),
        question.ask(),
        view(question.doing()),
        question.choices(),
        question.number(),
        question.volts());
  }

  private static GuideDoing view(Doing doing) {
    if (doing instanceof Doing.Light light) {
      return new GuideDoing(DoingKind.LIGHT, Optional.of(light.pattern()), Optional.empty());
    } else if (doing instanceof Doing.OwnTest test) {
      return at(DoingKind.OWN_TEST, test.controller());
    } else if (doing instanceof Doing.Restart restart) {
      return at(DoingKind.RESTART, restart.controller());
    } else if (doing instanceof Doing.Ask ask) {
      // packets are counted while something is sent, and numbers while it changes
      PatternKind lit = ask.reading() == Reading.MISSING ? PatternKind.COLUMNS : PatternKind.WHITE;
      return new GuideDoing(
          DoingKind.ASK, Optional.of(Pattern.of(lit)), Optional.of(ask.controller()));
    }
    DoingKind kind = doing instanceof Doing.Silence ? DoingKind.SILENCE : DoingKind.LOOK;
    return new GuideDoing(kind, Optional.empty(), Optional.empty());
  }

  private static GuideDoing at(DoingKind kind, String controller) {
    return new GuideDoing(kind, Optional.empty(), Optional.of(controller));
  }

  private static GuideCause view(Cause cause) {
    return new GuideCause(cause.id(), cause.title(), cause.act(), cause.edit(), cause.give());
  }
}
