package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Enclosure;
import hamper.display.Link;
import hamper.display.MainsCircuit;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Subnet;
import hamper.display.Supply;
import hamper.display.Zone;
import hamper.value.Identified;
import hamper.value.Listed;
import hamper.value.Require;
import java.util.List;
import java.util.function.Function;

/**
 * The lists of a display whose entries have ids: what adding, changing and removing of all of them
 * have in common.
 *
 * @param plural how people call many of them
 * @param listed those of a plan
 * @param put a display with others in their place
 * @param title how people call one of them
 */
record Kind<T extends Record & Identified>(
    String plural, Function<Plan, Listed<T>> listed, Put<T> put, Function<T, String> title) {
  static final Kind<Controller> CONTROLLERS =
      new Kind<>("controllers", Plan::controllers, Display::withControllers, Controller::tag);
  static final Kind<Prop> PROPS = new Kind<>("props", Plan::props, Display::withProps, Prop::name);
  static final Kind<Zone> ZONES = new Kind<>("zones", Plan::zones, Display::withZones, Zone::name);
  static final Kind<Subnet> SUBNETS =
      new Kind<>("subnets", Plan::subnets, Display::withSubnets, Subnet::name);
  static final Kind<Supply> SUPPLIES =
      new Kind<>(
          "supplies",
          Plan::supplies,
          (display, all) -> display.withPower(display.power().withSupplies(all)),
          Supply::name);
  static final Kind<MainsCircuit> MAINS =
      new Kind<>(
          "mains circuits",
          Plan::mains,
          (display, all) -> display.withPower(display.power().withMains(all)),
          MainsCircuit::name);

  static final Kind<Enclosure> ENCLOSURES =
      new Kind<>("enclosures", Plan::enclosures, Display::withEnclosures, Enclosure::name);
  static final Kind<Link> LINKS = new Kind<>("links", Plan::links, Display::withLinks, Link::name);

  /** Puts a list into a display. */
  interface Put<T> {
    Display into(Display display, List<T> all);
  }

  /** What an edit names: something, and not more than there can be. */
  static List<String> named(String field, List<String> ids) {
    Require.inRange(field, ids.size(), 1, PutProps.MOST);
    return List.copyOf(ids);
  }

  Display adding(Plan plan, List<T> more) {
    return put.into(plan.display(), listed.apply(plan).adding(more));
  }

  Display changing(Plan plan, List<String> ids, ChangeOf<T> change) {
    return put.into(plan.display(), listed.apply(plan).changing(ids, change::over));
  }

  /**
   * @param from what of the plan has let go of them already
   */
  Display without(Plan plan, List<String> ids, Display from) {
    return put.into(from, listed.apply(plan).without(ids));
  }

  /** How people call one that is there. */
  String title(Plan plan, String id) {
    return title.apply(listed.apply(plan).existing(id));
  }

  /** What a change of some of them says. */
  String told(Plan plan, List<String> ids, Record change) {
    return Told.of(plan, ids, id -> title(plan, id), plural, change);
  }
}
