package hamper.server.output;

import hamper.facts.Facts;
import hamper.send.FrameLayout;
import hamper.standin.Place;
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
   * Whether those that packets were laid out for are still where they were. Asked from time to time
   * while a display is lit, so that it is not forgotten.
   *
   * @param facts of the plan that was laid out
   * @param routes that it was laid out with
   */
  boolean stands(String display, Facts facts, Routes routes) throws InterruptedException;

  /**
   * Where devices are handed their configurations.
   *
   * @param at the doors of those that can be reached
   * @param away why others cannot, in words
   */
  record Doors(Map<String, Place> at, Map<String, String> away) {
    public Doors {
      at = Map.copyOf(at);
      away = Map.copyOf(away);
    }
  }

  /** The doors of a display's devices; nothing is asked of them yet. */
  Doors doors(String display, Facts facts) throws IOException, InterruptedException;

  /**
   * Where it can be asked who is there: whoever is planned, and whoever else can be met.
   *
   * @throws IllegalArgumentException where nobody can be asked, with the reason
   */
  Asking asking(String display, Facts facts) throws IOException, InterruptedException;

  /**
   * The door of a spare that has not the planned address yet: somebody typed where it answers.
   *
   * @throws IllegalArgumentException where nothing may be sent there
   */
  Place doorAt(String address) throws IOException;

  /**
   * Who else sends to a controller now, by what the device has counted.
   *
   * @param own senders that are ours, such as "127.0.0.1:40123"
   * @return empty where nobody does, or the device cannot be asked
   */
  Optional<String> otherSource(String display, String controller, Set<String> own)
      throws InterruptedException;
}
