package hamper.server.output;

import hamper.facts.Facts;
import hamper.send.FrameLayout;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What light is played on: stand-ins, or live the devices themselves. */
public sealed interface Ground permits StandInGround, LiveGround {
  boolean live();

  /**
   * What is known of a display's devices before anything is sent to them.
   *
   * @param readBack controllers that were seen to have what is planned
   * @param leftOut why controllers are sent nothing, by id
   */
  record Prepared(Routes routes, Set<String> readBack, Map<String, String> leftOut) {}

  /**
   * @param layouts of those that are to be sent to, by the id of the controller
   */
  Prepared prepare(String display, Facts facts, Map<String, FrameLayout> layouts)
      throws IOException, InterruptedException;

  /**
   * Who else sends to a controller now, by what the device has counted.
   *
   * @param own senders that are ours, such as "127.0.0.1:40123"
   * @return empty where nobody does, or the device cannot be asked
   */
  Optional<String> otherSource(String display, String controller, Set<String> own)
      throws InterruptedException;
}
