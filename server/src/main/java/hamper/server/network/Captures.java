package hamper.server.network;

import hamper.address.IpAddress;
import hamper.capture.CaptureException;
import hamper.capture.CaptureReader;
import hamper.facts.Facts;
import hamper.listen.AirReport;
import hamper.listen.HeardStream;
import hamper.listen.Vantage;
import hamper.server.daemons.Daemons;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.output.Ground;
import hamper.server.output.OutputSetting;
import hamper.server.trial.FrameLooks;
import hamper.server.trial.TrialLook;
import hamper.value.Foreign;
import hamper.value.RefusedException;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Captures that somebody dropped on a display: the last of each, on the disk while the program
 * runs, of the moment like all that is heard.
 */
@Component
public final class Captures {
  private static final Logger LOG = LoggerFactory.getLogger(Captures.class);
  private static final int MOST_NAME = 120;

  /** Room that is left on the disk for edits, whatever is dropped (bytes). */
  private static final long LEFT_FREE = 256L << 20;

  /**
   * A moment of a capture.
   *
   * @param micros since 1970
   * @param before when the frame before ended
   * @param after when the next one ends
   * @param controllers what each was sent
   */
  public record CaptureMoment(
      long micros, long before, long after, List<TrialLook.TrialController> controllers) {
    public CaptureMoment {
      controllers = List.copyOf(controllers);
    }
  }

  private static final class Dropped {
    final String name;
    final CaptureFile file;
    volatile int percent;
    volatile CaptureFile.Read read;
    volatile String failed;
    volatile Future<?> work;

    Dropped(String name, CaptureFile file) {
      this.name = name;
      this.file = file;
    }
  }

  private final Displays displays;
  private final Ground ground;
  private final Path folder;
  private final Map<String, Dropped> all = new ConcurrentHashMap<>();
  private final ExecutorService one = Executors.newSingleThreadExecutor(Daemons.named("captures"));

  Captures(Displays displays, Ground ground, OutputSetting setting) {
    this.displays = displays;
    this.ground = ground;
    folder = setting.folder().resolve("captures");
    clear();
  }

  /** What a program left that was killed is nobody's any more. */
  private void clear() {
    try (Stream<Path> left = Files.isDirectory(folder) ? Files.list(folder) : Stream.empty()) {
      left.forEach(Captures::delete);
    } catch (IOException e) {
      LOG.info("Captures of before stay", e);
    }
  }

  /**
   * Takes a capture, and begins to read it.
   *
   * @param length that it is said to have (bytes); below 0: nobody said
   * @throws RefusedException where there is no room for it
   */
  public void take(String display, String name, InputStream body, long length)
      throws IOException, InterruptedException {
    Facts facts = displays.get(display).look().facts();
    drop(display);
    Files.createDirectories(folder);
    long free = Files.getFileStore(folder).getUsableSpace();
    long wanted = length < 0 ? CaptureReader.MOST_FILE : length;
    if (free - wanted < LEFT_FREE) {
      throw new RefusedException(
          "capture",
          "%,d bytes".formatted(wanted),
          "the disk has %,d bytes free, and %,d are kept for edits".formatted(free, LEFT_FREE));
    }
    Path file = Files.createTempFile(folder, "capture-", ".tmp");
    try {
      try (OutputStream out = Files.newOutputStream(file)) {
        body.transferTo(out);
      }
      Dropped dropped =
          new Dropped(
              Foreign.line(name, MOST_NAME), new CaptureFile(file, translation(display, facts)));
      all.put(display, dropped);
      dropped.work = one.submit(() -> read(display, dropped, file));
    } catch (IOException | RuntimeException e) {
      Files.deleteIfExists(file);
      throw e;
    }
  }

  private void read(String display, Dropped dropped, Path file) {
    try {
      dropped.read =
          dropped.file.read(
              displays.get(display).look().facts(), percent -> dropped.percent = percent);
    } catch (CaptureException e) {
      dropped.failed = e.getMessage();
      delete(file);
    } catch (IOException | RuntimeException e) {
      LOG.info("A capture was not read", e);
      dropped.failed = "It cannot be read: %s.".formatted(e.getMessage());
      delete(file);
    }
    dropped.percent = 100;
  }

  private static void delete(Path file) {
    try {
      Files.deleteIfExists(file);
    } catch (IOException e) {
      LOG.debug("{} stays", file, e);
    }
  }

  /** Forgets the capture of a display, if there is one. */
  public void drop(String display) {
    Dropped dropped = all.remove(display);
    if (dropped != null) {
      dropped.work.cancel(true);
      delete(dropped.file.path());
    }
  }

  /** The capture of a display beside its plan as it is now. */
  public Optional<CaptureView> of(String display) {
    Dropped dropped = all.get(display);
    return dropped == null ? Optional.empty() : Optional.of(view(display, dropped));
  }

  private CaptureView view(String display, Dropped dropped) {
    LiveDisplay.Look look = displays.get(display).look();
    CaptureFile.Read read = dropped.read;
    Optional<AirReport> report = Optional.empty();
    String from = "";
    if (read != null) {
      List<HeardStream> streams = read.air().streams();
      Vantage vantage = Vantage.of(streams);
      report = Optional.of(AirReport.of(look.facts(), streams, vantage));
      from = told(vantage);
    }
    boolean levels = read != null && read.lastMicros() != Long.MIN_VALUE;
    return new CaptureView(
        dropped.name,
        dropped.file.size(),
        read == null && dropped.failed == null,
        dropped.percent,
        look.version(),
        levels ? read.firstMicros() : 0,
        levels ? read.lastMicros() : 0,
        from,
        report,
        read == null ? List.of() : read.air().sources(),
        read == null ? Map.of() : read.air().refused(),
        Optional.ofNullable(read).map(CaptureFile.Read::summary),
        Optional.ofNullable(dropped.failed));
  }

  private static String told(Vantage vantage) {
    if (vantage.everything()) {
      return "a port that all of the cable goes out of";
    }
    return vantage.own().isEmpty()
        ? "an unknown place"
        : vantage.own().stream().sorted().map(IpAddress::text).collect(Collectors.joining(" or "));
  }

  /**
   * What was sent to all controllers at a moment.
   *
   * @throws RefusedException where there is no capture that was read
   */
  public CaptureMoment at(String display, long micros) throws IOException {
    Dropped dropped = all.get(display);
    if (dropped == null || dropped.read == null) {
      throw new RefusedException("capture", "nothing", "drop a capture first, and wait for it");
    }
    Facts facts = displays.get(display).look().facts();
    CaptureFile.Moment moment = dropped.file.at(facts, micros);
    return new CaptureMoment(
        micros,
        moment.before(),
        moment.after(),
        FrameLooks.of(facts, moment.frames().frames(), moment.frames().heard()));
  }

  /** Stand-ins are told on DDP by their address alone; universes say what they are. */
  private StandInAddresses translation(String display, Facts facts)
      throws IOException, InterruptedException {
    return ground.live()
        ? StandInAddresses.NONE
        : StandInAddresses.of(facts, ground.doors(display, facts).at());
  }

  @PreDestroy
  void end() {
    one.shutdownNow();
    List.copyOf(all.keySet()).forEach(this::drop);
  }
}
