package hamper.server.trial;

import hamper.display.PortRef;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a display is meant to show at a moment, and what its stand-ins show.
 *
 * @param version of the display
 * @param live whether devices are sent to; then nothing is known of what they show
 * @param lit whether anything is sent to it now
 * @param differing pixels that show something else than is meant, over all controllers
 */
public record TrialLook(
    int version, boolean live, boolean lit, long differing, List<TrialController> controllers) {
  public TrialLook {
    controllers = List.copyOf(controllers);
  }

  /**
   * @param controller its id
   * @param sent whether it is sent to now; else nothing is meant, and nothing differs
   * @param away why it cannot be asked; left out where it answers
   * @param answeredMillis how long it took to answer (ms)
   * @param packets that arrived since it started
   * @param streams who sends to it
   * @param quarrels universes of which two sources send, and none comes first
   * @param refused packets that it did not take, by reason
   * @param testing whether its own test is on
   * @param misbehaves what is switched on, as giving.md writes it
   */
  public record TrialController(
      String controller,
      boolean sent,
      Optional<String> away,
      long answeredMillis,
      long packets,
      List<TrialStream> streams,
      int quarrels,
      Map<String, Long> refused,
      boolean testing,
      List<String> misbehaves,
      List<TrialPort> ports) {
    public TrialController {
      streams = List.copyOf(streams);
      refused = Map.copyOf(refused);
      misbehaves = List.copyOf(misbehaves);
      ports = List.copyOf(ports);
    }
  }

  /**
   * @param sender address and port
   * @param own whether it is this program
   * @param universe on the wire; 0 on DDP
   * @param missing numbers left out between packets
   */
  public record TrialStream(
      String sender, boolean own, int universe, long packets, long missing, long lastMillisAgo) {}

  /**
   * A byte for each channel of each pixel in wire order as the eye sees it: colours in natural
   * order whatever the order on the wire; each slot of a line, each circuit; a wall row by row.
   *
   * @param port that it is of; null pixels are in it, dark
   * @param width bytes of one pixel; 1 where nothing is a pixel
   * @param meant base64
   * @param shown base64; left out where nobody knows
   * @param differing pixels that show something else; those that are changing are not counted
   * @param planned whether anything is planned there; else only what is shown counts
   */
  public record TrialPort(
      PortRef port,
      int width,
      String meant,
      Optional<String> shown,
      int differing,
      boolean planned) {}
}
