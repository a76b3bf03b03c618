package hamper.server.yard;

import hamper.server.cli.Hamper;
import hamper.wire.ArtNet;
import hamper.wire.ArtPollReply;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.SocketTimeoutException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;

/** Hamper with {@code --live}; polls, gives, lights all there is, and stops at a word. */
public final class DeskMain {
  private static final String BASE = "http://localhost:8099/api";
  private static final HttpClient CLIENT = HttpClient.newHttpClient();

  private DeskMain() {}

  private static String ask(String method, String path, String type, byte[] body)
      throws IOException, InterruptedException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(BASE + path))
            .header("Content-Type", type)
            .method(method, BodyPublishers.ofByteArray(body))
            .build();
    return CLIENT.send(request, BodyHandlers.ofString()).body();
  }

  private static String json(String method, String path, String body)
      throws IOException, InterruptedException {
    return ask(method, path, "application/json", body.getBytes(StandardCharsets.UTF_8));
  }

  /** Who answers an ArtPoll that is broadcast, by address and bind index. */
  private static Set<String> polled(String broadcast) throws IOException {
    Set<String> found = new TreeSet<>();
    try (DatagramSocket socket = new DatagramSocket(ArtNet.PORT)) {
      socket.setBroadcast(true);
      socket.setSoTimeout(1_000);
      byte[] poll = new byte[22];
      int length = ArtNet.writePoll(poll, ArtNet.Poll.everybody());
      InetSocketAddress all = new InetSocketAddress(InetAddress.getByName(broadcast), ArtNet.PORT);
      socket.send(new DatagramPacket(poll, length, all));
      DatagramPacket answer = new DatagramPacket(new byte[600], 600);
      while (true) {
        socket.receive(answer);
        if (ArtPollReply.refuse(answer.getData(), answer.getLength(), true) == null) {
          int bind = ArtPollReply.read(answer.getData(), answer.getLength()).bindIndex();
          found.add(answer.getAddress().getHostAddress() + "#" + bind);
        }
      }
    } catch (SocketTimeoutException e) {
      return found;
    }
  }

  /** Gives all of the display what is planned; how it ended. */
  private static String given(String display) throws IOException, InterruptedException {
    String giving = "/displays/" + display + "/handover/giving";
    String run =
        json(
            "POST",
            giving,
            "{\"which\":\"ALL\",\"readBack\":false,\"back\":false,\"inShowHours\":false,"
                + "\"faultsSeen\":[\"k1\",\"k2\",\"k3\",\"k4\",\"k5\",\"k6\"]}");
    for (int i = 0; i < 200 && run.contains("\"running\":true"); i++) {
      Thread.sleep(100);
      run = json("GET", giving, "");
    }
    return run;
  }

  /**
   * @param args the display file, a data folder, the adapter
   */
  public static void main(String[] args) throws Exception {
    Hamper.run("serve", "--live", "--adapter", args[2], "--port", "8099", "--data", args[1]);
    System.out.println("ground " + json("GET", "/output/ground", ""));
    byte[] file = Files.readAllBytes(Path.of(args[0]));
    String listed = ask("POST", "/displays/import", "application/octet-stream", file);
    String display = listed.replaceAll(".*\"id\":\"([^\"]+)\".*", "$1");
    System.out.println("gave " + given(display));
    System.out.println("polled " + polled("198.51.100.255"));
    json("POST", "/output", "{\"display\":\"%s\",\"percent\":100}".formatted(display));
    Thread.sleep(3_500);
    System.out.println("output " + json("GET", "/output", ""));
    new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8)).readLine();
    json("DELETE", "/output", "");
    System.out.println("stopped " + json("GET", "/output", ""));
    System.exit(0);
  }
}
