package hamper.server.handover;

import hamper.config.Configuration;
import hamper.facts.Facts;
import hamper.server.output.Door;
import hamper.server.output.Ground;
import hamper.standin.Place;
import java.io.IOException;
import org.springframework.stereotype.Component;

/** Asks a device what it has, to be looked at and taken over. */
@Component
public class DeviceReader {
  private final Ground ground;
  private final Door door = new Door();

  public DeviceReader(Ground ground) {
    this.ground = ground;
  }

  /** It cannot be read, with the reason. */
  public static final class UnreadException extends RuntimeException {
    UnreadException(String why) {
      super(why);
    }
  }

  /**
   * @param controller its id
   * @throws UnreadException where it cannot be reached, has nothing, or nothing that can be read
   */
  public Configuration read(String display, Facts facts, String controller)
      throws InterruptedException {
    String tag = facts.plan().existingController(controller).tag();
    try {
      Ground.Doors doors = ground.doors(display, facts);
      Place at = doors.at().get(controller);
      if (at == null) {
        throw new UnreadException(
            "%s cannot be read: %s"
                .formatted(tag, doors.away().getOrDefault(controller, "nothing is sent to it")));
      }
      Door.Answer answer = door.get(at, "configuration");
      if (answer.status() != 200) {
        throw new UnreadException(
            answer.status() == 404
                ? tag + " has no configuration that could be taken over"
                : "%s cannot be read: %s".formatted(tag, answer.refused()));
      }
      return GivingVisit.read(answer.body())
          .orElseThrow(
              () -> new UnreadException("What %s answers is no configuration".formatted(tag)));
    } catch (IOException e) {
      throw new UnreadException("%s cannot be read: it is not there".formatted(tag));
    }
  }
}
