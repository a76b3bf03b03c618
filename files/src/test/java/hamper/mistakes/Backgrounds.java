package hamper.mistakes;

import hamper.address.ColourOrder;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.ProtocolSupport;
import hamper.display.Circuit;
import hamper.display.Fixture;
import hamper.display.GridOrder;
import hamper.display.Hold;
import hamper.display.Panels;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Section;
import hamper.display.Sending;
import hamper.display.SerialDimmer;
import hamper.display.StripDecoder;
import hamper.display.Wall;
import hamper.edit.SetLegs;
import hamper.files.CatalogueFiles;
import hamper.samples.LargeDisplays;
import hamper.samples.Yard;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Displays without a mistake: every kind of hardware, small and large. */
final class Backgrounds {
  static final Catalog CATALOG = CatalogueFiles.shipped();

  private Backgrounds() {}

  /** Three of growing depth, to make mistakes on. */
  static Map<String, Plan> three() {
    Map<String, Plan> all = new LinkedHashMap<>();
    all.put("on an empty yard", Yard.empty(CATALOG).plan());
    all.put("among every kind of thing", everyKind());
    all.put("in a large display", large(40, 2000, 20, 7));
    return all;
  }

  /** All that are correct, by what they are. */
  static Map<String, Plan> correct() {
    Map<String, Plan> all = new LinkedHashMap<>(three());
    for (DeviceModel model : CATALOG.models()) {
      for (ProtocolSupport support : model.protocols()) {
        for (Transport transport : support.transports()) {
          if (!model.wifi() || transport == Transport.UNICAST) {
            String what =
                "%s, %s %s".formatted(model.title(), support.protocol().title(), transport);
            all.put(what, one(model, support.protocol(), transport));
          }
        }
      }
    }
    for (int seed = 1; seed <= 12; seed++) {
      all.put("made up, seed " + seed, large(2 + seed * 3, 40 * seed, 5 + seed, seed));
    }
    return all;
  }

  static Plan large(int controllers, int sections, int pixels, long seed) {
    return LargeDisplays.of(CATALOG, controllers, sections, pixels, seed);
  }

  /** One device of a model with something on the first port of each kind. */
  private static Plan one(DeviceModel model, Protocol protocol, Transport transport) {
    Yard yard =
        Yard.empty(CATALOG)
            .controller("k1", model.id())
            .settings("k1", s -> s.withProtocol(protocol).withTransport(transport));
    for (PortGroup ports : model.ports()) {
      yard.hang(something(ports.kind()), "k1", 1);
    }
    return yard.plan();
  }

  private static Piece something(PortKind kind) {
    return switch (kind) {
      case PIXEL -> new PixelString("a", "string", "node-12v", List.of(Section.of(120)));
      case RELAY -> new Circuit("b", "lamp", 128, false, Optional.empty());
      case DMX -> new Fixture("c", "flood", 20, 8);
      case PANEL -> wall("d");
      case SERIAL -> new SerialDimmer("e", "pack", 1, 16);
    };
  }

  /** Groups, folds, mirrors, holds, boxes, a backup, storage, the air, walls, dimmers. */
  private static Plan everyKind() {
    Section fancy =
        new Section(
            60,
            2,
            3,
            Optional.of(20),
            true,
            Optional.of(new ColourOrder("BRG")),
            Optional.of(20),
            Optional.empty());
    return Yard.empty(CATALOG)
        .controller("h2", "show-computer")
        .hang(new SerialDimmer("pack-1", "pack", 1, 16), "h2", 1)
        .hang(new SerialDimmer("pack-2", "pack", 2, 16), "h2", 1)
        .controller("k1", "ostrand-twelve")
        .string("rail", "k1", 1, fancy, fancy.withNullPixels(0))
        .string("star", "k1", 2, Section.of(50).withHold(Optional.of(Hold.atChannel(3001))))
        .string("twin", "k1", 3, 50)
        .edit(SetLegs.mirror("twin", Optional.of("star")))
        .hang(new Fixture("flood", "flood", 1, 12), "k1", 1)
        .hang(new StripDecoder("deck", "deck", 101, 30, 3), "k1", 1)
        .change(
            "k1",
            one ->
                one.withSending(
                    new Sending(false, Optional.of("h2"), false, Optional.of(7000), "wall")))
        .controller("k2", "velmo-reach-32")
        .string("near", "k2", 1, 100)
        .string("far", "k2", 1, 100)
        .leg("far", leg -> leg.withBox(Optional.of(2)))
        .change(
            "k2",
            one ->
                one.withSending(new Sending(false, Optional.empty(), true, Optional.empty(), "")))
        .controller("k3", "quillby-wren-r")
        .string("eaves", "k3", 1, 80)
        .hang(new Circuit("bell", "bell", 200, true, Optional.empty()), "k3", 2)
        .controller("k4", "pelloway-hat")
        .string("boat", "k4", 1, 200)
        .change(
            "k4",
            one ->
                one.withSending(new Sending(true, Optional.empty(), false, Optional.empty(), "")))
        .controller("k5", "pelloway-wall-sender")
        .hang(wall("clock"), "k5", 1)
        .controller("k6", "pelloway-screen")
        .hang(Wall.screen("sail", "sail", new Wall.Size(1200, 600), 6), "k6", 1)
        .controller("k7", "ostrand-five")
        .string("roof", "k7", 1, 300)
        .string("door", "k7", 2, 300)
        .plan();
  }

  private static Wall wall(String id) {
    Panels.Card card = new Panels.Card("card", List.of(1, 2), 10_000, 60);
    return new Wall(
        id,
        id,
        GridOrder.reading(),
        Optional.of(new Panels(64, 32, 2, 2, GridOrder.reading(), List.of(card))),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }
}
