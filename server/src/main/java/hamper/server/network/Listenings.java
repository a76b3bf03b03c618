package hamper.server.network;

import hamper.address.IpAddress;
import hamper.facts.Facts;
import hamper.listen.Air;
import hamper.listen.AirLine;
import hamper.listen.AirReport;
import hamper.listen.HeardSource;
import hamper.listen.HeardStream;
import hamper.listen.Vantage;
import hamper.server.daemons.Daemons;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.output.Asking;
import hamper.server.output.Ground;
import hamper.server.output.Output;
import hamper.standin.Place;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Listens for a display while somebody looks: live to the network, else to what stand-ins count. It
 * ends by itself when nobody has asked for a while.
 */
@Component
public final class Listenings {
  private static final Logger LOG = LoggerFactory.getLogger(Listenings.class);

  /** What is told was heard over so long, and as long again at most (ms). */
  private static final long WINDOW_MILLIS = 5_000;

  /** How often devices are asked (ms). */
  private static final long ASK_MILLIS = 1_000;

  /** Nobody looks any more (s). */
  private static final long FORGOTTEN_SECONDS = 30;

  private final Displays displays;
  private final Ground ground;
  private final Output output;
  private final Map<String, Work> works = new ConcurrentHashMap<>();

  Listenings(Displays displays, Ground ground, Output output) {
    this.displays = displays;
    this.ground = ground;
    this.output = output;
  }

  /** Begins to listen; where that is so already, it goes on. */
  public synchronized void start(String display) {
    Work now = works.get(display);
    if (now == null || !now.told.running()) {
      Work work = new Work(display, displays.get(display).look());
      works.put(display, work);
      work.thread.start();
    }
  }

  public Optional<Listening> of(String display) {
    Work work = works.get(display);
    if (work == null) {
      return Optional.empty();
    }
    work.asked = System.nanoTime();
    return Optional.of(work.told);
  }

  public void stop(String display) {
    Work work = works.get(display);
    if (work != null) {
      work.thread.interrupt();
    }
  }

  @PreDestroy
  void end() {
    works.keySet().forEach(this::stop);
  }

  /** Listening for one display. */
  private final class Work {
    private final String display;
    private final Thread thread;
    private final Instant began = Instant.now();
    private final Map<String, HeardSource> sources = new TreeMap<>();
    private volatile long asked = System.nanoTime();
    private volatile Listening told;

    Work(String display, LiveDisplay.Look look) {
      this.display = display;
      thread = Daemons.thread("listening", this::run);
      AirReport nothing = new AirReport(List.of(), List.of(), List.of());
      told =
          told(look.version(), true, 0, List.of(), nothing, Map.of(), List.of(), Optional.empty());
    }

    private Listening told(
        int version,
        boolean running,
        long window,
        List<String> adapters,
        AirReport report,
        Map<String, Long> refused,
        List<String> notes,
        Optional<String> failed) {
      return new Listening(
          began,
          version,
          running,
          ground.live(),
          window,
          adapters,
          report,
          List.copyOf(sources.values()),
          refused,
          notes,
          failed);
    }

    private boolean isWanted() {
      long silent = System.nanoTime() - asked;
      return !thread.isInterrupted() && silent < TimeUnit.SECONDS.toNanos(FORGOTTEN_SECONDS);
    }

    private void run() {
      Optional<String> failed = Optional.empty();
      try {
        if (ground.live()) {
          live();
        } else {
          standIns();
        }
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt(); // it was stopped
      } catch (IOException | RuntimeException e) {
        LOG.info("Listening for {} ended", display, e);
        failed = Optional.of(String.valueOf(e.getMessage()));
      }
      Listening last = told;
      told =
          told(
              last.version(),
              false,
              last.windowMillis(),
              last.adapters(),
              last.report(),
              last.refused(),
              last.notes(),
              failed);
    }

    private void standIns() throws IOException, InterruptedException {
      try (DoorAnswers doors = new DoorAnswers()) {
        DeviceCounts counts = new DeviceCounts(doors);
        while (isWanted()) {
          LiveDisplay.Look look = displays.get(display).look();
          Facts facts = look.facts();
          DeviceCounts.Counted counted =
              counts.ask(facts, ground.doors(display, facts).at(), senders());
          Vantage there = Vantage.at(addresses(facts, counted.answered()));
          AirReport report = AirReport.of(facts, counted.streams(), there);
          told =
              told(
                  look.version(),
                  true,
                  ASK_MILLIS,
                  List.of(),
                  report,
                  Map.of(),
                  List.of(),
                  Optional.empty());
          Thread.sleep(ASK_MILLIS);
        }
      }
    }

    private Set<String> senders() {
      return output.sent(display).map(Output.Sent::senders).orElse(Set.of());
    }

    private void live() throws IOException, InterruptedException {
      Facts first = displays.get(display).look().facts();
      Asking asking = ground.asking(display, first);
      List<String> adapters = asking.own().stream().map(IpAddress::text).toList();
      try (LiveAir air = new LiveAir(asking, first);
          DoorAnswers doors = new DoorAnswers()) {
        DeviceCounts counts = new DeviceCounts(doors);
        Air before = null;
        Air now = new Air();
        long begun = System.nanoTime();
        while (isWanted()) {
          air.hear(System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(ASK_MILLIS), now);
          now.sources().forEach(one -> sources.put(one.from() + " " + one.name(), one));
          Air whole = before == null ? now : before;
          tell(asking, adapters, air, whole, counts);
          if (System.nanoTime() - begun >= TimeUnit.MILLISECONDS.toNanos(WINDOW_MILLIS)) {
            before = now;
            now = new Air();
            begun = System.nanoTime();
          }
        }
      }
    }

    private void tell(
        Asking asking, List<String> adapters, LiveAir air, Air heard, DeviceCounts counts)
        throws IOException, InterruptedException {
      LiveDisplay.Look look = displays.get(display).look();
      Facts facts = look.facts();
      Vantage here = Vantage.at(asking.own());
      AirReport report = AirReport.of(facts, heard.streams(), here);
      Set<String> unheard = new HashSet<>();
      report.lines().stream()
          .filter(line -> line.state() == AirLine.State.CANNOT_BE_HEARD)
          .forEach(line -> unheard.addAll(line.planned().controllers()));
      if (!unheard.isEmpty()) {
        Map<String, Place> at = new HashMap<>(ground.doors(display, facts).at());
        at.keySet().retainAll(unheard);
        DeviceCounts.Counted counted = counts.ask(facts, at, senders());
        List<HeardStream> all = new ArrayList<>(heard.streams());
        // what goes to a group is heard already
        counted.streams().stream().filter(one -> Vantage.isOne(one.to())).forEach(all::add);
        Set<IpAddress> own = new HashSet<>(asking.own());
        own.addAll(addresses(facts, counted.answered()));
        report = AirReport.of(facts, all, Vantage.at(own));
      }
      told =
          told(
              look.version(),
              true,
              TimeUnit.MICROSECONDS.toMillis(heard.micros()),
              adapters,
              report,
              heard.refused(),
              air.notes(),
              Optional.empty());
    }
  }

  private static List<IpAddress> addresses(Facts facts, Set<String> controllers) {
    return controllers.stream()
        .flatMap(id -> facts.plan().controller(id).stream())
        .flatMap(one -> one.address().stream())
        .toList();
  }
}
