package hamper.server.network;

import hamper.catalog.PortKind;
import hamper.display.PortRef;
import hamper.facts.Facts;
import hamper.server.daemons.Daemons;
import hamper.server.output.Asking;
import hamper.server.output.Ground;
import hamper.server.output.StandInGround;
import hamper.standin.Place;
import hamper.value.RefusedException;
import hamper.value.Require;
import hamper.who.LineDevice;
import hamper.who.LineEntry;
import hamper.who.LineRoster;
import hamper.wire.SerialUnits;
import hamper.wire.Uid;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.springframework.stereotype.Component;

/** What was found on lines, by display and port; one line is asked at a time. */
@Component
public final class LineRuns {
  private static final int LAST_SLOT = 512;

  /**
   * What was found on a line.
   *
   * @param at when it was asked
   * @param port whose line it is
   * @param written as people write it
   * @param percent of the line that was asked
   * @param entries while it is running none
   * @param failed why it could not be asked
   */
  public record LineRun(
      Instant at,
      PortRef port,
      String written,
      boolean running,
      int percent,
      List<LineEntry> entries,
      Optional<String> failed) {
    public LineRun {
      entries = List.copyOf(entries);
    }
  }

  /**
   * How a line is asked.
   *
   * @param anew whether a bridge is to search its line again
   * @param from the first unit number of a serial line
   * @param to the last one
   * @param device the serial port of this computer, live
   */
  public record How(
      boolean anew, Optional<Integer> from, Optional<Integer> to, Optional<String> device) {}

  private record Key(String display, PortRef port) {}

  private static final class Work {
    final Instant at = Instant.now();
    volatile int percent;
    volatile List<LineDevice> found;
    volatile String failed;
    volatile Future<?> task;
  }

  private final Ground ground;
  private final Map<Key, Work> works = new ConcurrentHashMap<>();
  private final ExecutorService one = Executors.newSingleThreadExecutor(Daemons.named("on a line"));

  LineRuns(Ground ground) {
    this.ground = ground;
  }

  /** Serial ports of this computer. */
  public List<String> serialPorts() {
    return SerialScan.names();
  }

  /** Begins to ask a line; where it is being asked, that goes on. */
  public synchronized void start(String display, Facts facts, PortRef port, How how) {
    Work now = works.get(new Key(display, port));
    if (now != null && now.found == null && now.failed == null) {
      return;
    }
    how.from().ifPresent(from -> Require.inRange("from", from, 1, SerialUnits.HIGHEST));
    how.to().ifPresent(to -> Require.inRange("to", to, how.from().orElse(1), SerialUnits.HIGHEST));
    Work work = new Work();
    works.put(new Key(display, port), work);
    work.task = one.submit(() -> ask(display, facts, port, how, work));
  }

  private void ask(String display, Facts facts, PortRef port, How how, Work work) {
    try {
      if (port.kind() == PortKind.SERIAL) {
        try (SerialScan scan = serial(display, facts, port, how)) {
          work.found =
              scan.all(
                  how.from().orElse(1),
                  how.to().orElse(SerialUnits.HIGHEST),
                  percent -> work.percent = percent);
        }
      } else {
        try (DmxLine line = dmx(display, facts, port, true)) {
          work.found = line.all(how.anew(), percent -> work.percent = percent);
        }
      }
    } catch (InterruptedException e) {
      work.failed = "it was stopped";
    } catch (IOException | RuntimeException e) {
      work.failed = String.valueOf(e.getMessage());
    }
  }

  private SerialScan serial(String display, Facts facts, PortRef port, How how)
      throws IOException, InterruptedException {
    if (ground instanceof StandInGround standIns) {
      return SerialScan.standIn(standIns.serialLine(display, facts, port));
    }
    return SerialScan.at(
        how.device()
            .orElseThrow(() -> new IOException("say which serial port of this computer it is")));
  }

  private DmxLine dmx(String display, Facts facts, PortRef port, boolean hang)
      throws IOException, InterruptedException {
    int universe =
        Optional.ofNullable(
                facts
                    .resolution()
                    .blocks()
                    .get(facts.plan().indexOf(port.controller()))
                    .dmxUniverses()
                    .get(port))
            .orElseThrow(() -> new IOException("nothing is planned on that line"));
    if (hang && ground instanceof StandInGround standIns) {
      standIns.fixtures(display, facts, port);
    }
    Place node = ground.doors(display, facts).at().get(port.controller());
    if (node == null) {
      throw new IOException("its controller cannot be reached");
    }
    Asking asking = ground.asking(display, facts);
    return new DmxLine(asking, node, universe);
  }

  /** What was found last, beside the plan as it is now. */
  public Optional<LineRun> of(String display, Facts facts, PortRef port) {
    Work work = works.get(new Key(display, port));
    if (work == null) {
      return Optional.empty();
    }
    List<LineDevice> found = work.found;
    return Optional.of(
        new LineRun(
            work.at,
            port,
            facts.plan().written(port),
            found == null && work.failed == null,
            work.percent,
            found == null ? List.of() : LineRoster.of(facts.plan(), port, found),
            Optional.ofNullable(work.failed)));
  }

  private Work known(String display, PortRef port) {
    Work work = works.get(new Key(display, port));
    if (work == null || work.found == null) {
      throw new RefusedException("port", port.toString(), "ask the line first, and wait for it");
    }
    return work;
  }

  /** How the line would be with a device at another slot; nothing is set. */
  public List<LineEntry> preview(String display, Facts facts, PortRef port, String uid, int slot) {
    return LineRoster.of(facts.plan(), port, moved(known(display, port), uid, slot));
  }

  private static List<LineDevice> moved(Work work, String uid, int slot) {
    Require.inRange("slot", slot, 1, LAST_SLOT);
    if (work.found.stream().noneMatch(one -> one.id().equals(uid))) {
      throw new RefusedException("uid", Require.quoted(uid), "nobody of that UID was found");
    }
    return work.found.stream().map(one -> one.id().equals(uid) ? one.at(slot) : one).toList();
  }

  /**
   * Sets a start slot, and reads it back.
   *
   * @throws IOException where the device does not take it
   */
  public void setSlot(String display, Facts facts, PortRef port, String uid, int slot)
      throws IOException, InterruptedException {
    Work work = known(display, port);
    moved(work, uid, slot);
    try (DmxLine line = dmx(display, facts, port, false)) {
      work.found = moved(work, uid, line.setSlot(Uid.of(uid), slot));
    }
  }

  /** Lets a device blink, or not any more. */
  public void identify(String display, Facts facts, PortRef port, String uid, boolean on)
      throws IOException, InterruptedException {
    Work work = known(display, port);
    try (DmxLine line = dmx(display, facts, port, false)) {
      line.identify(Uid.of(uid), on);
      work.found =
          work.found.stream()
              .map(each -> each.id().equals(uid) ? each.blinking(on) : each)
              .toList();
    }
  }

  public void stop(String display, PortRef port) {
    Work work = works.get(new Key(display, port));
    if (work != null) {
      work.task.cancel(true);
    }
  }

  @PreDestroy
  void end() {
    one.shutdownNow();
  }
}
