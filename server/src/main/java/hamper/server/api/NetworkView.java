package hamper.server.api;

import hamper.display.Controller;
import hamper.display.Enclosure;
import hamper.display.Link;
import hamper.display.Plan;
import hamper.display.Supply;
import hamper.facts.Facts;
import hamper.network.AddressLine;
import hamper.network.Flow;
import hamper.network.Occupant;
import java.util.List;
import java.util.Optional;

/**
 * The show network.
 *
 * @param lines one for each subnet
 * @param outside devices whose address lies in no subnet
 * @param flows who sends to whom, in list order
 * @param enclosures with what is in them
 * @param links between them
 */
public record NetworkView(
    List<AddressLine> lines,
    List<Occupant> outside,
    List<Flow> flows,
    List<EnclosureView> enclosures,
    List<Link> links) {
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
      int plugged) {
    private static EnclosureView of(Plan plan, Enclosure enclosure) {
      Optional<String> here = Optional.of(enclosure.id());
      List<Controller> controllers =
          plan.controllers().all().stream()
              .filter(one -> one.settings().enclosure().equals(here))
              .toList();
      long wired = controllers.stream().filter(one -> !plan.modelOf(one).wifi()).count();
      long links = plan.links().all().stream().filter(link -> link.touches(enclosure.id())).count();
      return new EnclosureView(
          enclosure,
          controllers.stream().map(Controller::id).toList(),
          plan.supplies().all().stream()
              .filter(one -> one.enclosure().equals(here))
              .map(Supply::id)
              .toList(),
          enclosure.switches().stream().mapToInt(Integer::intValue).sum(),
          Math.toIntExact(wired + links));
    }
  }

  static NetworkView of(Facts facts) {
    Plan plan = facts.plan();
    return new NetworkView(
        AddressLine.of(plan.display()),
        AddressLine.outside(plan.display()),
        facts.flows(),
        plan.enclosures().all().stream().map(one -> EnclosureView.of(plan, one)).toList(),
        plan.links().all());
  }
}
