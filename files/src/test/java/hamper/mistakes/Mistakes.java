package hamper.mistakes;

import hamper.address.ColourOrder;
import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.catalog.PortKind;
import hamper.display.Fixture;
import hamper.display.GridOrder;
import hamper.display.Hold;
import hamper.display.InputRange;
import hamper.display.Panels;
import hamper.display.PixelString;
import hamper.display.PortRef;
import hamper.display.Section;
import hamper.display.Sending;
import hamper.display.SerialDimmer;
import hamper.display.Subnet;
import hamper.display.Wall;
import hamper.edit.Change;
import hamper.edit.DisplaySettingsChange;
import hamper.edit.PatchPieces;
import hamper.edit.PutSubnet;
import hamper.edit.SetDisplay;
import hamper.resolve.Resolver;
import hamper.samples.Yard;
import java.util.List;
import java.util.Optional;

/** For every check, the mistake that it is there for. */
final class Mistakes {
  private static final String TWELVE = "ostrand-twelve";
  private static final String FIVE = "ostrand-five";

  private Mistakes() {}

  static List<Mistake> all() {
    return List.of(
        new Mistake(
            "overlap",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 1, held(20, 1))
                    .string("tb", "t1", 2, held(20, 31)),
            "ta",
            "30 channels",
            "0 channels"),
        new Mistake(
            "port-limit",
            yard ->
                yard.controller("t1", TWELVE).string("ta", "t1", 3, 500).string("tb", "t1", 3, 400),
            "T1-3",
            "900 pixels",
            "800 pixels"),
        new Mistake(
            "inputs-short",
            yard -> {
              yard.controller("t1", TWELVE).string("ta", "t1", 1, 400);
              yard.change("t1", one -> one.withInputs(Optional.of(List.of(inputs(yard, 2, 510)))));
            },
            "t1",
            "180 channels missing",
            ""),
        new Mistake(
            "universe-size",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 1, 50)
                    .settings("t1", s -> s.withUniverseSize(500)),
            "t1",
            "500 channels",
            "510 or 512 channels"),
        new Mistake(
            "inputs-beyond-model",
            yard -> {
              yard.controller("t1", FIVE).string("ta", "t1", 1, 50);
              yard.change("t1", one -> one.withInputs(Optional.of(List.of(inputs(yard, 25, 510)))));
            },
            "t1",
            "25 universes",
            "20 universes"),
        new Mistake(
            "dialect",
            yard -> yard.controller("t1", "quillby-wren").string("ta", "t1", 1, grouped(30, 3)),
            "ta",
            "groups of 3: the device has no such setting",
            "what Quillby Wren can be told"),
        new Mistake(
            "hold-or-mirror",
            yard ->
                yard.controller("t1", TWELVE)
                    .string(
                        "ta",
                        "t1",
                        1,
                        Section.of(20).withHold(Optional.of(new Hold(Optional.of(5), 1)))),
            "ta",
            "HOLD_WITHOUT_FIXED_UNIVERSE",
            "a fixed first universe, or a hold by controller channel"),
        new Mistake(
            "port-absent",
            yard ->
                yard.controller("t1", TWELVE)
                    .settings("t1", s -> s.withMode(Optional.of("24 ports")))
                    .string("ta", "t1", 20, 50)
                    .settings("t1", s -> s.withMode(Optional.of("12 ports"))),
            "T1-20",
            "port 20",
            "ports 1 to 12"),
        new Mistake(
            "mixed-types",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 1, 50)
                    .hang(string("tb", "node-12v-slow", Section.of(20)), "t1", 1),
            "tb",
            "12 V node, 400 kHz (24 bits at 400 kHz)",
            "12 V node, long reset (24 bits at 800 kHz)"),
        new Mistake(
            "remote-box",
            yard ->
                yard.controller("t1", "velmo-reach-32")
                    .string("ta", "t1", 1, 40)
                    .leg("ta", leg -> leg.withBox(Optional.of(4))),
            "ta",
            "box 4",
            "boxes 1 to 3"),
        new Mistake(
            "unit-number",
            yard ->
                yard.controller("t1", "show-computer")
                    .hang(new SerialDimmer("ta", "pack", 7, 16), "t1", 1)
                    .hang(new SerialDimmer("tb", "pack", 7, 16), "t1", 1),
            "tb",
            "",
            ""),
        new Mistake(
            "fixture-past-end",
            yard ->
                yard.controller("t1", "tarn-hythe-dmx-bridge")
                    .hang(new Fixture("ta", "fog", 510, 10), "t1", 1),
            "ta",
            "slot 519",
            "slot 512"),
        new Mistake(
            "universe-range",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 1, 200)
                    .settings("t1", s -> s.withBlock(Optional.of(63_999), 0, 0)),
            "t1",
            "universe 64000",
            "universes 1 to 63999"),
        new Mistake(
            "same-address",
            yard -> {
              yard.controller("t1", TWELVE).string("ta", "t1", 1, 50);
              yard.controller("t2", FIVE).string("tb", "t2", 1, 50);
              var taken = yard.plan().existingController("t1").address();
              yard.settings("t2", s -> s.withAddress(taken));
              // what is told to two devices at one address would meet, were the universes the same
            },
            "t1",
            "2 devices",
            "1 device"),
        new Mistake(
            "outside-subnets",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 1, 50)
                    .settings("t1", s -> s.withAddress(address("192.0.2.9"))),
            "t1",
            "192.0.2.9",
            "10.0.0.1 to 10.0.255.254"),
        new Mistake(
            "source-elsewhere",
            yard ->
                yard.edit(new PutSubnet(subnet()))
                    .controller("t1", TWELVE)
                    .string("ta", "t1", 1, 50)
                    .settings("t1", s -> s.withAddress(address("172.16.0.9"))),
            "t1",
            "",
            "an address from 172.16.0.1 to 172.16.0.254"),
        new Mistake(
            "transport",
            yard ->
                yard.controller("t1", FIVE)
                    .string("ta", "t1", 1, 50)
                    .settings("t1", s -> s.withTransport(Transport.BROADCAST)),
            "t1",
            "broadcast",
            "unicast or multicast"),
        new Mistake(
            "two-sources",
            yard ->
                yard.controller("t1", "pelloway-hat")
                    .string("ta", "t1", 1, 50)
                    .settings("t1", s -> s.withProtocol(Protocol.DDP))
                    .controller("t2", "show-computer")
                    .change("t1", one -> one.withSending(backup("t2"))),
            "t1",
            "2 sources",
            "1 source, or a backup of lower priority on E1.31"),
        new Mistake(
            "wall-card",
            yard ->
                yard.controller("t1", "pelloway-wall-sender")
                    .hang(wall("ta", 1, new Panels.Card("left", List.of(1), 1000, 60)), "t1", 1),
            "ta",
            "2048 pixels",
            "1000 pixels"),
        new Mistake(
            "wall-untiled",
            yard ->
                yard.controller("t1", "pelloway-wall-sender")
                    .hang(wall("ta", 2, new Panels.Card("top", List.of(1), 9000, 60)), "t1", 1),
            "ta",
            "1 of 2 rows",
            "2 rows"),
        new Mistake(
            "data-reach",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 1, 50)
                    .leg("ta", leg -> leg.withGap(0, Optional.of(8.0), Optional.empty())),
            "ta",
            "8.0 m",
            "5 m"),
        new Mistake(
            "no-address",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 1, 50)
                    .settings("t1", s -> s.withAddress(Optional.empty())),
            "t1",
            "no address",
            "an IPv4 address"),
        new Mistake(
            "no-source",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 1, 50)
                    .settings("t1", s -> s.withSource(Optional.empty())),
            "t1",
            "no source",
            "a host of the display"),
        new Mistake(
            "not-patched",
            yard -> yard.controller("t1", TWELVE).loose(string("ta", "node-12v", Section.of(50))),
            "ta",
            "1 not patched",
            "0 not patched"),
        new Mistake(
            "address-in-dhcp",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 1, 50)
                    .settings("t1", s -> s.withAddress(address("10.0.210.7"))),
            "t1",
            "10.0.210.7",
            "outside 10.0.200.1 to 10.0.250.254"),
        new Mistake(
            "traffic",
            yard -> yard.controller("t1", "pelloway-screen").hang(screen("ta", 300, 200), "t1", 1),
            "t1",
            "60.6 Mbit/s",
            "50 Mbit/s"),
        new Mistake(
            "dmx-rate",
            yard ->
                yard.controller("t1", "tarn-hythe-dmx-bridge")
                    .edit(
                        new SetDisplay(
                            Change.stays(),
                            Optional.of(
                                new DisplaySettingsChange(
                                    Change.stays(),
                                    Change.stays(),
                                    Change.to(44),
                                    Change.stays(),
                                    Change.stays()))))
                    .hang(new Fixture("tf", "f", 505, 8), "t1", 2),
            "T1-DMX2",
            "22.8 ms",
            "22.7 ms"),
        new Mistake(
            "wifi-multicast",
            yard ->
                yard.controller("t1", "quillby-wren-r")
                    .settings("t1", s -> s.withProtocol(Protocol.E131))
                    .settings("t1", s -> s.withTransport(Transport.MULTICAST))
                    .string("ta", "t1", 1, 50),
            "t1",
            "multicast",
            "unicast"),
        new Mistake(
            "synchronization",
            yard ->
                yard.controller("t1", FIVE)
                    .string("ta", "t1", 1, 50)
                    .change(
                        "t1",
                        one ->
                            one.withSending(
                                new Sending(
                                    false, Optional.empty(), false, Optional.of(7000), ""))),
            "t1",
            "synchronization",
            "none"),
        new Mistake(
            "frame-headroom",
            yard ->
                yard.controller("t1", TWELVE).string("ta", "t1", 1, 400).string("tb", "t1", 1, 360),
            "T1-1",
            "92 %",
            "90 %"),
        new Mistake(
            "scattered-prop",
            yard -> {
              PixelString left = string("ta", "node-12v", Section.of(50));
              PixelString right = string("tb", "node-12v", Section.of(50));
              yard.controller("t1", TWELVE).loose(left, right);
              yard.edit(patch("ta", 1)).edit(patch("tb", 3));
            },
            "ta",
            "T1-1, T1-3",
            "ports one after another"),
        new Mistake(
            "shared-universe",
            yard ->
                yard.controller("t1", TWELVE)
                    .controller("t2", TWELVE)
                    .settings("t1", Mistakes::multicastAtTheEnd)
                    .settings("t2", Mistakes::multicastAtTheEnd)
                    .string("ta", "t1", 1, 10)
                    .string("tb", "t2", 1, held(10, 101)),
            "t1",
            "universe 63000 on 2 controllers",
            "1 controller a universe"),
        new Mistake(
            "colour-orders",
            yard ->
                yard.controller("t1", TWELVE)
                    .string(
                        "ta",
                        "t1",
                        1,
                        Section.of(20),
                        Section.of(20).withColourOrder(Optional.of(new ColourOrder("BRG")))),
            "ta",
            "2 colour orders",
            "1 colour order"),
        new Mistake(
            "wall-not-square",
            yard -> yard.controller("t1", "pelloway-screen").hang(stretched("ta"), "t1", 1),
            "ta",
            "10.0 × 5.0 mm",
            "10.0 × 10.0 mm"));
  }

  private static Section held(int pixels, int channel) {
    return Section.of(pixels).withHold(Optional.of(Hold.atChannel(channel)));
  }

  private static Section grouped(int pixels, int group) {
    return new Section(
        pixels,
        0,
        group,
        Optional.empty(),
        false,
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  private static PixelString string(String id, String type, Section... sections) {
    return new PixelString(id, id, type, List.of(sections));
  }

  private static InputRange inputs(Yard yard, int count, int size) {
    int index = yard.plan().indexOf("t1");
    int first = Resolver.resolve(yard.plan()).blocks().get(index).firstUniverse().orElseThrow();
    return new InputRange(first, count, size);
  }

  private static Optional<IpAddress> address(String text) {
    return Optional.of(new IpAddress(text));
  }

  private static Subnet subnet() {
    return new Subnet(
        "far", "Far", new IpAddress("172.16.0.0"), 24, Optional.empty(), Optional.empty());
  }

  private static Sending backup(String host) {
    return new Sending(false, Optional.of(host), false, Optional.empty(), "");
  }

  private static PatchPieces patch(String piece, int port) {
    return new PatchPieces(
        List.of(piece), new PortRef("t1", PortKind.PIXEL, port), Optional.empty());
  }

  private static hamper.display.ControllerSettings multicastAtTheEnd(
      hamper.display.ControllerSettings settings) {
    return settings.withTransport(Transport.MULTICAST).withBlock(Optional.of(63_000), 0, 0);
  }

  private static Wall wall(String id, int rows, Panels.Card card) {
    Panels panels = new Panels(64, 32, 1, rows, GridOrder.reading(), List.of(card));
    return new Wall(
        id,
        id,
        GridOrder.reading(),
        Optional.of(panels),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  private static Wall screen(String id, int width, int height) {
    return new Wall(
        id,
        id,
        GridOrder.reading(),
        Optional.empty(),
        Optional.of(new Wall.Resolution(width, height)),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  private static Wall stretched(String id) {
    return new Wall(
        id,
        id,
        GridOrder.reading(),
        Optional.empty(),
        Optional.of(new Wall.Resolution(100, 100)),
        Optional.of(new Wall.Size(1000, 500)),
        Optional.of(10.0),
        Optional.empty());
  }
}
