package hamper.bench;

import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Pace;
import hamper.server.output.Door;
import hamper.server.output.FrameSender;
import hamper.server.output.Giving;
import hamper.server.output.Seats;
import hamper.server.output.Source;
import hamper.server.output.StandInRoutes;
import hamper.server.output.YardProcess;
import hamper.standin.Place;
import hamper.wire.E131;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.ByteBuffer;
import java.nio.channels.DatagramChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import java.util.function.UnaryOperator;
import tools.jackson.databind.JsonNode;

/**
 * How fast frames go out, beside a loop of sendto in C and beside the bare channel ({@code rate});
 * how evenly 200 universes do over minutes ({@code soak MINUTES}). docs/performance.md says how to
 * run it. On loopback addresses only.
 */
public final class SendBench {
  private static final int CONTROLLERS = 10;
  private static final int PORTS = 5;
  private static final int PIXELS = 680;
  private static final int SLOTS = 510;
  private static final int UNIVERSES = CONTROLLERS * PORTS * PIXELS * 3 / SLOTS;
  private static final int FRAMES_A_SECOND = 40;
  private static final double SECOND = 1e9;
  private static final int ROUNDS = 9;

  private SendBench() {}

  public static void main(String[] args) throws Exception {
    if (args.length > 0 && args[0].equals("soak")) {
      soak(args.length > 1 ? Double.parseDouble(args[1]) : 10);
    } else {
      rate(args.length > 1 ? Path.of(args[1]) : Path.of("src/main/c/send.c"));
    }
  }

  private static Facts display() {
    List<String> props = new ArrayList<>();
    List<String> controllers = new ArrayList<>();
    for (int c = 0; c < CONTROLLERS; c++) {
      List<String> runs = new ArrayList<>();
      for (int p = 1; p <= PORTS; p++) {
        String id = "s%dx%d".formatted(c, p);
        props.add(
            """
            {"id": "p%1$s", "name": "p%1$s", "pieces": [{"kind": "string", "id": "%1$s", "name": "s",
              "pixelType": "node-12v", "sections": [{"pixels": %2$d}]}]}"""
                .formatted(id, PIXELS));
        runs.add("{\"port\": %d, \"legs\": [{\"piece\": \"%s\"}]}".formatted(p, id));
      }
      controllers.add(
          """
          {"id": "k%1$d", "tag": "K%1$d", "name": "K%1$d", "model": "ostrand-twelve",
           "settings": {"protocol": "E131", "transport": "UNICAST", "universeSize": 510,
             "address": "198.51.100.%1$d"}, "runs": [%2$s]}"""
              .formatted(c + 1, String.join(", ", runs)));
    }
    String file =
        "{\"format\": \"hamper-display\", \"formatVersion\": 2, \"name\": \"Bench\", \"props\": [%s],"
                .formatted(String.join(",", props))
            + "\"controllers\": [%s]}".formatted(String.join(",", controllers));
    return Facts.of(
        DisplayFile.read(file.getBytes(StandardCharsets.UTF_8), CatalogueFiles.shipped()));
  }

  // ---- rate

  private interface Run {
    double packetsPerSecond() throws Exception;
  }

  private static void rate(Path source) throws Exception {
    Path program = Files.createTempDirectory("send").resolve("send");
    int code =
        new ProcessBuilder("gcc", "-O2", "-o", program.toString(), source.toString())
            .inheritIO()
            .start()
            .waitFor();
    if (code != 0) {
      throw new IOException("gcc ended with " + code);
    }
    Map<String, Place> places = new LinkedHashMap<>();
    List<DatagramChannel> sinks = new ArrayList<>();
    for (int i = 1; i <= CONTROLLERS; i++) {
      String address = "127.82.0." + i;
      places.put("k" + i, Place.own(address));
      sinks.add(DatagramChannel.open().bind(new InetSocketAddress(address, E131.PORT)));
    }
    Map<String, FrameLayout> layouts = FrameLayouts.of(display());
    Source sender = Source.create();
    FrameSender frames = new FrameSender(sender, layouts, new StandInRoutes(places, layouts));
    Run[] runs = {() -> inC(program, places), () -> bare(places), () -> ours(frames, layouts)};
    String[] names = {"sendto in C", "bare channel", "frames"};
    double[][] seen = new double[runs.length][ROUNDS];
    for (int round = -2; round < ROUNDS; round++) {
      for (int i = 0; i < runs.length; i++) {
        double rate = runs[i].packetsPerSecond();
        if (round >= 0) {
          seen[i][round] = rate;
        }
      }
    }
    for (int i = 0; i < runs.length; i++) {
      System.out.printf(
          "%-14s %,10.0f packets a second (median of %d)%n", names[i], median(seen[i]), ROUNDS);
    }
    System.out.printf("frames to sendto in C:  %.2f (median of ratios)%n", ratio(seen[2], seen[0]));
    System.out.printf("frames to bare channel: %.2f%n", ratio(seen[2], seen[1]));
    sender.close();
    for (DatagramChannel sink : sinks) {
      sink.close();
    }
  }

  private static double ratio(double[] of, double[] to) {
    double[] ratios = new double[of.length];
    Arrays.setAll(ratios, i -> of[i] / to[i]);
    return median(ratios);
  }

  private static double median(double[] values) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }

  private static double inC(Path program, Map<String, Place> places) throws Exception {
    List<String> command =
        new ArrayList<>(
            List.of(
                program.toString(),
                "1",
                "" + E131.dataSize(SLOTS),
                "" + E131.slotsAt(),
                "" + UNIVERSES));
    places.values().forEach(place -> command.add(place.address()));
    Process process = new ProcessBuilder(command).start();
    return Double.parseDouble(
        new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip());
  }

  private static double bare(Map<String, Place> places) throws IOException {
    List<InetSocketAddress> to = new ArrayList<>();
    for (Place place : places.values()) {
      to.add(new InetSocketAddress(InetAddress.getByName(place.address()), E131.PORT));
    }
    int size = E131.dataSize(SLOTS);
    byte[] levels = new byte[SLOTS];
    ByteBuffer[] packets = new ByteBuffer[UNIVERSES];
    Arrays.setAll(packets, i -> ByteBuffer.allocateDirect(size));
    long sent = 0;
    try (DatagramChannel channel = DatagramChannel.open()) {
      channel.bind(new InetSocketAddress("127.0.0.1", 0));
      long begin = System.nanoTime();
      for (int frame = 0; System.nanoTime() - begin < SECOND; frame++) {
        Arrays.fill(levels, (byte) frame);
        for (int u = 0; u < UNIVERSES; u++) {
          ByteBuffer packet = packets[u];
          packet.put(E131.slotsAt(), levels).put(111, (byte) frame).rewind();
          channel.send(packet, to.get(u % to.size()));
          sent++;
        }
      }
      return sent / ((System.nanoTime() - begin) / SECOND);
    }
  }

  private static void fill(FrameSender frames, Map<String, FrameLayout> layouts, int frame) {
    for (String controller : layouts.keySet()) {
      Arrays.fill(frames.frame(controller), (byte) frame);
    }
  }

  private static double ours(FrameSender frames, Map<String, FrameLayout> layouts)
      throws IOException {
    long[] sent = {0};
    long begin = System.nanoTime();
    for (int frame = 0; System.nanoTime() - begin < SECOND; frame++) {
      fill(frames, layouts, frame);
      frames.sendAll(to -> sent[0]++);
    }
    return sent[0] / ((System.nanoTime() - begin) / SECOND);
  }

  // ---- soak

  private static void soak(double minutes) throws Exception {
    Facts facts = display();
    Path folder = Files.createTempDirectory("soak");
    YardProcess yard = new YardProcess(folder);
    Map<String, Place> places = yard.seat("bench", Seats.of(facts));
    Door door = new Door();
    Giving giving = new Giving(door, UnaryOperator.identity());
    for (var gift : Giving.all(facts).entrySet()) {
      String refused = giving.give(places.get(gift.getKey()), gift.getValue());
      if (!refused.isEmpty()) {
        throw new IllegalStateException(refused);
      }
    }
    Map<String, FrameLayout> layouts = FrameLayouts.of(facts);
    Source sender = Source.create();
    FrameSender frames = new FrameSender(sender, layouts, new StandInRoutes(places, layouts));
    int count = (int) (minutes * 60 * FRAMES_A_SECOND);
    double[] late = new double[count];
    long cpu = cpu();
    long begin = System.nanoTime() + (long) SECOND;
    long[] sent = {0};
    Pace pace = new Pace(begin, FRAMES_A_SECOND);
    for (int i = 0; i < count && pace.sent() + pace.unsent() < count; i++) {
      for (long left = pace.due() - System.nanoTime(); left > 0; ) {
        LockSupport.parkNanos(left);
        left = pace.due() - System.nanoTime();
      }
      late[i] = pace.take(System.nanoTime()) / 1e6;
      fill(frames, layouts, i);
      frames.send((long) (SECOND / FRAMES_A_SECOND / 2), to -> sent[0]++);
    }
    double wall = System.nanoTime() - begin;
    cpu = cpu() - cpu;
    Thread.sleep(500);
    tell(door, places, pace, sent[0], late);
    System.out.printf("processor: %.1f %% of one core%n", 100 * cpu / wall);
    sender.close();
    yard.end();
  }

  private static long cpu() {
    return ((com.sun.management.OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean())
        .getProcessCpuTime();
  }

  private static void tell(
      Door door, Map<String, Place> places, Pace pace, long sent, double[] late)
      throws IOException, InterruptedException {
    long arrived = 0;
    long missing = 0;
    long wrong = 0;
    for (Place place : places.values()) {
      JsonNode counters = door.get(place, "counters").body();
      arrived += counters.get("packets").asLong();
      for (JsonNode stream : counters.get("streams")) {
        missing += stream.get("missing").asLong();
        wrong += stream.get("sequenceErrors").asLong();
      }
    }
    double[] sorted = Arrays.copyOf(late, (int) pace.sent());
    Arrays.sort(sorted);
    System.out.printf(
        "%,d frames to %d universes sent, %d unsent; %,d packets sent, %,d arrived%n",
        pace.sent(), UNIVERSES, pace.unsent(), sent, arrived);
    System.out.printf("numbers missing at stand-ins: %d, out of order: %d%n", missing, wrong);
    System.out.printf(
        "late: median %.3f ms, p99 %.3f ms, worst %.3f ms%n",
        sorted[sorted.length / 2], sorted[sorted.length * 99 / 100], sorted[sorted.length - 1]);
  }
}
