package hamper.server.api;

import hamper.display.Controller;
import hamper.display.Enclosure;
import hamper.display.Link;
import hamper.display.Plan;
import hamper.display.Supply;
import hamper.facts.Facts;
import hamper.load.Traffic;
import hamper.network.AddressLine;
import hamper.network.Flow;
import hamper.network.Occupant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The show network.
 *
 * @param lines one for each subnet
 * @param outside devices whose address lies in no subnet
 * @param flows who sends to whom, in list order
 * @param enclosures with what is in them
 * @param links between them
 * @param plannedCopperMetres a link of copper is planned up to here (m)
 * @param mostCopperMetres a link of copper carries up to here (m)
 * @param linkMegabits what a wired link carries (Mbit/s)
 * @param airMegabits what the air carries, shared by all that are on it (Mbit/s)
 */
public record NetworkView(
    List<AddressLine> lines,
    List<Occupant> outside,
    List<Flow> flows,
    List<EnclosureView> enclosures,
    List<Link> links,
    double plannedCopperMetres,
    double mostCopperMetres,
    double linkMegabits,
    double airMegabits) {
  /**
   * @param controllers the ids of those in it, hosts included
   * @param supplies the ids of those in it
   * @param switchPorts of all its network switches
   * @param plugged what wants one of them: wired devices in it, and links that lead to it
   */
  public record EnclosureView(
      Enclosure enclosure,
      List<String> controllers,
      List<String> supplies,
      int switchPorts,
      int plugged) {}

  static NetworkView of(Facts facts) {
    Plan plan = facts.plan();
    return new NetworkView(
        AddressLine.of(plan.display()),
        AddressLine.outside(plan.display()),
        facts.flows(),
        enclosures(plan),
        plan.links().all(),
        Link.PLANNED_COPPER_METRES,
        Link.MOST_COPPER_METRES,
        Traffic.LINK,
        Traffic.AIR);
  }

  private static List<EnclosureView> enclosures(Plan plan) {
    Map<Optional<String>, List<Controller>> controllers =
        plan.controllers().all().stream()
            .collect(Collectors.groupingBy(one -> one.settings().enclosure()));
    Map<Optional<String>, List<Supply>> supplies =
        plan.supplies().all().stream().collect(Collectors.groupingBy(Supply::enclosure));
    Map<String, Long> ends =
        plan.links().all().stream()
            .flatMap(link -> Stream.of(link.from(), link.to()))
            .collect(Collectors.groupingBy(end -> end, Collectors.counting()));
    return plan.enclosures().all().stream()
        .map(
            one -> {
              Optional<String> here = Optional.of(one.id());
              List<Controller> inside = controllers.getOrDefault(here, List.of());
              long wired = inside.stream().filter(at -> !plan.modelOf(at).wifi()).count();
              return new EnclosureView(
                  one,
                  inside.stream().map(Controller::id).toList(),
                  supplies.getOrDefault(here, List.of()).stream().map(Supply::id).toList(),
                  one.switches().stream().mapToInt(Integer::intValue).sum(),
                  Math.toIntExact(wired + ends.getOrDefault(one.id(), 0L)));
            })
        .toList();
  }
}
