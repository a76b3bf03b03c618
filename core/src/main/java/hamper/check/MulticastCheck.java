package hamper.check;

import hamper.address.Transport;
import hamper.display.Subnet;
import hamper.facts.Facts;
import hamper.network.Flow;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** What the switches of a subnet do with the multicast that is sent in it. */
final class MulticastCheck extends Check {
  private static final String COMPARES =
      "What the switches of each subnet do with multicast, where a device in it is sent to so";

  private final Optional<Subnet.Multicast> which;
  private final String words;

  private MulticastCheck(
      Optional<Subnet.Multicast> which,
      String code,
      Severity severity,
      String title,
      String compares,
      String yard,
      String words) {
    super(code, Area.NETWORK, severity, title, COMPARES + ": " + compares, yard);
    this.which = which;
    this.words = words;
  }

  static MulticastCheck unasked() {
    return new MulticastCheck(
        Optional.of(Subnet.Multicast.UNASKED),
        "multicast-unasked",
        Severity.FAULT,
        "Multicast dies after some minutes",
        "snooping without a querier",
        "All is well after a start, and some minutes later everything stands still. Turn the querier on in one switch, or send unicast.",
        "has switches that snoop, and no querier");
  }

  static MulticastCheck floods() {
    return new MulticastCheck(
        Optional.of(Subnet.Multicast.FLOODS),
        "multicast-floods",
        Severity.RISK,
        "Multicast goes out of every port",
        "no snooping",
        "Every device and every link gets the packets of all: slow ones stutter. Turn on snooping and a querier, or send unicast.",
        "has switches that do not snoop");
  }

  static MulticastCheck unknown() {
    return new MulticastCheck(
        Optional.empty(),
        "multicast-unknown",
        Severity.HINT,
        "Nobody said what the switches do with multicast",
        "not known",
        "Without snooping everybody gets everything; with snooping but no querier it dies after some minutes. Look at the switches, and say it at the subnet.",
        "does not say what its switches do");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Subnet subnet : facts.plan().subnets().all()) {
      if (!subnet.multicast().equals(which)) {
        continue;
      }
      List<String> sentTo =
          facts.flows().stream()
              .filter(flow -> sent(facts, subnet, flow))
              .map(flow -> facts.plan().existingController(flow.controller()).tag())
              .toList();
      if (!sentTo.isEmpty()) {
        out.accept(
            finding(
                "%s %s, and %s sent to by multicast".formatted(subnet.name(), words, who(sentTo)),
                Measure.named(subnet.multicast().map(Subnet.Multicast::title).orElse("not known")),
                Measure.words(Subnet.Multicast.ASKED.title()),
                List.of(Subject.part(Subject.Kind.SUBNET, subnet.id()))));
      }
    }
  }

  private static String who(List<String> tags) {
    return tags.size() == 1 ? tags.get(0) + " is" : tags.size() + " devices are";
  }

  /** Whether something is sent by multicast into a subnet. */
  static boolean sent(Facts facts, Subnet subnet, Flow flow) {
    return flow.transport() == Transport.MULTICAST
        && !flow.backup()
        && flow.traffic().packetsPerSecond() > 0
        && facts
            .plan()
            .existingController(flow.controller())
            .address()
            .filter(subnet::contains)
            .isPresent();
  }
}
