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
import hamper.value.Identified;
import hamper.value.Require;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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
    return new Restore(
        label,
        whole(from.name(), to.name()),
        whole(from.settings(), to.settings()),
        parts(from.models(), to.models()),
        parts(from.pixelTypes(), to.pixelTypes()),
        parts(from.subnets(), to.subnets()),
        parts(from.zones(), to.zones()),
        parts(from.props(), to.props()),
        parts(from.controllers(), to.controllers()),
        whole(from.power(), to.power()),
        parts(from.enclosures(), to.enclosures()),
        parts(from.links(), to.links()),
        whole(from.accepted(), to.accepted()),
        whole(from.workshop(), to.workshop()));
  }

  @Override
  public Display change(Plan plan) {
    Display now = plan.display();
    return new Display(
        name.orElse(now.name()),
        settings.orElse(now.settings()),
        apply(models, now.models()),
        apply(pixelTypes, now.pixelTypes()),
        apply(subnets, now.subnets()),
        apply(zones, now.zones()),
        apply(props, now.props()),
        apply(controllers, now.controllers()),
        power.orElse(now.power()),
        apply(enclosures, now.enclosures()),
        apply(links, now.links()),
        accepted.orElse(now.accepted()),
        workshop.map(was -> was.restoredOver(now.workshop())).orElse(now.workshop()));
  }

  @Override
  public String label(Plan plan) {
    return label;
  }

  private static <T> Optional<T> whole(T from, T to) {
    return from.equals(to) ? Optional.empty() : Optional.of(to);
  }

  private static <T extends Identified> Optional<Parts<T>> parts(List<T> from, List<T> to) {
    if (from.equals(to)) {
      return Optional.empty();
    }
    Map<String, T> before = byId(from);
    List<T> changed = to.stream().filter(part -> !part.equals(before.get(part.id()))).toList();
    return Optional.of(new Parts<>(to.stream().map(Identified::id).toList(), changed));
  }

  private static <T extends Identified> List<T> apply(Optional<Parts<T>> parts, List<T> now) {
    if (parts.isEmpty()) {
      return now;
    }
    Map<String, T> known = byId(now);
    known.putAll(byId(parts.get().changed()));
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

  private static <T extends Identified> Map<String, T> byId(List<T> parts) {
    Map<String, T> byId = new HashMap<>();
    parts.forEach(part -> byId.put(part.id(), part));
    return byId;
  }
}
