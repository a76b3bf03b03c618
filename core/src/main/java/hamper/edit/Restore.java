package hamper.edit;

import hamper.catalog.DeviceModel;
import hamper.catalog.PixelType;
import hamper.display.Accepted;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Enclosure;
import hamper.display.Link;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.SitePower;
import hamper.display.Subnet;
import hamper.display.Workshop;
import hamper.display.Zone;
import hamper.value.Require;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Brings parts of a display to a state they had: the inverse of every edit, and its repetition. It
 * holds only what differs.
 *
 * @param label of the edit that it takes back or repeats
 * @param settings and name, where they differ
 * @param subnets and the rest: each kind of part, where any differs
 */
public record Restore(
    String label,
    Optional<String> name,
    Optional<DisplaySettings> settings,
    Optional<Parts<DeviceModel>> models,
    Optional<Parts<PixelType>> pixelTypes,
    Optional<Parts<Subnet>> subnets,
    Optional<Parts<Zone>> zones,
    Optional<Parts<Prop>> props,
    Optional<Parts<Controller>> controllers,
    Optional<SitePower> power,
    Optional<Parts<Enclosure>> enclosures,
    Optional<Parts<Link>> links,
    Optional<List<Accepted>> accepted,
    Optional<Workshop> workshop)
    implements Edit {

  /**
   * @param order the ids of all parts of this kind, as they are to be
   * @param changed those whose content differs
   */
  public record Parts<T>(List<String> order, List<T> changed) {
    public Parts {
      order = List.copyOf(order);
      changed = List.copyOf(changed);
    }
  }

  /** What leads from one display to another, whatever they are. */
  public static Restore between(String label, Display from, Display to) {
    return back(label, from, to);
  }

  /** What leads from one display to another. */
  static Restore back(String label, Display from, Display to) {
    return new Restore(
        label,
        from.name().equals(to.name()) ? Optional.empty() : Optional.of(to.name()),
        from.settings().equals(to.settings()) ? Optional.empty() : Optional.of(to.settings()),
        parts(from.models(), to.models(), DeviceModel::id),
        parts(from.pixelTypes(), to.pixelTypes(), PixelType::id),
        parts(from.subnets(), to.subnets(), Subnet::id),
        parts(from.zones(), to.zones(), Zone::id),
        parts(from.props(), to.props(), Prop::id),
        parts(from.controllers(), to.controllers(), Controller::id),
        from.power().equals(to.power()) ? Optional.empty() : Optional.of(to.power()),
        parts(from.enclosures(), to.enclosures(), Enclosure::id),
        parts(from.links(), to.links(), Link::id),
        from.accepted().equals(to.accepted()) ? Optional.empty() : Optional.of(to.accepted()),
        from.workshop().equals(to.workshop()) ? Optional.empty() : Optional.of(to.workshop()));
  }

  @Override
  public Display change(Plan plan) {
    Display now = plan.display();
    return new Display(
        name.orElse(now.name()),
        settings.orElse(now.settings()),
        apply(models, now.models(), DeviceModel::id),
        apply(pixelTypes, now.pixelTypes(), PixelType::id),
        apply(subnets, now.subnets(), Subnet::id),
        apply(zones, now.zones(), Zone::id),
        apply(props, now.props(), Prop::id),
        apply(controllers, now.controllers(), Controller::id),
        power.orElse(now.power()),
        apply(enclosures, now.enclosures(), Enclosure::id),
        apply(links, now.links(), Link::id),
        accepted.orElse(now.accepted()),
        workshop.map(was -> was.restoredOver(now.workshop())).orElse(now.workshop()));
  }

  @Override
  public String label(Plan plan) {
    return label;
  }

  private static <T> Optional<Parts<T>> parts(List<T> from, List<T> to, Function<T, String> id) {
    if (from.equals(to)) {
      return Optional.empty();
    }
    Map<String, T> before = byId(from, id);
    List<T> changed = to.stream().filter(part -> !part.equals(before.get(id.apply(part)))).toList();
    return Optional.of(new Parts<>(to.stream().map(id).toList(), changed));
  }

  private static <T> List<T> apply(Optional<Parts<T>> parts, List<T> now, Function<T, String> id) {
    if (parts.isEmpty()) {
      return now;
    }
    Map<String, T> known = byId(now, id);
    known.putAll(byId(parts.get().changed(), id));
    return parts.get().order().stream().map(wanted -> existing(known, wanted)).toList();
  }

  private static <T> T existing(Map<String, T> known, String id) {
    Require.that(
        known.containsKey(id),
        "order",
        Require.quoted(id),
        "it is neither there nor brought along");
    return known.get(id);
  }

  private static <T> Map<String, T> byId(List<T> parts, Function<T, String> id) {
    Map<String, T> byId = new HashMap<>();
    parts.forEach(part -> byId.put(id.apply(part), part));
    return byId;
  }
}
