package hamper.advise;

import hamper.address.Transport;
import hamper.check.Finding;
import hamper.check.Subject;
import hamper.display.Controller;
import hamper.display.Link;
import hamper.display.Plan;
import hamper.display.Subnet;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.edit.RemoveLink;
import hamper.facts.Facts;
import hamper.value.RecordShape;
import java.util.List;
import java.util.stream.Stream;

/** Puts links right, and how packets get through the switches. */
final class NetworkAdviser implements Adviser {
  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    Plan plan = facts.plan();
    Subject main = finding.subjects().get(0);
    return switch (finding.code()) {
      case "link-length" -> link(plan, main).map(NetworkAdviser::asFibre);
      case "link-loop" -> link(plan, main).map(link -> new RemoveLink(link.id()));
      default ->
          main.part(Subject.Kind.SUBNET).stream()
              .map(plan.subnets()::existing)
              .flatMap(subnet -> unicast(plan, subnet));
    };
  }

  private static Stream<Link> link(Plan plan, Subject main) {
    return main.part(Subject.Kind.LINK).map(plan.links()::existing).stream();
  }

  private static Edit asFibre(Link link) {
    return EditsBetween.fields(link, RecordShape.with(link, "kind", Link.Kind.FIBRE));
  }

  /** Every device of a subnet that is sent to by multicast, sent to by its own address instead. */
  private static Stream<Edit> unicast(Plan plan, Subnet subnet) {
    List<Edit> edits =
        plan.controllers().all().stream()
            .filter(one -> one.transport() == Transport.MULTICAST)
            .filter(one -> one.address().filter(subnet::contains).isPresent())
            .flatMap(one -> EditsBetween.of(one, unicast(one)).stream())
            .toList();
    return edits.isEmpty()
        ? Stream.empty()
        : Stream.of(EditsBetween.together("Send unicast in " + named(subnet), edits));
  }

  private static Controller unicast(Controller controller) {
    return controller.withSettings(controller.settings().withTransport(Transport.UNICAST));
  }

  private static String named(Subnet subnet) {
    return subnet.name().length() > 60 ? "this subnet" : subnet.name();
  }
}
