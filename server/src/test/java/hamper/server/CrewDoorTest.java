package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.samples.Trial;
import hamper.server.Started.Answer;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Who comes in by the crew door, and to what. */
class CrewDoorTest extends CrewCase {
  private static final int GUESSES = Trial.size(3_000, 10_000);
  private static final List<String> RIGHTS = List.of("TICK", "NOTE", "PHOTO", "LIGHT", "RESCUE");

  @Test
  void itIsClosedUntilItIsOpenedAndClosesAgain() {
    assertThat(server.get("/api/door").body().has("open")).isFalse();
    assertThat(server.post(path("/crew-keys"), "{\"name\":\"a\",\"may\":[],\"days\":1}").status())
        .isEqualTo(409);
    JsonNode open = open(false);
    assertThat(server.get("/api/door").body().get("open")).isEqualTo(open);
    Key key = key("TICK");
    assertThat(json(send("GET", "/crew/api/yard", key.secret(), null)).get("display").asString())
        .isEqualTo("Saltmarsh Quay");
    assertThat(server.delete("/api/door").status()).isEqualTo(204);
    assertThat(server.get("/api/door").body().has("open")).isFalse();
    URI was = URI.create(origin);
    assertThatThrownBy(() -> new Socket(was.getHost(), was.getPort()).close())
        .isInstanceOf(IOException.class);
    open(true);
    assertThat(server.get("/api/door").body().at("/open/secure").asBoolean()).isTrue();
  }

  @Test
  void whatCannotBeOpenedIsRefusedInASentence() {
    String own = server.base.substring(server.base.lastIndexOf(':') + 1);
    for (String wanted :
        List.of(
            "{\"address\":\"198.51.100.7\",\"port\":0,\"secure\":false,\"hours\":2}",
            "{\"address\":\"127.0.0.1\",\"port\":%s,\"secure\":false,\"hours\":2}".formatted(own),
            "{\"address\":\"127.0.0.1\",\"port\":80,\"secure\":false,\"hours\":2}",
            "{\"address\":\"127.0.0.1\",\"port\":0,\"secure\":false,\"hours\":0}")) {
      Answer refused = server.put("/api/door", wanted);
      assertThat(refused.status()).as(refused.text()).isEqualTo(422);
      assertThat(refused.body().get("allowed").asString()).isNotBlank();
    }
  }

  @Test
  void aStrangerGetsNothingFromAnyPathOfTheContract() {
    open(false);
    JsonNode contract = server.get("/api/openapi").body();
    int tried = 0;
    for (var path : contract.get("paths").properties()) {
      String at = path.getKey().replace("{id}", display).replaceAll("\\{[a-z]+}", "K1");
      for (String method : List.of("GET", "POST", "PUT", "DELETE")) {
        HttpResponse<String> answer = send(method, at, null, method.equals("GET") ? null : "{}");
        boolean crews = at.startsWith("/crew/") && path.getValue().has(method.toLowerCase());
        boolean enter = at.equals("/crew/api/enter") && method.equals("POST");
        assertThat(answer.statusCode())
            .as("%s %s: %s", method, at, answer.body())
            .isEqualTo(enter ? 422 : crews ? 401 : 404);
        assertThat(answer.body()).doesNotContain("Saltmarsh");
        tried++;
      }
    }
    assertThat(tried).isGreaterThan(400);
    for (String odd :
        List.of(
            "/crew/api/../../api/displays",
            "/crew/api/yard/",
            "/crew/api/%79ard",
            "/api/displays",
            "//api/displays",
            "/crew/api/yard;x=1",
            "/error",
            "/index.html/../api/displays")) {
      HttpResponse<String> answer = send("GET", odd, null, null);
      assertThat(answer.statusCode()).as("%s: %s", odd, answer.body()).isIn(400, 401, 404);
    }
  }

  /** Every path of the crew's API with every key that allows one thing only. */
  @Test
  void aKeyAllowsWhatItWasGivenAndNothingElse() {
    open(false);
    Map<String, String> needs = new TreeMap<>();
    for (String read :
        List.of(
            "GET yard",
            "GET strings",
            "GET strings/x/history",
            "GET controllers/x",
            "GET moves?since=1",
            "GET photos/x",
            "GET guides",
            "POST guides/DARK")) {
      needs.put(read, "");
    }
    needs.put("POST claims", "TICK NOTE");
    needs.put("POST photos", "PHOTO");
    needs.put("PUT light", "LIGHT");
    needs.put("DELETE light", "LIGHT");
    needs.put("DELETE light/all", "LIGHT");
    needs.put("PUT held", "LIGHT");
    needs.put("GET rescue/x", "RESCUE");
    needs.put("POST rescue/x", "RESCUE");
    Set<String> ofContract = new HashSet<>();
    server
        .get("/api/openapi")
        .body()
        .get("paths")
        .properties()
        .forEach(
            path ->
                path.getValue()
                    .propertyNames()
                    .forEach(
                        method -> {
                          if (path.getKey().startsWith("/crew/api/")) {
                            ofContract.add(
                                method.toUpperCase()
                                    + " "
                                    + path.getKey().substring(10).replaceAll("\\{[a-z]+}", "x"));
                          }
                        }));
    ofContract.removeAll(Set.of("POST enter", "GET events"));
    assertThat(
            needs.keySet().stream()
                .map(one -> one.replaceAll("\\?.*", "").replace("DARK", "x"))
                .collect(Collectors.toSet()))
        .as("the table is all of the contract")
        .isEqualTo(ofContract);
    for (String right : Stream.concat(Stream.of(""), RIGHTS.stream()).toList()) {
      Key key = right.isEmpty() ? key() : key(right);
      needs.forEach(
          (what, any) -> {
            String[] parts = what.split(" ");
            int status =
                send(
                        parts[0],
                        "/crew/api/" + parts[1],
                        key.secret(),
                        parts[0].equals("GET") ? null : "{}")
                    .statusCode();
            boolean allowed = any.isEmpty() || !right.isEmpty() && any.contains(right);
            assertThat(status == 403)
                .as("%s with %s answered %d", what, right, status)
                .isEqualTo(!allowed);
            assertThat(status).isNotEqualTo(401);
          });
      for (String planners :
          List.of("/api/displays", "/api/displays/" + display, "/api/door", "/api/openapi")) {
        assertThat(send("GET", planners, key.secret(), null).statusCode()).isEqualTo(404);
      }
    }
  }

  @Test
  void aWithdrawnKeyIsOutAtOnceAndItsStreamToo() throws Exception {
    open(false);
    Key key = key("TICK");
    Key other = key("TICK");
    List<String> heard = new ArrayList<>();
    CompletableFuture<Void> ended = follow(key, heard);
    CompletableFuture<Void> goesOn = follow(other, new ArrayList<>());
    for (int i = 0; i < 100 && heard.isEmpty(); i++) {
      Thread.sleep(50);
    }
    assertThat(heard).anyMatch(line -> line.contains("hello"));
    assertThat(server.delete(path("/crew-keys/" + key.id())).status()).isEqualTo(204);
    assertThat(send("GET", "/crew/api/yard", key.secret(), null).statusCode()).isEqualTo(401);
    ended.get(3, TimeUnit.SECONDS);
    assertThat(goesOn).isNotDone();
    assertThat(send("GET", "/crew/api/yard", other.secret(), null).statusCode()).isEqualTo(200);
    server.delete("/api/door");
    goesOn.handle((done, failed) -> true).get(3, TimeUnit.SECONDS);
  }

  private CompletableFuture<Void> follow(Key key, List<String> heard) {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(origin + "/crew/api/events"))
            .header("Cookie", "hamper-crew=" + key.secret())
            .build();
    return client
        .sendAsync(request, BodyHandlers.ofLines())
        .thenAcceptAsync(answer -> answer.body().forEach(heard::add));
  }

  @Test
  @Tag("trial")
  void thousandsOfGuessesGetNothingAndSlowerAnswers() throws Exception {
    open(false);
    Key key = key("TICK");
    Semaphore atOnce = new Semaphore(40);
    List<CompletableFuture<Integer>> all = new ArrayList<>();
    long began = System.nanoTime();
    for (int i = 0; i < GUESSES; i++) {
      atOnce.acquire();
      HttpRequest request =
          i % 2 == 0
              ? HttpRequest.newBuilder(URI.create(origin + "/crew/api/yard"))
                  .header("Cookie", "hamper-crew=" + key.secret().substring(5) + i)
                  .build()
              : HttpRequest.newBuilder(URI.create(origin + "/crew/api/enter"))
                  .header("Content-Type", "application/json")
                  .POST(BodyPublishers.ofString("{\"key\": \"guess%d\"}".formatted(i)))
                  .build();
      all.add(
          client
              .sendAsync(request, BodyHandlers.ofString())
              .thenApply(HttpResponse::statusCode)
              .whenComplete((status, failed) -> atOnce.release()));
      if (i == GUESSES / 2) {
        assertThat(send("GET", "/crew/api/yard", key.secret(), null).statusCode())
            .as("a right key in the middle of it")
            .isEqualTo(200);
      }
    }
    Map<Integer, Long> answers =
        all.stream()
            .map(CompletableFuture::join)
            .collect(Collectors.groupingBy(status -> status, TreeMap::new, Collectors.counting()));
    double seconds = (System.nanoTime() - began) / 1e9;
    assertThat(answers.keySet()).isSubsetOf(401, 429);
    assertThat(answers.get(429)).as("turned away").isGreaterThan(GUESSES / 2L);
    // at most twenty wait at a time, a second each, and a few are answered at once
    assertThat(answers.get(401)).as("looked at").isLessThan((long) (20 * seconds + 40 + seconds));
  }

  @Test
  void itBelievesNoOtherHostAndTakesNothingFromOtherPages() throws Exception {
    open(false);
    Key key = key("TICK");
    URI at = URI.create(origin);
    for (String host :
        List.of("localhost:" + at.getPort(), "hamper.example:" + at.getPort(), "127.0.0.1")) {
      assertThat(raw(at, "GET /crew/api/yard", host, "Cookie: hamper-crew=" + key.secret()))
          .startsWith("HTTP/1.1 421");
    }
    assertThat(
            raw(
                at,
                "DELETE /crew/api/light",
                at.getAuthority(),
                "Cookie: hamper-crew=" + key.secret() + "\r\nOrigin: http://elsewhere.example"))
        .startsWith("HTTP/1.1 403");
    // nor is the planner's API behind a planner's Host at this port
    assertThat(raw(at, "GET /api/displays", server.base.substring(7), "X: y"))
        .startsWith("HTTP/1.1 421");
    assertThat(server.get("/crew/api/yard").status()).isEqualTo(404);
  }

  private static String raw(URI at, String line, String host, String header) throws IOException {
    try (Socket socket = new Socket(at.getHost(), at.getPort())) {
      socket.setSoTimeout(5_000);
      socket
          .getOutputStream()
          .write(
              "%s HTTP/1.1\r\nHost: %s\r\n%s\r\nConnection: close\r\n\r\n"
                  .formatted(line, host, header)
                  .getBytes(StandardCharsets.US_ASCII));
      return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  @Test
  void theCookieIsForThisDoorOnly() {
    open(false);
    Key key = key("TICK");
    HttpResponse<String> in =
        send("POST", "/crew/api/enter", null, "{\"key\": \"%s\"}".formatted(key.secret()));
    json(in);
    String cookie = in.headers().firstValue("set-cookie").orElseThrow();
    assertThat(cookie)
        .contains("HttpOnly", "SameSite=Strict", "Path=/crew", key.secret())
        .doesNotContain("Secure");
  }

  /** The key is nowhere in the data folder: only a hash of it is kept. */
  @Test
  void theKeyItselfIsNotKept() throws IOException {
    open(false);
    Key key = key("TICK");
    server.close();
    byte[] secret = key.secret().getBytes(StandardCharsets.US_ASCII);
    try (Stream<Path> files = Files.walk(data)) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        String bytes = new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1);
        assertThat(bytes)
            .as(file.toString())
            .doesNotContain(new String(secret, StandardCharsets.ISO_8859_1));
      }
    }
    server = SharedServer.running();
    open(false);
    assertThat(send("GET", "/crew/api/yard", key.secret(), null).statusCode())
        .as("it opens after a restart too")
        .isEqualTo(200);
  }

  @Test
  void httpsIsBelievedByWhoeverTrustsTheAuthorityAndNobodyElse() throws Exception {
    JsonNode open = open(true);
    Key key = key("TICK");
    HttpRequest yard =
        HttpRequest.newBuilder(URI.create(origin + "/crew/api/yard"))
            .header("Cookie", "hamper-crew=" + key.secret())
            .build();
    assertThatThrownBy(() -> client.send(yard, BodyHandlers.ofString()))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("certification path");
    byte[] der =
        client
            .send(
                HttpRequest.newBuilder(URI.create(server.base + "/api/door/hamper-authority.crt"))
                    .build(),
                BodyHandlers.ofByteArray())
            .body();
    X509Certificate authority =
        (X509Certificate)
            CertificateFactory.getInstance("X.509")
                .generateCertificate(new ByteArrayInputStream(der));
    assertThat(open.get("fingerprint").asString()).matches("([0-9A-F]{2}:){31}[0-9A-F]{2}");
    KeyStore trusted = KeyStore.getInstance("PKCS12");
    trusted.load(null, null);
    trusted.setCertificateEntry("hamper", authority);
    TrustManagerFactory trust = TrustManagerFactory.getInstance("PKIX");
    trust.init(trusted);
    SSLContext context = SSLContext.getInstance("TLS");
    context.init(null, trust.getTrustManagers(), null);
    HttpClient believing = HttpClient.newBuilder().sslContext(context).build();
    HttpResponse<String> answer = believing.send(yard, BodyHandlers.ofString());
    assertThat(answer.statusCode()).isEqualTo(200);
    X509Certificate door =
        (X509Certificate) answer.sslSession().orElseThrow().getPeerCertificates()[0];
    long days =
        Duration.between(door.getNotBefore().toInstant(), door.getNotAfter().toInstant()).toDays();
    assertThat(days).isLessThanOrEqualTo(398);
    assertThat(door.getSubjectAlternativeNames()).containsExactly(List.of(7, "127.0.0.1"));
    assertThat(authority.getBasicConstraints()).isZero();
    assertThat(authority.getCriticalExtensionOIDs()).as("name constraints").contains("2.5.29.30");
    restart();
    assertThat(open(true).get("fingerprint")).as("made once").isEqualTo(open.get("fingerprint"));
  }
}
