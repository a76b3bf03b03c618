package hamper.check;

import hamper.display.Controller;
import hamper.display.Subnet;
import hamper.facts.Facts;
import hamper.load.Traffic;
import hamper.network.Flow;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/** More packets or bits than a device, a link or the air takes. */
final class TrafficCheck extends Check {
  TrafficCheck() {
    super(
        "traffic",
        Area.NETWORK,
        Severity.RISK,
        "Too much traffic",
        "Packets a second of a controller with its model's limit; Mbit/s of a controller or of a source's adapter with half of 100 Mbit/s; Mbit/s of all Wi-Fi devices together with a quarter of 20 Mbit/s, and their packets with 300 a second, a rule of thumb",
        "Pictures stutter as soon as a lot moves at once.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    Map<String, Traffic> adapters = new LinkedHashMap<>();
    Map<String, Subject> hosts = new LinkedHashMap<>();
    Set<String> told = new HashSet<>();
    Traffic air = Traffic.NONE;
    List<Subject> onAir = new ArrayList<>();
    for (Flow flow : facts.flows()) {
      if (flow.backup()) {
        continue; // silent while the first source speaks
      }
      Controller controller = facts.plan().existingController(flow.controller());
      Traffic traffic = flow.traffic();
      device(facts, controller, traffic, out);
      if (flow.wifi()) {
        air = air.plus(traffic);
        onAir.add(Subject.controller(controller.id()));
      } else {
        boolean tooMuch =
            link(controller.tag() + " is sent", traffic, Subject.controller(controller.id()), out);
        if (tooMuch) {
          flow.source().ifPresent(told::add);
        }
      }
      flow.source()
          .ifPresent(
              source -> {
                String tag = facts.plan().existingController(source).tag();
                String key =
                    "%s sends%s".formatted(tag, flow.adapter().map(a -> " from " + a).orElse(""));
                adapters.merge(key, traffic, Traffic::plus);
                hosts.put(key, Subject.controller(source));
              });
    }
    // what one device gets too much of is not told again of its source
    adapters.forEach(
        (key, traffic) -> {
          if (!told.contains(hosts.get(key).controller().orElseThrow())) {
            link(key, traffic, hosts.get(key), out);
          }
        });
    flooded(facts, out);
    if (air.megabitsPerSecond() > Traffic.MOST_AIR) {
      out.accept(tooMuch("Over Wi-Fi go", air, Traffic.MOST_AIR, onAir));
    } else if (air.packetsPerSecond() > Traffic.MOST_AIR_PACKETS) {
      Measure found = Measure.of(air.packetsPerSecond(), 0, "packets/s");
      Measure allowed = Measure.rated(Traffic.MOST_AIR_PACKETS, "packets/s");
      out.accept(
          finding(
              "Over Wi-Fi go %s; plan for %s at most".formatted(found, allowed),
              found,
              allowed,
              onAir));
    }
  }

  /** Where switches do not snoop, the slowest link gets the multicast of all. */
  private void flooded(Facts facts, Consumer<Finding> out) {
    for (Subnet subnet : facts.plan().subnets().all()) {
      if (!subnet.multicast().equals(Optional.of(Subnet.Multicast.FLOODS))) {
        continue;
      }
      Traffic all =
          facts.flows().stream()
              .filter(flow -> MulticastCheck.sent(facts, subnet, flow))
              .map(Flow::traffic)
              .reduce(Traffic.NONE, Traffic::plus);
      boolean air =
          facts.plan().controllers().all().stream()
              .filter(one -> one.address().filter(subnet::contains).isPresent())
              .anyMatch(one -> facts.plan().modelOf(one).wifi());
      double most = air ? Traffic.MOST_AIR : Traffic.MOST_WIRED;
      if (all.megabitsPerSecond() > most) {
        out.accept(
            tooMuch(
                "Multicast floods %s, %s included:"
                    .formatted(subnet.name(), air ? "Wi-Fi" : "every port"),
                all,
                most,
                List.of(Subject.part(Subject.Kind.SUBNET, subnet.id()))));
      }
    }
  }

  private void device(Facts facts, Controller controller, Traffic traffic, Consumer<Finding> out) {
    Measure found = Measure.of(traffic.packetsPerSecond(), 0, "packets/s");
    facts
        .plan()
        .modelOf(controller)
        .packetsPerSecond()
        .filter(most -> traffic.packetsPerSecond() > most)
        .ifPresent(
            most ->
                out.accept(
                    finding(
                        "%s is sent %s; its model takes %d"
                            .formatted(controller.tag(), found, most),
                        found,
                        Measure.count(most, "packets/s"),
                        List.of(Subject.controller(controller.id())))));
  }

  private boolean link(String who, Traffic traffic, Subject subject, Consumer<Finding> out) {
    boolean over = traffic.megabitsPerSecond() > Traffic.MOST_WIRED;
    if (over) {
      out.accept(tooMuch(who, traffic, Traffic.MOST_WIRED, List.of(subject)));
    }
    return over;
  }

  private Finding tooMuch(String who, Traffic traffic, double most, List<Subject> subjects) {
    Measure found = Measure.of(traffic.megabitsPerSecond(), 1, "Mbit/s");
    Measure allowed = Measure.of(most, 0, "Mbit/s");
    return finding(
        "%s %s; plan for %s at most".formatted(who, found, allowed), found, allowed, subjects);
  }
}
