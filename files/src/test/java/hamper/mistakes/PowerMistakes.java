package hamper.mistakes;

import hamper.catalog.DeviceModel;
import hamper.catalog.PortGroup;
import hamper.display.Conductor;
import hamper.display.Feed;
import hamper.display.MainsCircuit;
import hamper.display.PixelString;
import hamper.display.PoweredInput;
import hamper.display.Section;
import hamper.display.Supply;
import hamper.display.Wiring;
import hamper.edit.AddToCatalogue;
import hamper.edit.PutMainsCircuit;
import hamper.edit.PutSupply;
import hamper.samples.Yard;
import hamper.value.RecordShape;
import java.util.List;
import java.util.Optional;

/** Mistakes with feeds, fuses, supplies, joints and mains circuits. */
final class PowerMistakes {
  private static final String TWELVE = "ostrand-twelve";

  private PowerMistakes() {}

  static List<Mistake> all() {
    return List.of(
        new Mistake("voltage-low", yard -> wide(yard, 110), "ta", "9.31 V", "9.50 V"),
        new Mistake("voltage-low", yard -> wide(yard, 100), "ta", "9.78 V", "9.98 V"),
        new Mistake(
            "fuse-load",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 1, bright(125))
                    .leg("ta", leg -> leg.withFeeds(List.of())),
            "T1-1",
            "5.3 A",
            "5 A"),
        new Mistake(
            "fuse-load",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 4, 130)
                    .leg("ta", leg -> leg.withFeeds(List.of())),
            "T1-4",
            "5.5 A",
            "5 A"),
        new Mistake(
            "fuse-load",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 4, bright(100))
                    .leg("ta", leg -> leg.withFeeds(List.of())),
            "T1-4",
            "4.2 A",
            "4 A"),
        new Mistake(
            "feed-lost",
            yard ->
                unfused(yard)
                    .string("ta", "t1", 1, Section.of(220).withBrightness(Optional.of(60)))
                    .leg(
                        "ta",
                        leg -> leg.withFeeds(List.of(fused("yard-12v", 220, Optional.of(5.0))))),
            "T1-1",
            "",
            "9.50 V"),
        new Mistake(
            "fuse-wire",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 1, 30)
                    .leg(
                        "ta",
                        leg -> leg.withFeeds(List.of(fused("yard-12v", 20, Optional.of(15.0))))),
            "ta",
            "15 A",
            "7.5 A"),
        new Mistake(
            "fuse-wire",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 1, 30)
                    .leg(
                        "ta",
                        leg -> leg.withFeeds(List.of(fused("yard-12v", 20, Optional.empty())))),
            "ta",
            "1000 A",
            "7.5 A"),
        new Mistake(
            "no-feed",
            yard -> two(yard).leg("tb", leg -> leg.withCut(List.of(Conductor.POSITIVE))),
            "tb",
            "0 feeds",
            "1 feed or more"),
        new Mistake(
            "common-negative",
            yard ->
                two(yard)
                    .edit(new PutSupply(supply(12, 20)))
                    .leg("tb", leg -> leg.withCut(List.of(Conductor.POSITIVE, Conductor.NEGATIVE)))
                    .leg("tb", leg -> leg.withFeeds(List.of(feed("ts", 1)))),
            "tb",
            "negative cut",
            ""),
        new Mistake(
            "supplies-joined",
            yard ->
                two(yard)
                    .edit(new PutSupply(supply(12, 20)))
                    .leg("tb", leg -> leg.withFeeds(List.of(feed("ts", 1)))),
            "tb",
            "2 supplies",
            "1 supply"),
        new Mistake(
            "supply-unknown",
            yard -> {
              two(yard).change("t1", one -> one.withPowered(List.of()));
              yard.leg("tb", leg -> leg.withFeeds(List.of(feed("yard-12v", 1))));
            },
            "t1",
            "no supply",
            "a supply for power input 1"),
        new Mistake(
            "supply-voltage",
            yard ->
                yard.controller("t1", TWELVE)
                    .hang(
                        new PixelString("ta", "strip", "strip-24v-6led", List.of(Section.of(30))),
                        "t1",
                        1),
            "ta",
            "12 V",
            "24 V"),
        new Mistake(
            "supply-voltage",
            yard -> {
              yard.controller("t1", "tarn-hythe-dmx-bridge");
              yard.edit(new PutSupply(supply(48, 20)));
              yard.change("t1", one -> one.withPowered(List.of(new PoweredInput(1, "ts"))));
            },
            "t1",
            "48 V",
            "24 V"),
        new Mistake(
            "input-load",
            yard -> {
              yard.controller("t1", "quillby-wren-r")
                  .settings("t1", s -> s.withBrightness(Optional.of(100)));
              for (int port = 1; port <= 3; port++) {
                yard.string("ta" + port, "t1", port, 93)
                    .leg("ta" + port, leg -> leg.withFeeds(List.of()));
              }
            },
            "t1",
            "11.7 A",
            "9.6 A"),
        new Mistake(
            "supply-load",
            yard -> {
              onOwnSupply(yard, supply(12, 5));
              yard.string("tb", "t1", 2, bright(20));
            },
            "ts",
            "4.6 A",
            "4 A"),
        new Mistake(
            "mains-load",
            yard -> {
              yard.edit(new PutMainsCircuit(new MainsCircuit("tm", "porch", 230, 1, 150)));
              yard.edit(new PutMainsCircuit(new MainsCircuit("tn", "shed", 230, 63, 0)));
              onOwnSupply(yard, supply(12, 20).withMains(Optional.of("tm")));
            },
            "tm",
            "203 W",
            "184 W"),
        new Mistake(
            "data-cut",
            yard -> two(yard).leg("tb", leg -> leg.withCut(List.of(Conductor.DATA))),
            "tb",
            "data cut",
            ""),
        new Mistake(
            "ground-shift",
            yard ->
                yard.controller("t1", TWELVE)
                    .hang(
                        new PixelString("ta", "string", "node-12v", List.of(bright(70)))
                            .withWiring(
                                Optional.of(
                                    new Wiring(
                                        Optional.empty(),
                                        Optional.empty(),
                                        true,
                                        Optional.empty()))),
                        "t1",
                        1)
                    .leg("ta", leg -> leg.withFeeds(List.of(lead(9)))),
            "ta",
            "0.55 V",
            "0.5 V"));
  }

  /** A string with half a metre from pixel to pixel, fed at its plug only. */
  private static void wide(Yard yard, int pixels) {
    Wiring wires = new Wiring(Optional.empty(), Optional.of(0.5), false, Optional.empty());
    unfused(yard).hang(string(pixels, wires), "t1", 1).leg("ta", leg -> leg.withFeeds(List.of()));
  }

  /** A device whose sockets have no fuses, so that none of them stays whole in a short. */
  private static Yard unfused(Yard yard) {
    DeviceModel twelve = yard.plan().catalog().model(TWELVE).orElseThrow();
    List<PortGroup> ports =
        twelve.ports().stream()
            .map(group -> RecordShape.with(group, "fuseAmps", Optional.empty()))
            .toList();
    DeviceModel model =
        RecordShape.with(RecordShape.with(twelve, "id", "t-unfused"), "ports", ports);
    return yard.edit(new AddToCatalogue(List.of(model), List.of())).controller("t1", model.id());
  }

  private static PixelString string(int pixels, Wiring wires) {
    return new PixelString("ta", "string", "node-12v", List.of(Section.of(pixels)))
        .withWiring(Optional.of(wires));
  }

  private static Yard two(Yard yard) {
    return yard.controller("t1", TWELVE).string("ta", "t1", 1, 30).string("tb", "t1", 1, 15);
  }

  private static void onOwnSupply(Yard yard, Supply supply) {
    yard.edit(new PutSupply(supply)).controller("t1", TWELVE);
    yard.change(
        "t1",
        one ->
            one.withPowered(
                List.of(new PoweredInput(1, supply.id()), new PoweredInput(2, supply.id()))));
    yard.string("ta", "t1", 1, bright(90)).leg("ta", leg -> leg.withFeeds(List.of()));
  }

  private static Section bright(int pixels) {
    return Section.of(pixels).withBrightness(Optional.of(100));
  }

  private static Supply supply(double volts, double amps) {
    return new Supply(
        "ts", "second supply", Optional.empty(), volts, amps, Optional.empty(), Optional.empty());
  }

  private static Feed feed(String supply, int position) {
    return fused(supply, position, Optional.of(5.0));
  }

  private static Feed fused(String supply, int position, Optional<Double> fuse) {
    return new Feed(supply, position, Optional.of(1.0), Optional.empty(), fuse);
  }

  private static Feed lead(double metres) {
    return new Feed("yard-12v", 1, Optional.of(metres), Optional.empty(), Optional.of(4.0));
  }
}
