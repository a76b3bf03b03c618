package hamper.server.network;

import hamper.capture.CaptureSummary;
import hamper.listen.AirReport;
import hamper.listen.HeardSource;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A capture beside a plan.
 *
 * @param name of its file
 * @param size of it (bytes)
 * @param running whether it is still being read
 * @param percent of it that was read
 * @param version of the display that it is held beside
 * @param firstMicros when its first levels of this plan were heard (µs since 1970)
 * @param lastMicros when its last were
 * @param from where it was made, as far as it shows
 * @param report left out before it is read, and where it cannot be
 * @param summary what was in it
 * @param failed why it cannot be read
 */
public record CaptureView(
    String name,
    long size,
    boolean running,
    int percent,
    int version,
    long firstMicros,
    long lastMicros,
    String from,
    Optional<AirReport> report,
    List<HeardSource> sources,
    Map<String, Long> refused,
    Optional<CaptureSummary> summary,
    Optional<String> failed) {
  public CaptureView {
    sources = List.copyOf(sources);
    refused = Map.copyOf(refused);
  }
}
