package hamper.mistakes;

import hamper.address.Transport;
import hamper.catalog.Behaviour;
import hamper.catalog.DeviceModel;
import hamper.display.Breaker;
import hamper.display.Circuit;
import hamper.display.Enclosure;
import hamper.display.Feed;
import hamper.display.Link;
import hamper.display.MainsCircuit;
import hamper.display.PixelString;
import hamper.display.Section;
import hamper.display.Subnet;
import hamper.display.Supply;
import hamper.display.Wiring;
import hamper.edit.AddToCatalogue;
import hamper.edit.EditsBetween;
import hamper.edit.PutEnclosure;
import hamper.edit.PutLink;
import hamper.edit.PutMainsCircuit;
import hamper.edit.PutSupply;
import hamper.edit.SetLegs;
import hamper.samples.Yard;
import hamper.value.RecordShape;
import java.util.List;
import java.util.Optional;

/** Mistakes with enclosures, links, switches, mains circuits, and what devices do by themselves. */
final class SiteMistakes {
  private static final String TWELVE = "ostrand-twelve";
  private static final String RELAYS = "quillby-wren-r";

  private SiteMistakes() {}

  static List<Mistake> all() {
    return List.of(
        new Mistake("link-length", yard -> link(yard, 95), "tn", "95 m", "90 m"),
        new Mistake("link-length", yard -> link(yard, 100.5), "tn", "100.5 m", "100 m"),
        new Mistake(
            "link-loop",
            yard -> {
              link(yard, 20);
              yard.edit(new PutEnclosure(enclosure("tc", Optional.empty())));
              yard.edit(new PutLink(link("to", "tb", "tc", 10)));
              yard.edit(new PutLink(link("tp", "tc", "ta", 10)));
            },
            "tp",
            "two ways",
            "one way"),
        new Mistake(
            "multicast-unasked",
            yard -> multicast(yard, Optional.of(Subnet.Multicast.UNASKED)),
            "show",
            "snooping without a querier",
            "snooping with a querier"),
        new Mistake(
            "multicast-floods",
            yard -> multicast(yard, Optional.of(Subnet.Multicast.FLOODS)),
            "show",
            "no snooping",
            "snooping with a querier"),
        new Mistake(
            "multicast-unknown",
            yard -> multicast(yard, Optional.empty()),
            "show",
            "not known",
            "snooping with a querier"),
        new Mistake(
            "leakage",
            yard -> {
              mains(yard, 16, Optional.empty(), Optional.of(30.0));
              yard.edit(new PutSupply(leaking("ts", 5)));
              yard.edit(new PutSupply(leaking("tt", 4.5)));
            },
            "tm",
            "9.5 mA",
            "9.0 mA"),
        new Mistake(
            "leakage",
            yard -> {
              mains(yard, 16, Optional.empty(), Optional.of(10.0));
              for (int i = 1; i <= 4; i++) {
                yard.edit(new PutSupply(supply("ts" + i).withMains(Optional.of("tm"))));
              }
            },
            "tm",
            "4.0 mA",
            "3.0 mA"),
        new Mistake(
            "switch-on",
            yard -> {
              mains(yard, 2, Optional.of(Breaker.C), Optional.empty());
              yard.edit(new PutSupply(supply("ts").withMains(Optional.of("tm"))));
            },
            "tm",
            "12 A",
            "10 A"),
        new Mistake(
            "two-mains",
            yard -> {
              mains(yard, 16, Optional.empty(), Optional.empty());
              yard.edit(new PutEnclosure(enclosure("ta", Optional.of("tm"))));
              yard.edit(
                  new PutSupply(
                      supply("ts").withMains(Optional.of("tn")).withEnclosure(Optional.of("ta"))));
            },
            "ts",
            "shed",
            "porch"),
        new Mistake("fuse-short", SiteMistakes::longLead, "ta", "5.9 A", "15 A"),
        new Mistake(
            "data-reach",
            yard ->
                yard.controller("t1", RELAYS)
                    .string("ta", "t1", 1, 20)
                    .leg("ta", leg -> leg.withGap(0, Optional.of(2.5), Optional.empty())),
            "ta",
            "2.5 m",
            "2 m"),
        new Mistake(
            "data-reach",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 1, 20)
                    .string("tb", "t1", 1, 20)
                    .leg("tb", leg -> leg.withGap(1, Optional.of(7.0), Optional.empty())),
            "tb",
            "3.5 m",
            "3 m"),
        new Mistake(
            "holds-levels",
            yard -> {
              DeviceModel model = yard.plan().catalog().model(RELAYS).orElseThrow();
              DeviceModel holding =
                  RecordShape.with(
                      RecordShape.with(model, "id", "t-holding"),
                      "lostSource",
                      Optional.of(Behaviour.HOLD));
              yard.edit(new AddToCatalogue(List.of(holding), List.of()))
                  .controller("t1", "t-holding")
                  .hang(new Circuit("ta", "winch", 128, false, Optional.empty()), "t1", 1);
            },
            "ta",
            "holds the last levels",
            "goes to its safe state"),
        new Mistake(
            "relay-shared",
            yard ->
                yard.controller("t1", RELAYS)
                    .hang(circuit("ta", false, Optional.empty(), Optional.empty()), "t1", 1)
                    .hang(circuit("tb", false, Optional.empty(), Optional.empty()), "t1", 1),
            "tb",
            "2 circuits",
            "1 circuit"),
        new Mistake(
            "brightness-zero",
            yard ->
                yard.controller("t1", TWELVE)
                    .string("ta", "t1", 1, 20)
                    .string("tb", "t1", 2, Section.of(20).withBrightness(Optional.of(0))),
            "tb",
            "0 %",
            "more than 0 %"),
        new Mistake(
            "brightness-zero",
            yard ->
                yard.controller("t1", TWELVE)
                    .settings("t1", s -> s.withBrightness(Optional.of(0)))
                    .string("ta", "t1", 1, 20)
                    .string("tb", "t1", 2, 20),
            "t1",
            "0 %",
            "more than 0 %"),
        new Mistake(
            "colour-order-default",
            yard ->
                yard.controller("t1", "ostrand-five")
                    .hang(
                        new PixelString("ta", "string", "node-12v", List.of(Section.of(20))),
                        "t1",
                        1),
            "t1",
            "RGB",
            "GRB"),
        new Mistake(
            "rests-on",
            yard ->
                yard.controller("t1", RELAYS)
                    .hang(circuit("ta", true, Optional.of(20.0), Optional.empty()), "t1", 1),
            "ta",
            "rests on",
            "20 s"),
        new Mistake(
            "interlock",
            yard ->
                yard.controller("t1", RELAYS)
                    .hang(circuit("ta", true, Optional.empty(), Optional.of("winch")), "t1", 1)
                    .hang(circuit("tb", true, Optional.empty(), Optional.of("winch")), "t1", 2),
            "tb",
            "together",
            "never together"),
        new Mistake(
            "interlock",
            yard ->
                yard.controller("t1", RELAYS)
                    .hang(circuit("ta", false, Optional.empty(), Optional.of("winch")), "t1", 1)
                    .hang(circuit("tb", false, Optional.empty(), Optional.of("winch")), "t1", 2)
                    .edit(SetLegs.mirror("tb", Optional.of("ta"))),
            "tb",
            "together",
            "never together"));
  }

  private static void link(Yard yard, double metres) {
    yard.edit(new PutEnclosure(enclosure("ta", Optional.empty())));
    yard.edit(new PutEnclosure(enclosure("tb", Optional.empty())));
    yard.edit(new PutLink(link("tn", "ta", "tb", metres)));
  }

  private static Link link(String id, String from, String to, double metres) {
    return new Link(id, id, from, to, Link.Kind.COPPER, Optional.of(metres));
  }

  private static Enclosure enclosure(String id, Optional<String> mains) {
    return new Enclosure(id, "box " + id, Optional.empty(), mains, List.of(8));
  }

  private static void multicast(Yard yard, Optional<Subnet.Multicast> how) {
    Subnet show = yard.plan().subnets().existing("show");
    yard.edit(EditsBetween.fields(show, RecordShape.with(show, "multicast", how)))
        .controller("t1", TWELVE)
        .string("ta", "t1", 1, 50)
        .settings("t1", s -> s.withTransport(Transport.MULTICAST));
  }

  /** A porch that it is about, and a shed that has room. */
  private static void mains(
      Yard yard, double amps, Optional<Breaker> breaker, Optional<Double> residual) {
    yard.edit(
        new PutMainsCircuit(new MainsCircuit("tm", "porch", 230, amps, 0, breaker, residual)));
    yard.edit(new PutMainsCircuit(new MainsCircuit("tn", "shed", 230, 63, 0)));
  }

  private static Supply supply(String id) {
    return new Supply(id, id, Optional.empty(), 12, 20, Optional.empty(), Optional.empty());
  }

  private static Supply leaking(String id, double milliamps) {
    return RecordShape.with(
        supply(id).withMains(Optional.of("tm")), "leakageMilliamps", Optional.of(milliamps));
  }

  private static Circuit circuit(
      String id, boolean safeOn, Optional<Double> longest, Optional<String> interlock) {
    return new Circuit(
        id,
        id,
        128,
        safeOn,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        longest,
        interlock);
  }

  /** 20 m of AWG 18 at 5 V, behind a fuse that they do not blow. */
  private static void longLead(Yard yard) {
    yard.edit(new PutSupply(RecordShape.with(supply("ts"), "volts", 5.0)));
    yard.controller("t1", TWELVE)
        .hang(
            new PixelString("ta", "string", "node-5v-short", List.of(Section.of(3)))
                .withWiring(
                    Optional.of(
                        new Wiring(Optional.empty(), Optional.empty(), true, Optional.empty()))),
            "t1",
            1)
        .leg(
            "ta",
            leg ->
                leg.withFeeds(
                    List.of(
                        new Feed("ts", 1, Optional.of(20.0), Optional.empty(), Optional.of(7.5)))));
  }
}
