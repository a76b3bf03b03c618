package hamper.server.output;

import hamper.address.Protocol;
import hamper.display.Controller;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.standin.Seat;
import java.util.List;

/** Devices that stand in for a display's: one for each controller that packets go to. */
public final class Seats {
  private Seats() {}

  /** In list order. */
  public static List<Seat> of(Facts facts) {
    return facts.controllers().stream()
        .map(ControllerFacts::controller)
        .filter(controller -> isSentTo(facts, controller))
        .map(
            controller ->
                new Seat(controller.id(), CatalogueFiles.entry(facts.plan().modelOf(controller))))
        .toList();
  }

  /** Whether packets go to a controller at all. */
  public static boolean isSentTo(Facts facts, Controller controller) {
    return !facts.plan().modelOf(controller).hostOnly() && controller.protocol() != Protocol.NONE;
  }
}
