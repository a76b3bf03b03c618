package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;

/** The files of the interface, as a browser asks for them. */
class InterfaceFilesTest extends ApiCase {
  private static final Pattern ASSET = Pattern.compile("assets/[^\"]+\\.(js|css)");

  private HttpResponse<byte[]> file(String path, String encoding)
      throws IOException, InterruptedException {
    return server
        .client()
        .send(
            HttpRequest.newBuilder(URI.create(server.base + "/" + path))
                .header("Accept-Encoding", encoding)
                .build(),
            BodyHandlers.ofByteArray());
  }

  /**
   * A browser that guesses how long a page holds shows the old one after an update, without files.
   */
  @Test
  void nothingIsShownWithoutAskingWhetherItIsCurrent() throws Exception {
    String page = new String(file("", "identity").body());
    List<String> paths = new ArrayList<>(List.of("", "index.html"));
    ASSET.matcher(page).results().forEach(found -> paths.add(found.group()));
    for (String path : paths) {
      HttpResponse<byte[]> first = file(path, "gzip");
      assertThat(first.headers().firstValue("Cache-Control")).as(path).hasValue("no-cache");
      String changed = first.headers().firstValue("Last-Modified").orElseThrow();
      HttpRequest again =
          HttpRequest.newBuilder(URI.create(server.base + "/" + path))
              .header("If-Modified-Since", changed)
              .build();
      assertThat(server.client().send(again, BodyHandlers.ofByteArray()).statusCode())
          .as(path)
          .isEqualTo(304);
    }
  }

  @Test
  void scriptsAndStylesAreGivenAsTheyWerePackedWhenTheyWereBuilt() throws Exception {
    String page = new String(file("", "identity").body());
    List<String> assets = ASSET.matcher(page).results().map(found -> found.group()).toList();
    assertThat(assets).hasSize(2);
    for (String asset : assets) {
      HttpResponse<byte[]> plain = file(asset, "identity");
      HttpResponse<byte[]> packed = file(asset, "gzip");
      assertThat(plain.headers().firstValue("Content-Encoding")).isEmpty();
      assertThat(packed.headers().firstValue("Content-Encoding")).hasValue("gzip");
      // what is packed for one answer has no length before its end
      assertThat(packed.headers().firstValue("Content-Length")).hasValue("" + packed.body().length);
      assertThat(packed.body().length).isLessThan(plain.body().length / 2);
      try (GZIPInputStream in = new GZIPInputStream(new ByteArrayInputStream(packed.body()))) {
        assertThat(in.readAllBytes()).isEqualTo(plain.body());
      }
    }
  }
}
