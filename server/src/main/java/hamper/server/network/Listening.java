package hamper.server.network;

import hamper.listen.AirReport;
import hamper.listen.HeardSource;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What arrives now.
 *
 * @param began when it was begun
 * @param version of the display that it is held beside
 * @param live whether the network is heard; else stand-ins are asked what they count
 * @param windowMillis over so long it was heard (ms)
 * @param adapters of this computer by which it listens, with their addresses
 * @param report what was heard beside what is planned
 * @param sources that say what they send
 * @param refused packets that are not as their protocol says, by reason
 * @param notes what could not be heard for a reason of this computer
 * @param failed why it ended; left out while it goes on, and where it was stopped
 */
public record Listening(
    Instant began,
    int version,
    boolean running,
    boolean live,
    long windowMillis,
    List<String> adapters,
    AirReport report,
    List<HeardSource> sources,
    Map<String, Long> refused,
    List<String> notes,
    Optional<String> failed) {
  public Listening {
    adapters = List.copyOf(adapters);
    sources = List.copyOf(sources);
    refused = Map.copyOf(refused);
    notes = List.copyOf(notes);
  }
}
