package hamper.display;

import hamper.catalog.DeviceModel;
import hamper.catalog.PixelType;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * One installation being planned. Its parts refer to each other by id, and every reference leads
 * somewhere; whether device models and pixel types exist is settled by {@link Plan}.
 *
 * @param models device models that do not ship with Hamper
 * @param pixelTypes pixel types that do not ship with Hamper
 * @param subnets of the show network
 * @param controllers in list order, hosts included
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
      once(subnetIds, subnets.get(i).id(), "subnets[%d].id".formatted(i));
    }
    Set<String> zoneIds = zoneIds(zones);
    Set<String> pieceIds = pieceIds(props, zoneIds);
    controllerIds(controllers, zoneIds);
    legs(controllers, pieceIds);
  }

  /** Without subnets, and with nothing accepted. */
  public Display(
      String name,
      DisplaySettings settings,
      List<DeviceModel> models,
      List<PixelType> pixelTypes,
      List<Zone> zones,
      List<Prop> props,
      List<Controller> controllers) {
    this(name, settings, models, pixelTypes, List.of(), zones, props, controllers, List.of());
  }

  public static Display empty(String name) {
    return new Display(
        name, DisplaySettings.standard(), List.of(), List.of(), List.of(), List.of(), List.of());
  }

  public Display withZones(List<Zone> newZones) {
    return with(models, pixelTypes, subnets, newZones, props, controllers, accepted);
  }

  public Display withProps(List<Prop> newProps) {
    return with(models, pixelTypes, subnets, zones, newProps, controllers, accepted);
  }

  public Display withControllers(List<Controller> newControllers) {
    return with(models, pixelTypes, subnets, zones, props, newControllers, accepted);
  }

  public Display withPixelTypes(List<PixelType> newTypes) {
    return with(models, newTypes, subnets, zones, props, controllers, accepted);
  }

  public Display withSubnets(List<Subnet> newSubnets) {
    return with(models, pixelTypes, newSubnets, zones, props, controllers, accepted);
  }

  public Display withModels(List<DeviceModel> newModels) {
    return with(newModels, pixelTypes, subnets, zones, props, controllers, accepted);
  }

  public Display withAccepted(List<Accepted> newAccepted) {
    return with(models, pixelTypes, subnets, zones, props, controllers, newAccepted);
  }

  public Display withNameAndSettings(String newName, DisplaySettings newSettings) {
    return new Display(
        newName, newSettings, models, pixelTypes, subnets, zones, props, controllers, accepted);
  }

  private Display with(
      List<DeviceModel> newModels,
      List<PixelType> newTypes,
      List<Subnet> newSubnets,
      List<Zone> newZones,
      List<Prop> newProps,
      List<Controller> newControllers,
      List<Accepted> newAccepted) {
    return new Display(
        name,
        settings,
        newModels,
        newTypes,
        newSubnets,
        newZones,
        newProps,
        newControllers,
        newAccepted);
  }

  private static Set<String> zoneIds(List<Zone> zones) {
    Set<String> ids = new HashSet<>();
    for (int i = 0; i < zones.size(); i++) {
      once(ids, zones.get(i).id(), "zones[%d].id".formatted(i));
    }
    return ids;
  }

  private static Set<String> pieceIds(List<Prop> props, Set<String> zoneIds) {
    Set<String> propIds = new HashSet<>();
    Set<String> pieceIds = new HashSet<>();
    for (int i = 0; i < props.size(); i++) {
      Prop prop = props.get(i);
      String place = "props[%d]".formatted(i);
      once(propIds, prop.id(), place + ".id");
      if (prop.zone().isPresent()) {
        known(zoneIds, prop.zone().get(), place + ".zone", "zone");
      }
      for (int j = 0; j < prop.pieces().size(); j++) {
        once(pieceIds, prop.pieces().get(j).id(), "%s.pieces[%d].id".formatted(place, j));
      }
    }
    return pieceIds;
  }

  private static void controllerIds(List<Controller> controllers, Set<String> zoneIds) {
    Set<String> ids = new HashSet<>();
    Set<String> tags = new HashSet<>();
    for (int i = 0; i < controllers.size(); i++) {
      once(ids, controllers.get(i).id(), "controllers[%d].id".formatted(i));
      once(tags, controllers.get(i).tag(), "controllers[%d].tag".formatted(i));
    }
    for (int i = 0; i < controllers.size(); i++) {
      ControllerSettings settings = controllers.get(i).settings();
      String place = "controllers[%d].settings".formatted(i);
      if (settings.zone().isPresent()) {
        known(zoneIds, settings.zone().get(), place + ".zone", "zone");
      }
      Optional<String> backup = controllers.get(i).sending().backup();
      if (backup.isPresent()) {
        known(
            ids, backup.get(), "controllers[%d].sending.backup".formatted(i), "controller or host");
      }
      if (settings.source().isPresent()) {
        known(ids, settings.source().get(), place + ".source", "controller or host");
      }
    }
  }

  private static void legs(List<Controller> controllers, Set<String> pieceIds) {
    Map<String, String> hangsAt = new HashMap<>();
    Set<String> mirrors = new HashSet<>();
    eachLeg(
        controllers,
        (place, leg) -> {
          known(pieceIds, leg.piece(), place + ".piece", "piece");
          String other = hangsAt.putIfAbsent(leg.piece(), place);
          Require.that(
              other == null,
              place + ".piece",
              Require.quoted(leg.piece()),
              "a piece hangs once, and this one hangs at " + other);
          if (leg.mirrorOf().isPresent()) {
            known(pieceIds, leg.mirrorOf().get(), place + ".mirrorOf", "piece");
            mirrors.add(leg.piece());
          }
        });
    eachLeg(
        controllers,
        (place, leg) ->
            Require.that(
                leg.mirrorOf().isEmpty() || !mirrors.contains(leg.mirrorOf().get()),
                place + ".mirrorOf",
                leg.mirrorOf().orElse(""),
                "a mirror's original is not itself a mirror"));
  }

  private interface LegVisitor {
    void visit(String place, Leg leg);
  }

  private static void eachLeg(List<Controller> controllers, LegVisitor visitor) {
    for (int c = 0; c < controllers.size(); c++) {
      List<Run> runs = controllers.get(c).runs();
      for (int r = 0; r < runs.size(); r++) {
        List<Leg> legs = runs.get(r).legs();
        for (int l = 0; l < legs.size(); l++) {
          visitor.visit("controllers[%d].runs[%d].legs[%d]".formatted(c, r, l), legs.get(l));
        }
      }
    }
  }

  private static void once(Set<String> seen, String id, String place) {
    Require.that(seen.add(id), place, Require.quoted(id), "it is used already; choose another");
  }

  private static void known(Set<String> ids, String id, String place, String what) {
    Require.that(
        ids.contains(id),
        place,
        Require.quoted(id),
        "no %s of this display has this id; there are %d".formatted(what, ids.size()));
  }
}
