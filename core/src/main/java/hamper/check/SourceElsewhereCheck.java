package hamper.check;

import hamper.address.IpAddress;
import hamper.display.Controller;
import hamper.display.Subnet;
import hamper.facts.Facts;
import hamper.network.Flow;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** A source that has no address in its controller's subnet. */
final class SourceElsewhereCheck extends Check {
  SourceElsewhereCheck() {
    super(
        "source-elsewhere",
        Area.NETWORK,
        Severity.FAULT,
        "Source in another subnet",
        "The subnet of each controller with the addresses and adapters of its source and its backup",
        "Packets leave by the wrong adapter or not at all: the controller stays dark.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Flow flow : facts.flows()) {
      Controller controller = facts.plan().existingController(flow.controller());
      Optional<Subnet> subnet = controller.address().flatMap(facts.plan()::subnetOf);
      Optional<Controller> source = flow.source().flatMap(facts.plan()::controller);
      if (subnet.isPresent() && source.isPresent()) {
        List<IpAddress> own = source.get().addresses();
        if (!own.isEmpty() && own.stream().noneMatch(subnet.get()::contains)) {
          out.accept(told(controller, source.get(), subnet.get(), own));
        }
      }
    }
  }

  private Finding told(
      Controller controller, Controller source, Subnet subnet, List<IpAddress> own) {
    String has = own.stream().map(IpAddress::text).collect(Collectors.joining(", "));
    return finding(
        "%s lies in %s (%s/%d), and its source %s only has %s"
            .formatted(
                controller.tag(),
                subnet.name(),
                subnet.network(),
                subnet.prefix(),
                source.tag(),
                has),
        Measure.named(has),
        Measure.words(
            "an address from %s to %s".formatted(subnet.firstDevice(), subnet.lastDevice())),
        List.of(Subject.controller(controller.id()), Subject.controller(source.id())));
  }
}
