package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.server.Started.Answer;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Windows that are many, that do not read, or that are gone hold up nobody who works. */
class ManyWindowsTest extends ApiCase {
  private static final int WRITERS = 20;
  private static final int FOLLOWERS = 10;
  private static final int EDITS_EACH = 8;

  /** More than fit into all buffers on the way to a window. */
  private static final int LARGE_EDITS = 80;

  private static final Pattern VERSION =
      Pattern.compile("data:\\{\"display\":.*\"version\":(\\d+)");

  /** A window that follows, as bytes on a socket. */
  private Socket follow() throws IOException {
    URI base = URI.create(server.base);
    Socket socket = new Socket("127.0.0.1", base.getPort());
    String request =
        "GET /api/events HTTP/1.1\r\nHost: localhost:%d\r\nAccept: text/event-stream\r\nConnection: close\r\n\r\n";
    socket
        .getOutputStream()
        .write(request.formatted(base.getPort()).getBytes(StandardCharsets.US_ASCII));
    return socket;
  }

  private static BufferedReader lines(Socket socket) throws IOException {
    return new BufferedReader(
        new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
  }

  private static void waitFor(BufferedReader lines, String what) throws IOException {
    String line = lines.readLine();
    while (line != null && !line.contains(what)) {
      line = lines.readLine();
    }
    assertThat(line).as("the stream ended before " + what).isNotNull();
  }

  private String renamed(int number) {
    return "{\"type\":\"SetDisplay\",\"name\":\"Quay %d\"}".formatted(number);
  }

  @Test
  void aWindowThatDoesNotReadHoldsUpNobodyAndIsLetGo() throws Exception {
    try (Socket deaf = follow();
        Socket awake = follow()) {
      BufferedReader heard = lines(awake);
      waitFor(heard, "event:hello");
      ExecutorService thread = Executors.newSingleThreadExecutor();
      Future<List<Integer>> versions = thread.submit(() -> versions(heard, LARGE_EDITS + 1));
      // what a window is told of a change of all props is large: buffers fill up soon
      List<String> props =
          whole().get("props").valueStream().map(p -> p.at("/prop/id").toString()).toList();
      double worst = 0;
      for (int i = 1; i <= LARGE_EDITS; i++) {
        long begin = System.nanoTime();
        Answer answer =
            edit(
                i,
                "{\"type\":\"SetProps\",\"props\":%s,\"set\":{\"brightness\":%d}}"
                    .formatted(props, i % 100));
        worst = Math.max(worst, (System.nanoTime() - begin) / 1e6);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
      }
      assertThat(versions.get(30, TimeUnit.SECONDS)).hasSize(LARGE_EDITS);
      thread.shutdown();
      assertThat(endOf(deaf)).as("the other one is let go").isLessThan(LARGE_EDITS + 1);
      System.out.printf(
          "[trial] %d edits beside a window that does not read: worst %.0f ms%n",
          LARGE_EDITS, worst);
      // far below the time after which a write to it is given up
      assertThat(worst).isLessThan(10_000);
    }
  }

  /** The last version that comes out of a stream: of all, where nobody ended it. */
  private static int endOf(Socket stream) throws IOException {
    stream.setSoTimeout(60_000);
    int last = 0;
    BufferedReader lines = lines(stream);
    for (String line = lines.readLine();
        line != null && last <= LARGE_EDITS;
        line = lines.readLine()) {
      Integer version = versionIn(line);
      last = version == null ? last : version;
    }
    return last;
  }

  /** The version that a line of the stream tells of, if any; without reading all of it. */
  private static Integer versionIn(String line) {
    Matcher matcher = VERSION.matcher(line.substring(0, Math.min(200, line.length())));
    return matcher.find() ? Integer.valueOf(matcher.group(1)) : null;
  }

  @Test
  void windowsThatVanishInTheMiddleOfEditsFailNone() throws Exception {
    for (int i = 0; i < 60; i++) {
      Socket tab = follow();
      waitFor(lines(tab), "event:hello");
      tab.setSoLinger(true, 0); // closed by a reset, as a killed tab does it
      Answer answer = edit(i + 1, renamed(i));
      tab.close();
      assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }
    try (Socket next = follow()) {
      BufferedReader lines = lines(next);
      waitFor(lines, "\"" + display + "\":61");
      assertThat(edit(61, renamed(90)).status()).isEqualTo(200);
      waitFor(lines, "\"version\":62");
    }
  }

  @Test
  void twentyWritersAndTenFollowersSeeEveryVersionOnce() throws Exception {
    ExecutorService threads = Executors.newFixedThreadPool(WRITERS + FOLLOWERS);
    List<Socket> sockets = new ArrayList<>();
    List<Future<List<Integer>>> followers = new ArrayList<>();
    int last = 1 + WRITERS * EDITS_EACH;
    for (int i = 0; i < FOLLOWERS; i++) {
      Socket socket = follow();
      sockets.add(socket);
      BufferedReader lines = lines(socket);
      waitFor(lines, "event:hello");
      followers.add(threads.submit(() -> versions(lines, last)));
    }
    AtomicInteger refused = new AtomicInteger();
    ConcurrentLinkedQueue<Double> millis = new ConcurrentLinkedQueue<>();
    List<Future<?>> writers = new ArrayList<>();
    for (int i = 0; i < WRITERS; i++) {
      int writer = i;
      writers.add(threads.submit(() -> write(writer, refused, millis)));
    }
    for (Future<?> writer : writers) {
      writer.get(120, TimeUnit.SECONDS);
    }
    for (Future<List<Integer>> follower : followers) {
      List<Integer> versions = follower.get(60, TimeUnit.SECONDS);
      for (int i = 0; i < versions.size(); i++) {
        assertThat(versions.get(i)).as("no gap, in order").isEqualTo(i + 2);
      }
      assertThat(versions).hasSize(last - 1);
    }
    for (Socket socket : sockets) {
      socket.close();
    }
    threads.shutdown();
    double[] sorted = millis.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    System.out.printf(
        "[trial] %d writers, %d followers: %d edits, %d refused for an older version and made again; median %.1f ms, p99 %.1f ms, worst %.0f ms%n",
        WRITERS,
        FOLLOWERS,
        last - 1,
        refused.get(),
        sorted[sorted.length / 2],
        sorted[sorted.length * 99 / 100],
        sorted[sorted.length - 1]);
    restart();
    assertThat(version()).isEqualTo(last);
  }

  private void write(int writer, AtomicInteger refused, ConcurrentLinkedQueue<Double> millis) {
    int version = 1;
    for (int done = 0; done < EDITS_EACH; ) {
      String edit = "{\"type\":\"SetDisplay\",\"name\":\"Quay %d of %d\"}".formatted(done, writer);
      long begin = System.nanoTime();
      Answer answer = edit(version, edit);
      millis.add((System.nanoTime() - begin) / 1e6);
      if (answer.status() == 409) {
        refused.incrementAndGet();
        version = answer.body().get("version").asInt();
      } else {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        version = answer.body().get("version").asInt();
        done++;
      }
    }
  }

  private static List<Integer> versions(BufferedReader lines, int last) throws IOException {
    List<Integer> versions = new ArrayList<>();
    while (versions.isEmpty() || versions.get(versions.size() - 1) < last) {
      Integer version = versionIn(lines.readLine());
      if (version != null) {
        versions.add(version);
      }
    }
    return versions;
  }

  @Test
  void moreWindowsThanAreServedAreToldSo() throws Exception {
    List<Socket> sockets = new ArrayList<>();
    for (int i = 0; i < 100; i++) {
      Socket socket = follow();
      sockets.add(socket);
      waitFor(lines(socket), "event:hello");
    }
    Answer answer = server.get("/api/events");
    assertThat(answer.status()).isEqualTo(429);
    assertThat(answer.body().get("detail").asString()).contains("100 windows follow already");
    assertThat(edit(1, renamed(5)).status()).isEqualTo(200);
    for (Socket socket : sockets) {
      socket.close();
    }
  }

  @Test
  void aRefusalForAnOlderVersionNamesTheLatestStepsOnly() {
    for (int i = 1; i <= 30; i++) {
      edit(i, renamed(i));
    }
    Answer answer = edit(1, renamed(99));
    assertThat(answer.status()).isEqualTo(409);
    assertThat(answer.body().get("since")).hasSize(20);
    assertThat(answer.body().get("detail").asString())
        .contains("Of 30 steps since then the latest");
    assertThat(edit(31, renamed(98)).status()).isEqualTo(200);
  }
}
