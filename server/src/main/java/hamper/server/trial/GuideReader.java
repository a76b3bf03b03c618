package hamper.server.trial;

import hamper.display.PortRef;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.guide.Doing;
import hamper.guide.Guides;
import hamper.guide.Inquiry;
import hamper.guide.Question;
import hamper.guide.Reading;
import hamper.handover.Handed;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Meant;
import hamper.send.MeantPort;
import hamper.server.handover.Seasons;
import hamper.server.output.Door;
import hamper.server.output.Giving;
import hamper.server.output.Ground;
import hamper.server.output.Output;
import hamper.standin.Place;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Answers questions of guides by asking stand-ins; live only a person can. */
@Component
public final class GuideReader {
  /** Between two readings of a counter (ms): universes at rest are sent every 850 ms. */
  private static final long COUNT_MILLIS = 1_000;

  /** A device that takes longer to answer is slow (ms). */
  private static final long SLOW_MILLIS = 250;

  private final Ground ground;
  private final Output output;
  private final Seasons seasons;
  private final Door door = new Door();
  private final Giving giving = new Giving(door, UnaryOperator.identity());

  GuideReader(Ground ground, Output output, Seasons seasons) {
    this.ground = ground;
    this.output = output;
    this.seasons = seasons;
  }

  /**
   * @param piece the id of the string that the guide is about
   * @return empty where only a person can answer
   */
  public Optional<String> read(
      String display, Facts facts, Inquiry inquiry, String piece, Question question)
      throws IOException, InterruptedException {
    if (ground.live()) {
      return Optional.empty();
    }
    PortRef port = facts.plan().leg(piece).orElseThrow().port();
    Place at = ground.doors(display, facts).at().get(port.controller());
    if (at == null) {
      return Optional.empty();
    }
    if (question.doing() instanceof Doing.Ask ask) {
      return Optional.of(asked(display, facts, port.controller(), at, ask.reading()));
    } else if (question.doing() instanceof Doing.Restart) {
      return Optional.of(configuration(facts, port.controller(), at));
    }
    return Guides.seen(
        inquiry, facts, piece, question, clocked(display, facts, port.controller(), at));
  }

  private String asked(String display, Facts facts, String controller, Place at, Reading reading)
      throws IOException, InterruptedException {
    return switch (reading) {
      case POWER -> door.get(at, "identity").status() == 200 ? "yes" : "no";
      case IDENTITY -> identity(display, facts, controller, at);
      case PACKETS -> packets(at);
      case CONFIGURATION -> configuration(facts, controller, at);
      case QUARREL -> isQuarrel(at) ? "yes" : "no";
      case MISSING -> missing(at) > 0 ? "yes" : "no";
      case SPEED -> speed(at);
    };
  }

  private String identity(String display, Facts facts, String controller, Place at)
      throws IOException, InterruptedException {
    JsonNode says = door.get(at, "identity").body();
    String planned = facts.plan().existingController(controller).model();
    Optional<String> serial = seasons.of(display).of(controller).flatMap(Handed::serial);
    if (!says.path("model").asString("").equals(planned)) {
      return "model";
    } else if (!says.path("address").asString("").equals(at.address())) {
      return "address";
    }
    String own = says.path("serial").asString("");
    return serial.filter(known -> !known.equals(own)).isPresent() ? "unit" : "planned";
  }

  private String packets(Place at) throws IOException, InterruptedException {
    long before = door.get(at, "counters").body().path("packets").asLong(0);
    Thread.sleep(COUNT_MILLIS);
    return door.get(at, "counters").body().path("packets").asLong(0) > before ? "moves" : "still";
  }

  private String configuration(Facts facts, String controller, Place at)
      throws InterruptedException {
    Giving.Outcome outcome =
        giving.ask(at, Giving.all(facts).get(controller), Giving.Known.NOTHING);
    if (outcome.done()) {
      return "planned";
    }
    return outcome.result() == Giving.Result.DIFFERENT && outcome.has().isEmpty()
        ? "nothing"
        : "other";
  }

  private boolean isQuarrel(Place at) throws IOException, InterruptedException {
    return door.get(at, "counters").body().path("quarrels").asInt(0) > 0;
  }

  /** Numbers that are missing more than a second ago: what was missing before is over. */
  private long missing(Place at) throws IOException, InterruptedException {
    long before = missingSoFar(at);
    Thread.sleep(2 * COUNT_MILLIS);
    return missingSoFar(at) - before;
  }

  private long missingSoFar(Place at) throws IOException, InterruptedException {
    return door.get(at, "counters")
        .body()
        .path("streams")
        .valueStream()
        .mapToLong(one -> one.path("missing").asLong(0))
        .sum();
  }

  private String speed(Place at) throws IOException, InterruptedException {
    long begin = System.nanoTime();
    door.get(at, "identity");
    return TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begin) > SLOW_MILLIS
        ? "slow"
        : "quick";
  }

  private Guides.Clocked clocked(String display, Facts facts, String controller, Place at)
      throws IOException, InterruptedException {
    Map<PortRef, byte[]> shown = DeviceState.ports(controller, door.get(at, "state").body());
    ControllerFacts own = facts.controllers().get(facts.plan().indexOf(controller));
    FrameLayout layout = FrameLayouts.of(facts).get(controller);
    byte[] frame =
        output
            .sent(display)
            .map(sent -> sent.frames().get(controller))
            .filter(sent -> sent.length == layout.length())
            .orElse(new byte[layout.length()]);
    Map<PortRef, byte[]> meant = new HashMap<>();
    for (RunFacts run : own.runs()) {
      if (!run.placements().isEmpty()) {
        MeantPort port = Meant.of(facts.plan(), own.controller(), run, layout);
        meant.put(run.port(), port.clocked(frame));
      }
    }
    return new Guides.Clocked(shown, meant);
  }
}
