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
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * The lists of a display whose entries have ids: what adding, changing and removing of all of them
 * have in common.
 *
 * @param of what they are
 * @param word how people call one of them, before its name; nothing where its name says it
 * @param plural how people call many of them
 * @param name what one of them is called
 * @param listed those of a plan
 * @param put a display with others in their place
 * @param setting how one of them is changed
 */
record Kind<T extends Record & Identified>(
    Class<T> of,
    String word,
    String plural,
    Function<T, String> name,
    Function<Plan, Listed<T>> listed,
    Put<T> put,
    Setting<T, ?> setting) {
  static final Kind<Controller> CONTROLLERS =
      new Kind<>(
          Controller.class,
          "",
          "controllers",
          Controller::tag,
          Plan::controllers,
          Display::withControllers,
          new Setting<>(ControllerChange.class, SetControllers::new));
  static final Kind<Prop> PROPS =
      new Kind<>(
          Prop.class,
          "",
          "props",
          Prop::name,
          Plan::props,
          Display::withProps,
          new Setting<>(PropChange.class, SetProps::new));
  static final Kind<Zone> ZONES =
      new Kind<>(
          Zone.class,
          "zone ",
          "zones",
          Zone::name,
          Plan::zones,
          Display::withZones,
          new Setting<>(ZoneChange.class, SetZones::new));
  static final Kind<Subnet> SUBNETS =
      new Kind<>(
          Subnet.class,
          "subnet ",
          "subnets",
          Subnet::name,
          Plan::subnets,
          Display::withSubnets,
          new Setting<>(SubnetChange.class, SetSubnets::new));
  static final Kind<Supply> SUPPLIES =
      new Kind<>(
          Supply.class,
          "supply ",
          "supplies",
          Supply::name,
          Plan::supplies,
          (display, all) -> display.withPower(display.power().withSupplies(all)),
          new Setting<>(SupplyChange.class, SetSupplies::new));
  static final Kind<MainsCircuit> MAINS =
      new Kind<>(
          MainsCircuit.class,
          "mains circuit ",
          "mains circuits",
          MainsCircuit::name,
          Plan::mains,
          (display, all) -> display.withPower(display.power().withMains(all)),
          new Setting<>(MainsChange.class, SetMainsCircuits::new));
  static final Kind<Enclosure> ENCLOSURES =
      new Kind<>(
          Enclosure.class,
          "enclosure ",
          "enclosures",
          Enclosure::name,
          Plan::enclosures,
          Display::withEnclosures,
          new Setting<>(EnclosureChange.class, SetEnclosures::new));
  static final Kind<Link> LINKS =
      new Kind<>(
          Link.class,
          "link ",
          "links",
          Link::name,
          Plan::links,
          Display::withLinks,
          new Setting<>(LinkChange.class, SetLinks::new));

  private static final List<Kind<?>> ALL =
      List.of(CONTROLLERS, PROPS, ZONES, SUBNETS, SUPPLIES, MAINS, ENCLOSURES, LINKS);

  /** Puts a list into a display. */
  interface Put<T> {
    Display into(Display display, List<T> all);
  }

  /** The change of one of them, and the edit that makes it. */
  record Setting<T extends Record & Identified, C extends Record & ChangeOf<T>>(
      Class<C> change, BiFunction<List<String>, C, SetsFields<T>> edit) {
    SetsFields<T> between(T before, T after) {
      return edit.apply(List.of(after.id()), Fields.between(change, before, after));
    }
  }

  @SuppressWarnings("unchecked") // the kind of its class
  static <T extends Record & Identified> Kind<T> of(T one) {
    return (Kind<T>)
        ALL.stream().filter(kind -> kind.of == one.getClass()).findFirst().orElseThrow();
  }

  @SuppressWarnings("unchecked") // the kind that such a change is of
  static <T extends Record & Identified> Kind<T> changedBy(ChangeOf<T> change) {
    return (Kind<T>)
        ALL.stream()
            .filter(kind -> kind.setting.change == change.getClass())
            .findFirst()
            .orElseThrow();
  }

  /** What an edit names: something, and not more than there can be. */
  static List<String> named(String field, List<String> ids) {
    Require.inRange(field, ids.size(), 1, PutProps.MOST);
    return List.copyOf(ids);
  }

  Display adding(Plan plan, List<T> more) {
    return put.into(plan.display(), listed.apply(plan).adding(more));
  }

  Display changing(Plan plan, List<String> ids, UnaryOperator<T> how) {
    return put.into(plan.display(), listed.apply(plan).changing(ids, how));
  }

  /**
   * @param from what of the plan has let go of them already
   */
  Display without(Plan plan, List<String> ids, Display from) {
    return put.into(from, listed.apply(plan).without(ids));
  }

  /** The display with each of them changed; one that is as it was stays the same object. */
  Display each(Plan plan, Display from, UnaryOperator<T> how) {
    return put.into(from, listed.apply(plan).all().stream().map(how).toList());
  }

  /** How people call one that is there. */
  String title(Plan plan, String id) {
    return name.apply(listed.apply(plan).existing(id));
  }

  String called(T one) {
    return word + name.apply(one);
  }
}
