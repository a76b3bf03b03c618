package hamper.server.yard;

import hamper.server.cli.Hamper;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/** Hamper with {@code --live} that looks at the network, and says what it is asked over the API. */
public final class LookMain {
  private static final HttpClient CLIENT = HttpClient.newHttpClient();
  private static final String BASE = "http://localhost:8098/api";

  private LookMain() {}

  private static String ask(String method, String path, String type, byte[] body)
      throws IOException, InterruptedException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(BASE + path))
            .header("Content-Type", type)
            .method(method, BodyPublishers.ofByteArray(body))
            .build();
    return CLIENT.send(request, BodyHandlers.ofString()).body();
  }

  /**
   * @param args the display file, a data folder, the adapter; then each word is a method, a path
   *     below the display and a body
   */
  public static void main(String[] args) throws Exception {
    Hamper.run("serve", "--live", "--adapter", args[2], "--port", "8098", "--data", args[1]);
    byte[] file = Files.readAllBytes(Path.of(args[0]));
    String listed = ask("POST", "/displays/import", "application/octet-stream", file);
    String display = listed.replaceAll(".*\"id\":\"([^\"]+)\".*", "$1");
    System.out.println("ready");
    BufferedReader words =
        new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
    for (String word = words.readLine(); word != null; word = words.readLine()) {
      String[] parts = word.split(" ", 3);
      byte[] body = parts.length > 2 ? parts[2].getBytes(StandardCharsets.UTF_8) : new byte[0];
      String path = "/displays/" + display + "/" + parts[1];
      System.out.println("answer " + ask(parts[0], path, "application/json", body));
    }
    System.exit(0);
  }
}
