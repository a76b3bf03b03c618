package hamper.check;

import hamper.catalog.Banks;
import hamper.catalog.PortGroup;
import hamper.display.BankCable;
import hamper.display.Controller;
import hamper.display.Leg;
import hamper.display.PortRef;
import hamper.display.Run;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** A remote box beyond what a chain may have, or at the end of too much cable. */
final class RemoteBoxCheck implements Check {
  private static final Page PAGE =
      new Page(
          "remote-box",
          Area.PORTS,
          Severity.FAULT,
          "Remote box out of reach",
          "Boxes and bank cables with the most that the model has",
          "The box does not answer: everything on it stays dark.");

  @Override
  public Page page() {
    return PAGE;
  }

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
    for (Controller controller : facts.plan().display().controllers()) {
      for (PortGroup group : facts.plan().modelOf(controller).ports()) {
        Optional<Banks> banks = group.banks();
        if (banks.isPresent()) {
          boxes(facts, controller, group, banks.get(), out);
          cables(controller, banks.get(), out);
        }
      }
    }
  }

  private void boxes(
      Facts facts, Controller controller, PortGroup group, Banks banks, Consumer<Finding> out) {
    for (Run run : controller.runs()) {
      PortRef port = new PortRef(controller.id(), run.kind(), run.port());
      for (Leg leg : run.legs()) {
        if (run.kind() == group.kind() && leg.box().orElse(1) > banks.mostBoxes()) {
          out.accept(
              finding(
                  "%s hangs on box %d of %s; a chain has %d boxes at most"
                      .formatted(
                          facts.plan().existingPiece(leg.piece()).title(),
                          leg.box().orElse(1),
                          facts.plan().written(port),
                          banks.mostBoxes()),
                  "box " + leg.box().orElse(1),
                  "boxes 1 to " + banks.mostBoxes(),
                  List.of(Subject.leg(port, leg.piece()))));
        }
      }
    }
  }

  private void cables(Controller controller, Banks banks, Consumer<Finding> out) {
    controller.cables().stream()
        .map(BankCable::bank)
        .distinct()
        .forEach(
            bank -> {
              double metres =
                  controller.cables().stream()
                      .filter(cable -> cable.bank() == bank)
                      .mapToDouble(BankCable::metres)
                      .sum();
              if (metres > banks.cableMetres()) {
                out.accept(
                    finding(
                        "Bank %d of %s has %.1f m of cable; %.1f m is the most"
                            .formatted(bank, controller.tag(), metres, banks.cableMetres()),
                        "%.1f m".formatted(metres),
                        "%.1f m".formatted(banks.cableMetres()),
                        List.of(Subject.controller(controller.id()))));
              }
            });
  }
}
