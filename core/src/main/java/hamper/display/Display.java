package hamper.display;

import hamper.catalog.DeviceModel;
import hamper.catalog.PixelType;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * One installation being planned. Its parts refer to each other by id, and every reference leads
 * somewhere; whether device models and pixel types exist is settled by {@link Plan}.
 *
 * @param models device models that do not ship with Hamper
 * @param pixelTypes pixel types that do not ship with Hamper
 * @param subnets of the show network
 * @param controllers in list order, hosts included
 * @param power supplies and mains circuits
 * @param accepted risks and hints that somebody takes
 */
public record Display(
    String name,
    DisplaySettings settings,
    List<DeviceModel> models,
    List<PixelType> pixelTypes,
    List<Subnet> subnets,
    List<Zone> zones,
    List<Prop> props,
    List<Controller> controllers,
    SitePower power,
    List<Accepted> accepted) {

  /**
   * @throws RefusedException with the place of the first thing that cannot be
   */
  public Display {
    Require.name("name", name);
    models = List.copyOf(models);
    pixelTypes = List.copyOf(pixelTypes);
    subnets = List.copyOf(subnets);
    zones = List.copyOf(zones);
    props = List.copyOf(props);
    controllers = List.copyOf(controllers);
    accepted = List.copyOf(accepted);
    Set<String> subnetIds = new HashSet<>();
    for (int i = 0; i < subnets.size(); i++) {
      int at = i;
      once(subnetIds, subnets.get(i).id(), () -> "subnets[%d].id".formatted(at));
    }
    Set<String> zoneIds = zoneIds(zones);
    Set<String> pieceIds = pieceIds(props, zoneIds);
    controllerIds(controllers, zoneIds);
    legs(controllers, pieceIds);
    supplies(power, controllers, zoneIds);
  }

  /** Without subnets and supplies, and with nothing accepted. */
  public Display(
      String name,
      DisplaySettings settings,
      List<DeviceModel> models,
      List<PixelType> pixelTypes,
      List<Zone> zones,
      List<Prop> props,
      List<Controller> controllers) {
    this(
        name,
        settings,
        models,
        pixelTypes,
        List.of(),
        zones,
        props,
        controllers,
        SitePower.NONE,
        List.of());
  }

  public static Display empty(String name) {
    return new Display(
        name, DisplaySettings.standard(), List.of(), List.of(), List.of(), List.of(), List.of());
  }

  public Display withZones(List<Zone> newZones) {
    return copy(c -> c.zones = newZones);
  }

  public Display withProps(List<Prop> newProps) {
    return copy(c -> c.props = newProps);
  }

  public Display withControllers(List<Controller> newControllers) {
    return copy(c -> c.controllers = newControllers);
  }

  public Display withPixelTypes(List<PixelType> newTypes) {
    return copy(c -> c.pixelTypes = newTypes);
  }

  public Display withSubnets(List<Subnet> newSubnets) {
    return copy(c -> c.subnets = newSubnets);
  }

  public Display withModels(List<DeviceModel> newModels) {
    return copy(c -> c.models = newModels);
  }

  public Display withPower(SitePower newPower) {
    return copy(c -> c.power = newPower);
  }

  public Display withAccepted(List<Accepted> newAccepted) {
    return copy(c -> c.accepted = newAccepted);
  }

  public Display withNameAndSettings(String newName, DisplaySettings newSettings) {
    return copy(
        c -> {
          c.name = newName;
          c.settings = newSettings;
        });
  }

  private Display copy(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return new Display(
        copy.name,
        copy.settings,
        copy.models,
        copy.pixelTypes,
        copy.subnets,
        copy.zones,
        copy.props,
        copy.controllers,
        copy.power,
        copy.accepted);
  }

  /** What may be changed, on its way from one value to the next; nobody else sees it. */
  private static final class Copy {
    private String name;
    private DisplaySettings settings;
    private List<DeviceModel> models;
    private List<PixelType> pixelTypes;
    private List<Subnet> subnets;
    private List<Zone> zones;
    private List<Prop> props;
    private List<Controller> controllers;
    private SitePower power;
    private List<Accepted> accepted;

    private Copy(Display from) {
      name = from.name;
      settings = from.settings;
      models = from.models;
      pixelTypes = from.pixelTypes;
      subnets = from.subnets;
      zones = from.zones;
      props = from.props;
      controllers = from.controllers;
      power = from.power;
      accepted = from.accepted;
    }
  }

  private static Set<String> zoneIds(List<Zone> zones) {
    Set<String> ids = new HashSet<>();
    for (int i = 0; i < zones.size(); i++) {
      int at = i;
      once(ids, zones.get(i).id(), () -> "zones[%d].id".formatted(at));
    }
    return ids;
  }

  private static Set<String> pieceIds(List<Prop> props, Set<String> zoneIds) {
    Set<String> propIds = new HashSet<>();
    Set<String> pieceIds = new HashSet<>();
    for (int i = 0; i < props.size(); i++) {
      Prop prop = props.get(i);
      int at = i;
      once(propIds, prop.id(), () -> "props[%d].id".formatted(at));
      if (prop.zone().isPresent()) {
        known(zoneIds, prop.zone().get(), () -> "props[%d].zone".formatted(at), "zone");
      }
      for (int j = 0; j < prop.pieces().size(); j++) {
        int piece = j;
        once(
            pieceIds,
            prop.pieces().get(j).id(),
            () -> "props[%d].pieces[%d].id".formatted(at, piece));
      }
    }
    return pieceIds;
  }

  private static void controllerIds(List<Controller> controllers, Set<String> zoneIds) {
    Set<String> ids = new HashSet<>();
    Set<String> tags = new HashSet<>();
    for (int i = 0; i < controllers.size(); i++) {
      String place = "controllers[" + i + "]";
      once(ids, controllers.get(i).id(), () -> place + ".id");
      once(tags, controllers.get(i).tag(), () -> place + ".tag");
    }
    for (int i = 0; i < controllers.size(); i++) {
      ControllerSettings settings = controllers.get(i).settings();
      String place = "controllers[" + i + "]";
      if (settings.zone().isPresent()) {
        known(zoneIds, settings.zone().get(), () -> place + ".settings.zone", "zone");
      }
      Optional<String> backup = controllers.get(i).sending().backup();
      if (backup.isPresent()) {
        known(ids, backup.get(), () -> place + ".sending.backup", "controller or host");
      }
      if (settings.source().isPresent()) {
        known(ids, settings.source().get(), () -> place + ".settings.source", "controller or host");
      }
    }
  }

  private static void legs(List<Controller> controllers, Set<String> pieceIds) {
    Set<String> hung = new HashSet<>();
    Set<String> mirrors = new HashSet<>();
    eachLeg(
        controllers,
        (place, leg) -> {
          known(pieceIds, leg.piece(), () -> place.field("piece"), "piece");
          if (!hung.add(leg.piece())) {
            throw hangsTwice(controllers, leg.piece());
          }
          if (leg.mirrorOf().isPresent()) {
            known(pieceIds, leg.mirrorOf().get(), () -> place.field("mirrorOf"), "piece");
            mirrors.add(leg.piece());
          }
        });
    if (mirrors.isEmpty()) {
      return;
    }
    eachLeg(
        controllers,
        (place, leg) -> {
          if (leg.mirrorOf().isPresent() && mirrors.contains(leg.mirrorOf().get())) {
            throw new RefusedException(
                place.field("mirrorOf"),
                leg.mirrorOf().get(),
                "a mirror's original is not itself a mirror");
          }
        });
  }

  private static RefusedException hangsTwice(List<Controller> controllers, String piece) {
    List<LegPlace> places = new ArrayList<>();
    eachLeg(
        controllers,
        (place, leg) -> {
          if (leg.piece().equals(piece)) {
            places.add(place);
          }
        });
    return new RefusedException(
        places.get(1).field("piece"),
        Require.quoted(piece),
        "a piece hangs once, and this one hangs at " + places.get(0).written());
  }

  /** Zones of supplies, and supplies of feeds and power inputs. */
  private static void supplies(SitePower power, List<Controller> controllers, Set<String> zoneIds) {
    Set<String> supplyIds = new HashSet<>();
    for (int i = 0; i < power.supplies().size(); i++) {
      Supply supply = power.supplies().get(i);
      supplyIds.add(supply.id());
      if (supply.zone().isPresent()) {
        String place = "power.supplies[" + i + "].zone";
        known(zoneIds, supply.zone().get(), () -> place, "zone");
      }
    }
    for (int i = 0; i < controllers.size(); i++) {
      String place = "controllers[" + i + "].powered";
      for (PoweredInput input : controllers.get(i).powered()) {
        known(supplyIds, input.supply(), () -> place, "supply");
      }
    }
    eachLeg(
        controllers,
        (place, leg) -> {
          for (Feed feed : leg.feeds()) {
            known(supplyIds, feed.supply(), () -> place.field("feeds"), "supply");
          }
        });
  }

  /** Written only where something is wrong: there are many legs, and mistakes are few. */
  private record LegPlace(int controller, int run, int leg) {
    String written() {
      return "controllers[%d].runs[%d].legs[%d]".formatted(controller, run, leg);
    }

    String field(String name) {
      return written() + "." + name;
    }
  }

  private interface LegVisitor {
    void visit(LegPlace place, Leg leg);
  }

  private static void eachLeg(List<Controller> controllers, LegVisitor visitor) {
    for (int c = 0; c < controllers.size(); c++) {
      List<Run> runs = controllers.get(c).runs();
      for (int r = 0; r < runs.size(); r++) {
        List<Leg> legs = runs.get(r).legs();
        for (int l = 0; l < legs.size(); l++) {
          visitor.visit(new LegPlace(c, r, l), legs.get(l));
        }
      }
    }
  }

  private static void once(Set<String> seen, String id, Supplier<String> place) {
    if (!seen.add(id)) {
      throw new RefusedException(
          place.get(), Require.quoted(id), "it is used already; choose another");
    }
  }

  private static void known(Set<String> ids, String id, Supplier<String> place, String what) {
    if (!ids.contains(id)) {
      throw new RefusedException(
          place.get(),
          Require.quoted(id),
          "no %s of this display has this id; there are %d".formatted(what, ids.size()));
    }
  }
}
