package hamper.check;

import hamper.address.Transport;
import hamper.display.Subnet;
import hamper.facts.Facts;
import hamper.network.Flow;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** What the switches of a subnet do with the multicast that is sent in it. */
final class MulticastCheck implements Check {
  private static final String COMPARES =
      "What the switches of each subnet do with multicast, where a device in it is sent to so";

  static final List<MulticastCheck> ALL =
      List.of(
          new MulticastCheck(
              Optional.of(Subnet.Multicast.UNASKED),
              new Page(
                  "multicast-unasked",
                  Area.NETWORK,
                  Severity.FAULT,
                  "Multicast dies after some minutes",
                  COMPARES + ": snooping without a querier",
                  "All is well after a start, and some minutes later everything stands still. Turn the querier on in one switch, or send unicast."),
              "has switches that snoop, and no querier"),
          new MulticastCheck(
              Optional.of(Subnet.Multicast.FLOODS),
              new Page(
                  "multicast-floods",
                  Area.NETWORK,
                  Severity.RISK,
                  "Multicast goes out of every port",
                  COMPARES + ": no snooping",
                  "Every device and every link gets the packets of all: slow ones stutter. Turn on snooping and a querier, or send unicast."),
              "has switches that do not snoop"),
          new MulticastCheck(
              Optional.empty(),
              new Page(
                  "multicast-unknown",
                  Area.NETWORK,
                  Severity.HINT,
                  "Nobody said what the switches do with multicast",
                  COMPARES + ": not known",
                  "Without snooping everybody gets everything; with snooping but no querier it dies after some minutes. Look at the switches, and say it at the subnet."),
              "does not say what its switches do"));

  private final Optional<Subnet.Multicast> which;
  private final Page page;
  private final String words;

  private MulticastCheck(Optional<Subnet.Multicast> which, Page page, String words) {
    this.which = which;
    this.page = page;
    this.words = words;
  }

  @Override
  public Page page() {
    return page;
  }

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
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
