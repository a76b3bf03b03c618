package hamper.check;

import hamper.address.Transport;
import hamper.facts.Facts;
import hamper.network.Flow;
import java.util.List;
import java.util.function.Consumer;

/** Multicast or broadcast over Wi-Fi. */
final class WifiMulticastCheck extends Check {
  WifiMulticastCheck() {
    super(
        "wifi-multicast",
        Area.NETWORK,
        Severity.RISK,
        "Multicast over Wi-Fi",
        "How packets reach controllers that hang on the air",
        "Wi-Fi sends them slowly and to everybody: pictures stutter, other devices too.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Flow flow : facts.flows()) {
      boolean live = !flow.backup() && flow.traffic().packetsPerSecond() > 0;
      if (live && flow.wifi() && flow.transport() != Transport.UNICAST) {
        String how = flow.transport().title();
        String tag = facts.plan().existingController(flow.controller()).tag();
        out.accept(
            finding(
                "%s hangs on Wi-Fi and is sent to by %s".formatted(tag, how),
                Measure.named(how),
                Measure.words("unicast"),
                List.of(Subject.controller(flow.controller()))));
      }
    }
  }
}
