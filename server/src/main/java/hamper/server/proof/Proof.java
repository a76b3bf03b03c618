package hamper.server.proof;

import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.Piece;
import hamper.display.StripDecoder;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Meant;
import hamper.send.MeantPort;
import hamper.server.output.Door;
import hamper.server.output.FrameSender;
import hamper.server.output.Giving;
import hamper.server.output.Seats;
import hamper.server.output.Source;
import hamper.server.output.StandInRoutes;
import hamper.standin.Clock;
import hamper.standin.Place;
import hamper.standin.Seat;
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

  /** No source is lost while a frame is compared, however long that takes. */
  private static final Clock STILL = () -> 0;

  /**
   * What tests do to a proof: with documents on their way, and with stand-ins before they are given
   * any.
   */
  record Seam(
      UnaryOperator<byte[]> onTheWay, Consumer<Map<String, Place>> standing, Starter starter) {
    /** Starts stand-ins. */
    interface Starter {
      StandIns start(List<Seat> seats, Clock clock) throws IOException;
    }

    static final Seam NONE = onTheWay(UnaryOperator.identity());

    static Seam onTheWay(UnaryOperator<byte[]> change) {
      return new Seam(change, places -> {}, StandIns::start);
    }

    static Seam standing(Consumer<Map<String, Place>> work) {
      return new Seam(UnaryOperator.identity(), work, StandIns::start);
    }

    static Seam startedBy(Starter starter) {
      return new Seam(UnaryOperator.identity(), places -> {}, starter);
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
    try (StandIns standIns = seam.starter().start(Seats.of(facts), STILL)) {
      Door door = new Door();
      standIns.places().forEach((controller, place) -> shown.get(controller).standsAt(place));
      seam.standing().accept(standIns.places());
      Giving giving = new Giving(door, seam.onTheWay());
      Map<String, Giving.Gift> gifts = Giving.all(facts);
      for (ShownController one : shown.values()) {
        one.refusedFor(giving.give(one.place(), gifts.get(one.id())));
      }
      Exchange exchange = send(door, standIns.places(), progress);
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
        shown.put(
            controller.id(),
            new ShownController(controller, model, meant(own, layout), decoders(own, layout)));
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

  /** What each strip decoder is meant to show, by the id of the piece: its slots of the line. */
  private Map<String, MeantPort> decoders(ControllerFacts own, FrameLayout layout) {
    Map<String, MeantPort> decoders = new LinkedHashMap<>();
    for (RunFacts run : own.runs()) {
      if (run.port().kind() == PortKind.DMX && !run.placements().isEmpty()) {
        MeantPort line = Meant.of(facts.plan(), own.controller(), run, layout);
        for (int p = 0; p < run.placements().size(); p++) {
          Piece piece = run.run().legs().get(run.placements().get(p).leg()).at().piece();
          if (piece instanceof StripDecoder) {
            decoders.put(piece.id(), line.part(p, StripDecoder.CHANNELS_PER_PIXEL));
          }
        }
      }
    }
    return decoders;
  }

  private Exchange send(Door door, Map<String, Place> places, IntConsumer progress)
      throws IOException, InterruptedException {
    Numbers numbers = new Numbers(layouts);
    List<Numbers.Level> rounds = rounds(numbers.bits());
    try (Source source = Source.create()) {
      FrameSender sender = new FrameSender(source, layouts, new StandInRoutes(places, layouts));
      Exchange exchange = new Exchange(door, sender, places.values());
      for (int i = 0; i < rounds.size(); i++) {
        for (String controller : layouts.keySet()) {
          numbers.fill(controller, sender.frame(controller), rounds.get(i));
        }
        exchange.frame();
        for (ShownController one : shown.values()) {
          JsonNode state = door.get(one.place(), "state").body();
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
      controllers.add(one.proof(exchange.sentTo(one.place())));
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
