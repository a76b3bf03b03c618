package hamper.server.api;

import hamper.advise.Rescue;
import hamper.advise.RescueAnswer;
import hamper.facts.Facts;
import hamper.guide.GuideKind;
import hamper.server.crew.Entrance;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.value.RefusedException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Guides to a cause, and what to do where a controller is dead, for the crew. */
@RestController
@RequestMapping("/crew/api")
@Tag(name = "crew")
class CrewHelp {
  private final Displays displays;
  private final GuidesController guides;
  private final Publisher publisher;

  CrewHelp(Displays displays, GuidesController guides, Publisher publisher) {
    this.displays = displays;
    this.guides = guides;
    this.publisher = publisher;
  }

  /**
   * An answer to a dead controller.
   *
   * @param changes whether the plan becomes another by it
   */
  record CrewRescue(
      String title,
      List<RescueAnswer.Recabled> recabled,
      List<String> senders,
      List<RescueAnswer.Dark> dark,
      boolean changes) {
    CrewRescue {
      recabled = List.copyOf(recabled);
      senders = List.copyOf(senders);
      dark = List.copyOf(dark);
    }
  }

  /** Answers of one version of the display. */
  record CrewRescues(int version, List<CrewRescue> answers) {}

  /**
   * @param version whose answers were read
   * @param title of the one that is done
   */
  record CrewRescueTaken(int version, String title) {}

  /** What the display has become. */
  record CrewVersion(int version) {}

  @GetMapping("/guides")
  @Operation(summary = "What somebody may see who needs a guide")
  List<GuidesController.GuideHead> guides(HttpServletRequest request) {
    return guides.guides(Entrance.of(request).display());
  }

  @PostMapping("/guides/{kind}")
  @Operation(summary = "The next question after some answers, or what is left of causes")
  GuidesController.GuideView walk(
      @PathVariable GuideKind kind,
      @RequestBody GuidesController.GuideRequest walk,
      HttpServletRequest request) {
    return guides.walk(Entrance.of(request).display(), kind, walk);
  }

  @GetMapping("/rescue/{controller}")
  @Operation(summary = "Up to three answers to a dead controller")
  CrewRescues rescue(@PathVariable String controller, HttpServletRequest request) {
    LiveDisplay.Look look = displays.get(Entrance.of(request).display()).look();
    return new CrewRescues(
        look.version(),
        answers(look.facts(), controller).stream()
            .map(
                one ->
                    new CrewRescue(
                        one.title(),
                        one.recabled(),
                        one.senders(),
                        one.dark(),
                        one.edit().isPresent()))
            .toList());
  }

  private static List<RescueAnswer> answers(Facts facts, String controller) {
    HandoverController.indexOf(facts, controller);
    return Rescue.of(facts, controller);
  }

  @PostMapping("/rescue/{controller}")
  @Operation(summary = "Plan it as one of the answers says; 409 where the display has moved on")
  CrewVersion take(
      @PathVariable String controller,
      @RequestBody CrewRescueTaken taken,
      HttpServletRequest request) {
    String display = Entrance.of(request).display();
    LiveDisplay.Look look = displays.get(display).look();
    RescueAnswer answer =
        answers(look.facts(), controller).stream()
            .filter(one -> one.title().equals(taken.title()) && one.edit().isPresent())
            .findFirst()
            .orElseThrow(
                () ->
                    new RefusedException(
                        "title",
                        taken.title(),
                        "one of the answers that are so now; read them again"));
    Optional<Delta> delta =
        answer
            .edit()
            .map(
                edit ->
                    publisher.publish(
                        display, (live, before) -> live.edit(taken.version(), edit, before)));
    return new CrewVersion(delta.map(Delta::version).orElse(look.version()));
  }
}
