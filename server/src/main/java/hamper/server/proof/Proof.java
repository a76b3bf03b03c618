package hamper.server.proof;

import hamper.catalog.PortKind;
import hamper.config.Configuration;
import hamper.display.Controller;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.files.ConfigurationFiles;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Meant;
import hamper.send.MeantPort;
import hamper.server.output.Door;
import hamper.server.output.FrameSender;
import hamper.server.output.Routes;
import hamper.server.output.Seats;
import hamper.standin.Clock;
import hamper.standin.StandIns;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.function.UnaryOperator;
import tools.jackson.databind.JsonNode;

/**
 * Proves a plan: gives each stand-in its configuration over HTTP, reads it back, sends frames over
 * UDP, and compares every pixel, circuit and slot with what the plan means by the pixel map. Each
 * address shows its own number bit by bit, then the complement, then levels for the brightness.
 */
public final class Proof {
  private static final int FULL = 255;

  /**
   * What tests do to a proof: with documents on their way, and with stand-ins before they are given
   * any.
   */
  record Seam(UnaryOperator<byte[]> onTheWay, Consumer<Map<String, String>> standing) {
    static final Seam NONE = new Seam(UnaryOperator.identity(), addresses -> {});

    static Seam onTheWay(UnaryOperator<byte[]> change) {
      return new Seam(change, addresses -> {});
    }
  }

  private final Facts facts;
  private final Seam seam;
  private final Map<String, FrameLayout> layouts = new LinkedHashMap<>();
  private final Map<String, ShownController> shown = new LinkedHashMap<>();
  private final List<ProofReport.LeftOut> leftOut = new ArrayList<>();

  private Proof(Facts facts, Seam seam) {
    this.facts = facts;
    this.seam = seam;
  }

  /**
   * @param progress told in percent
   */
  public static ProofReport of(Facts facts, IntConsumer progress)
      throws IOException, InterruptedException {
    return of(facts, progress, Seam.NONE);
  }

  static ProofReport of(Facts facts, IntConsumer progress, Seam seam)
      throws IOException, InterruptedException {
    return new Proof(facts, seam).run(progress);
  }

  private ProofReport run(IntConsumer progress) throws IOException, InterruptedException {
    long begin = System.nanoTime();
    lay();
    try (StandIns standIns = StandIns.start(Seats.of(facts), Clock.system())) {
      Door door = new Door();
      standIns
          .addresses()
          .forEach((controller, address) -> shown.get(controller).standsAt(address));
      seam.standing().accept(standIns.addresses());
      for (ShownController one : shown.values()) {
        give(door, one);
      }
      Exchange exchange = send(door, new Routes(standIns.addresses(), layouts), progress);
      return report(exchange, (System.nanoTime() - begin) / 1_000_000);
    }
  }

  /** What each controller that packets go to is meant to show, in list order. */
  private void lay() {
    Map<String, FrameLayout> all = FrameLayouts.of(facts);
    for (ControllerFacts own : facts.controllers()) {
      Controller controller = own.controller();
      leaveOut(own);
      if (Seats.isSentTo(facts, controller)) {
        FrameLayout layout = all.get(controller.id());
        layouts.put(controller.id(), layout);
        String model = facts.plan().modelOf(controller).title();
        shown.put(controller.id(), new ShownController(controller, model, meant(own, layout)));
      }
    }
  }

  private void leaveOut(ControllerFacts own) {
    for (RunFacts run : own.runs()) {
      if (run.port().kind() == PortKind.SERIAL && !run.run().legs().isEmpty()) {
        leftOut.add(
            new ProofReport.LeftOut(
                facts.plan().written(run.port()),
                "units on a host's own serial line get no packet"));
      }
    }
  }

  private List<MeantPort> meant(ControllerFacts own, FrameLayout layout) {
    return own.runs().stream()
        .filter(run -> !run.placements().isEmpty())
        .map(run -> Meant.of(facts.plan(), own.controller(), run, layout))
        .toList();
  }

  private void give(Door door, ShownController one) throws IOException, InterruptedException {
    Configuration configuration =
        facts.configurations().stream()
            .filter(each -> each.controller().equals(one.id()))
            .findFirst()
            .orElseThrow();
    byte[] document =
        seam.onTheWay().apply(ConfigurationFiles.bytes(ConfigurationFiles.json(configuration)));
    String refused = wrongIdentity(door, one);
    if (refused.isEmpty()) {
      refused = door.put(one.address(), "configuration", document).refused();
    }
    if (refused.isEmpty()) {
      JsonNode back = door.get(one.address(), "configuration").body();
      refused =
          back.get("told").equals(Door.JSON.readTree(document).get("told"))
              ? ""
              : "what it says that it was told is not what it was told";
    }
    one.refusedFor(refused);
  }

  /** Nothing is given to a device that says that it is another. */
  private String wrongIdentity(Door door, ShownController one)
      throws IOException, InterruptedException {
    Door.Answer answer = door.get(one.address(), "identity");
    if (!answer.refused().isEmpty()) {
      return answer.refused();
    }
    String model = answer.body().path("model").asString("");
    String planned = facts.plan().existingController(one.id()).model();
    String address = answer.body().path("address").asString("");
    if (!model.equals(planned)) {
      return "it says that it is a %s, planned is a %s".formatted(model, planned);
    }
    return address.equals(one.address())
        ? ""
        : "it says that its address is %s, it answers at %s".formatted(address, one.address());
  }

  private Exchange send(Door door, Routes routes, IntConsumer progress)
      throws IOException, InterruptedException {
    Numbers numbers = new Numbers(layouts);
    List<Numbers.Level> rounds = rounds(numbers.bits());
    try (FrameSender sender = new FrameSender(layouts, routes)) {
      Exchange exchange = new Exchange(door, sender);
      for (int i = 0; i < rounds.size(); i++) {
        for (String controller : layouts.keySet()) {
          numbers.fill(controller, sender.frame(controller), rounds.get(i));
        }
        exchange.frame();
        for (ShownController one : shown.values()) {
          JsonNode state = door.get(one.address(), "state").body();
          one.compare(state, sender.frame(one.id()), facts.plan());
        }
        progress.accept(100 * (i + 1) / rounds.size());
      }
      return exchange;
    }
  }

  private static List<Numbers.Level> rounds(int bits) {
    List<Numbers.Level> rounds = new ArrayList<>();
    for (int bit = 0; bit < bits; bit++) {
      int shift = bit;
      rounds.add(number -> (number >> shift & 1) * FULL);
      rounds.add(number -> (1 - (number >> shift & 1)) * FULL);
    }
    rounds.add(number -> number * 131 + 7 & FULL);
    return rounds;
  }

  private ProofReport report(Exchange exchange, long millis) {
    List<ProofReport.WrongPixel> examples = new ArrayList<>();
    List<ProofReport.ControllerProof> controllers = new ArrayList<>();
    for (ShownController one : shown.values()) {
      controllers.add(one.proof(exchange.sentTo(one.address())));
      one.examples().stream()
          .limit(ProofReport.MOST_EXAMPLES - examples.size())
          .forEach(examples::add);
    }
    return new ProofReport(
        controllers,
        exchange.sent(),
        exchange.lost(),
        controllers.stream().mapToLong(ProofReport.ControllerProof::pixels).sum(),
        controllers.stream().mapToLong(ProofReport.ControllerProof::wrong).sum(),
        examples,
        leftOut,
        millis);
  }
}
