package hamper.check;

import hamper.catalog.Banks;
import hamper.catalog.PortGroup;
import hamper.display.BankCable;
import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.facts.Facts;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** A remote box beyond what a chain may have, or at the end of too much cable. */
final class RemoteBoxCheck extends Check {
  RemoteBoxCheck() {
    super(
        "remote-box",
        Area.PORTS,
        Severity.FAULT,
        "Remote box out of reach",
        "Boxes and bank cables with the most that the model has",
        "The box does not answer: everything on it stays dark.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
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
    for (HungRun run : facts.plan().runsOf(controller)) {
      for (HungLeg leg : run.legs()) {
        if (run.run().kind() == group.kind() && leg.box() > banks.mostBoxes()) {
          out.accept(
              finding(
                  "%s hangs on box %d of %s; a chain has %d boxes at most"
                      .formatted(leg.at().title(), leg.box(), run.written(), banks.mostBoxes()),
                  Measure.numbered("box", leg.box()),
                  Measure.words("boxes 1 to " + banks.mostBoxes()),
                  List.of(Subject.leg(run.port(), leg.leg().piece()))));
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
                Measure found = Measure.rated(metres, "m");
                Measure allowed = Measure.rated(banks.cableMetres(), "m");
                out.accept(
                    finding(
                        "Bank %d of %s has %s of cable; %s is the most"
                            .formatted(bank, controller.tag(), found, allowed),
                        found,
                        allowed,
                        List.of(Subject.controller(controller.id()))));
              }
            });
  }
}
