package hamper.check;

import hamper.address.Protocol;
import hamper.display.Controller;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** A controller that nobody sends to. */
final class NoSourceCheck implements Check {
  private static final Page PAGE =
      new Page(
          "no-source",
          Area.COMPLETENESS,
          Severity.RISK,
          "Controller without a source",
          "Controllers that need levels with those that name their source",
          "Nobody feeds it: it stays dark, or plays what is left in its storage.");

  @Override
  public Page page() {
    return PAGE;
  }

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
    List<Controller> controllers = facts.plan().display().controllers();
    boolean hosts = controllers.stream().anyMatch(c -> c.protocol() == Protocol.NONE);
    for (int i = 0; i < controllers.size(); i++) {
      Controller controller = controllers.get(i);
      boolean sentTo = facts.resolution().blocks().get(i).channels() > 0;
      // as long as no computer is in the plan, it is not the controllers that lack something
      if (hosts && sentTo && controller.settings().source().isEmpty()) {
        out.accept(
            finding(
                "%s %s names no source".formatted(controller.tag(), controller.name()),
                Measure.words("no source"),
                Measure.words("a host of the display"),
                List.of(Subject.controller(controller.id()))));
      }
    }
  }
}
