package hamper.samples;

import hamper.display.Breaker;
import hamper.display.Controller;
import hamper.display.Enclosure;
import hamper.display.Link;
import hamper.display.MainsCircuit;
import hamper.display.Plan;
import hamper.display.Subnet;
import hamper.display.Supply;
import hamper.display.Zone;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.edit.PutEnclosure;
import hamper.edit.PutLink;
import hamper.edit.PutMainsCircuit;
import hamper.edit.PutSubnet;
import hamper.edit.PutSupply;
import hamper.edit.PutZone;
import hamper.edit.RemoveEnclosure;
import hamper.edit.RemoveLink;
import hamper.edit.RemoveMainsCircuit;
import hamper.edit.RemoveSubnet;
import hamper.edit.RemoveSupply;
import hamper.edit.RemoveZone;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** What random planners do to zones, power, the network and enclosures. */
final class RandomSiteEdits {
  private final Choice choice;

  RandomSiteEdits(Choice choice) {
    this.choice = choice;
  }

  List<Function<Plan, Edit>> kinds() {
    return List.of(
        this::zone,
        this::removeZone,
        this::supply,
        this::removeSupply,
        this::mains,
        this::removeMains,
        this::subnet,
        this::removeSubnet,
        this::enclosure,
        this::housed,
        this::removeEnclosure,
        this::link,
        this::removeLink);
  }

  private Edit zone(Plan plan) {
    Zone like = choice.one(plan.display().zones());
    boolean changes = choice.random().nextBoolean();
    Zone zone =
        new Zone(
            changes ? like.id() : choice.id(),
            like.name(),
            Optional.of((double) choice.random().nextInt(300)),
            Optional.of((double) choice.random().nextInt(300)));
    return changes ? EditsBetween.fields(like, zone) : new PutZone(zone);
  }

  private Edit removeZone(Plan plan) {
    return new RemoveZone(choice.one(plan.display().zones()).id());
  }

  private Edit supply(Plan plan) {
    Supply like = choice.one(plan.display().power().supplies());
    boolean changes = choice.random().nextBoolean();
    Supply supply =
        new Supply(
            changes ? like.id() : choice.id(),
            like.name(),
            like.zone(),
            choice.random().nextInt(8) == 0 ? 5 : 12,
            5 + choice.random().nextInt(60),
            like.mains(),
            like.efficiencyPercent(),
            choice.maybe(() -> choice.one(plan.enclosures().all()).id()),
            choice.maybe(() -> choice.random().nextInt(5) / 2.0),
            choice.maybe(() -> 20.0 + choice.random().nextInt(60)));
    return changes ? EditsBetween.fields(like, supply) : new PutSupply(supply);
  }

  private Edit removeSupply(Plan plan) {
    return new RemoveSupply(choice.one(plan.display().power().supplies()).id());
  }

  private Edit mains(Plan plan) {
    MainsCircuit like = choice.one(plan.display().power().mains());
    boolean changes = choice.random().nextBoolean();
    MainsCircuit mains =
        new MainsCircuit(
            changes ? like.id() : choice.id(),
            like.name(),
            like.volts(),
            10 + choice.random().nextInt(10),
            choice.random().nextInt(500),
            choice.maybe(() -> choice.one(List.of(Breaker.values()))),
            choice.maybe(() -> 30.0));
    return changes ? EditsBetween.fields(like, mains) : new PutMainsCircuit(mains);
  }

  private Edit removeMains(Plan plan) {
    return new RemoveMainsCircuit(choice.one(plan.display().power().mains()).id());
  }

  private Edit subnet(Plan plan) {
    Subnet like = choice.one(plan.display().subnets());
    boolean changes = choice.random().nextBoolean();
    Subnet subnet =
        new Subnet(
            changes ? like.id() : choice.id(),
            "Subnet " + choice.random().nextInt(100),
            like.network(),
            like.prefix(),
            Optional.empty(),
            Optional.empty(),
            choice.maybe(() -> choice.one(List.of(Subnet.Multicast.values()))));
    return changes ? EditsBetween.fields(like, subnet) : new PutSubnet(subnet);
  }

  private Edit removeSubnet(Plan plan) {
    return new RemoveSubnet(choice.one(plan.display().subnets()).id());
  }

  private Edit enclosure(Plan plan) {
    boolean changes = choice.random().nextBoolean() && !plan.enclosures().all().isEmpty();
    Enclosure enclosure =
        new Enclosure(
            changes ? choice.one(plan.enclosures().all()).id() : choice.id(),
            "Box " + choice.random().nextInt(100),
            choice.maybe(() -> choice.one(plan.zones().all()).id()),
            choice.maybe(() -> choice.one(plan.mains().all()).id()),
            choice.random().nextBoolean() ? List.of(8, 5) : List.of());
    return changes
        ? EditsBetween.fields(plan.enclosures().existing(enclosure.id()), enclosure)
        : new PutEnclosure(enclosure);
  }

  private Edit housed(Plan plan) {
    Controller controller = choice.one(plan.controllers().all());
    Optional<String> in = choice.maybe(() -> choice.one(plan.enclosures().all()).id());
    return EditsBetween.fields(
        controller, controller.withSettings(controller.settings().withEnclosure(in)));
  }

  private Edit removeEnclosure(Plan plan) {
    return new RemoveEnclosure(choice.one(plan.enclosures().all()).id());
  }

  private Edit link(Plan plan) {
    boolean changes = choice.random().nextBoolean() && !plan.links().all().isEmpty();
    Link link =
        new Link(
            changes ? choice.one(plan.links().all()).id() : choice.id(),
            "N" + choice.random().nextInt(100),
            choice.one(plan.enclosures().all()).id(),
            choice.one(plan.enclosures().all()).id(),
            choice.one(List.of(Link.Kind.values())),
            choice.maybe(() -> 1.0 + choice.random().nextInt(120)));
    return changes
        ? EditsBetween.fields(plan.links().existing(link.id()), link)
        : new PutLink(link);
  }

  private Edit removeLink(Plan plan) {
    return new RemoveLink(choice.one(plan.links().all()).id());
  }
}
