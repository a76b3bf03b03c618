package hamper.display;

import hamper.catalog.DeviceModel;
import hamper.catalog.PixelType;
import hamper.value.Identified;
import hamper.value.RecordShape;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * One installation being planned. Its parts refer to each other by id, and every reference leads
 * somewhere; whether device models and pixel types exist is settled by {@link Plan}.
 *
 * @param models device models that do not ship with Hamper
 * @param pixelTypes pixel types that do not ship with Hamper
 * @param subnets of the show network
 * @param controllers in list order, hosts included
 * @param power supplies and mains circuits
 * @param enclosures what is built together
 * @param links network cables between them
 * @param accepted risks and hints that somebody takes
 * @param workshop tags, spares and stock
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
    List<Enclosure> enclosures,
    List<Link> links,
    List<Accepted> accepted,
    Workshop workshop) {

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
    enclosures = List.copyOf(enclosures);
    links = List.copyOf(links);
    accepted = List.copyOf(accepted);
    ids("subnets", subnets);
    Set<String> zoneIds = ids("zones", zones);
    Set<String> enclosureIds = enclosureIds(enclosures, zoneIds, power);
    linkEnds(links, enclosureIds);
    Set<String> pieceIds = pieceIds(props, zoneIds);
    controllerIds(controllers, zoneIds, enclosureIds);
    legs(controllers, pieceIds);
    leadTags(controllers, workshop);
    supplies(power, controllers, zoneIds, enclosureIds);
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
        List.of(),
        List.of(),
        List.of(),
        Workshop.NONE);
  }

  public static Display empty(String name) {
    return new Display(
        name, DisplaySettings.standard(), List.of(), List.of(), List.of(), List.of(), List.of());
  }

  public Display withZones(List<Zone> newZones) {
    return RecordShape.with(this, "zones", newZones);
  }

  public Display withProps(List<Prop> newProps) {
    return RecordShape.with(this, "props", newProps);
  }

  public Display withControllers(List<Controller> newControllers) {
    return RecordShape.with(this, "controllers", newControllers);
  }

  public Display withPixelTypes(List<PixelType> newTypes) {
    return RecordShape.with(this, "pixelTypes", newTypes);
  }

  public Display withSubnets(List<Subnet> newSubnets) {
    return RecordShape.with(this, "subnets", newSubnets);
  }

  public Display withModels(List<DeviceModel> newModels) {
    return RecordShape.with(this, "models", newModels);
  }

  public Display withPower(SitePower newPower) {
    return RecordShape.with(this, "power", newPower);
  }

  public Display withEnclosures(List<Enclosure> newEnclosures) {
    return RecordShape.with(this, "enclosures", newEnclosures);
  }

  public Display withLinks(List<Link> newLinks) {
    return RecordShape.with(this, "links", newLinks);
  }

  public Display withAccepted(List<Accepted> newAccepted) {
    return RecordShape.with(this, "accepted", newAccepted);
  }

  public Display withWorkshop(Workshop newWorkshop) {
    return RecordShape.with(this, "workshop", newWorkshop);
  }

  public Display withNameAndSettings(String newName, DisplaySettings newSettings) {
    return RecordShape.with(RecordShape.with(this, "name", newName), "settings", newSettings);
  }

  /** The ids of a list, each used once. */
  private static Set<String> ids(String list, List<? extends Identified> all) {
    Set<String> ids = new HashSet<>();
    for (int i = 0; i < all.size(); i++) {
      int at = i;
      once(ids, all.get(i).id(), () -> "%s[%d].id".formatted(list, at));
    }
    return ids;
  }

  private static Set<String> enclosureIds(
      List<Enclosure> enclosures, Set<String> zoneIds, SitePower power) {
    Set<String> mainsIds = power.mains().stream().map(MainsCircuit::id).collect(Collectors.toSet());
    for (int i = 0; i < enclosures.size(); i++) {
      String place = "enclosures[" + i + "]";
      enclosures
          .get(i)
          .zone()
          .ifPresent(zone -> known(zoneIds, zone, () -> place + ".zone", "zone"));
      enclosures
          .get(i)
          .mains()
          .ifPresent(mains -> known(mainsIds, mains, () -> place + ".mains", "mains circuit"));
    }
    return ids("enclosures", enclosures);
  }

  private static void linkEnds(List<Link> links, Set<String> enclosureIds) {
    ids("links", links);
    for (int i = 0; i < links.size(); i++) {
      String place = "links[" + i + "]";
      known(enclosureIds, links.get(i).from(), () -> place + ".from", "enclosure");
      known(enclosureIds, links.get(i).to(), () -> place + ".to", "enclosure");
    }
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

  private static void controllerIds(
      List<Controller> controllers, Set<String> zoneIds, Set<String> enclosureIds) {
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
      if (settings.enclosure().isPresent()) {
        known(
            enclosureIds,
            settings.enclosure().get(),
            () -> place + ".settings.enclosure",
            "enclosure");
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

  /** Zones and enclosures of supplies, and supplies of feeds and power inputs. */
  private static void supplies(
      SitePower power,
      List<Controller> controllers,
      Set<String> zoneIds,
      Set<String> enclosureIds) {
    Set<String> supplyIds = new HashSet<>();
    for (int i = 0; i < power.supplies().size(); i++) {
      Supply supply = power.supplies().get(i);
      supplyIds.add(supply.id());
      if (supply.zone().isPresent()) {
        String place = "power.supplies[" + i + "].zone";
        known(zoneIds, supply.zone().get(), () -> place, "zone");
      }
      if (supply.enclosure().isPresent()) {
        String place = "power.supplies[" + i + "].enclosure";
        known(enclosureIds, supply.enclosure().get(), () -> place, "enclosure");
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

  /** A tag is on one thing alone, be it a string, a cable or a lead. */
  private static void leadTags(List<Controller> controllers, Workshop workshop) {
    Set<String> taken = new HashSet<>();
    workshop.tags().forEach(tag -> taken.add(tag.text()));
    eachLeg(
        controllers,
        (place, leg) -> {
          for (int i = 0; i < leg.feeds().size(); i++) {
            Optional<String> tag = leg.feeds().get(i).tag();
            if (tag.isPresent()) {
              int index = i;
              once(taken, tag.get(), () -> place.field("feeds[%d].tag".formatted(index)));
            }
          }
        });
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
