package hamper.server.trial;

import hamper.facts.Facts;
import hamper.server.output.Door;
import hamper.server.output.Ground;
import hamper.standin.Misbehaviour;
import hamper.standin.Place;
import hamper.value.RefusedException;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Component;

/** Switches on stand-ins: what they do that nobody planned, and their own test. Never live. */
@Component
public final class StandInSwitches {
  /** A misbehaviour as giving.md writes it, and in words. */
  public record MisbehaviourKind(String key, String title) {}

  private final Ground ground;
  private final Door door = new Door();

  StandInSwitches(Ground ground) {
    this.ground = ground;
  }

  public static List<MisbehaviourKind> kinds() {
    return Arrays.stream(Misbehaviour.values())
        .map(one -> new MisbehaviourKind(one.key(), one.title()))
        .toList();
  }

  /**
   * @throws RefusedException live, or where there is none of that name
   */
  public void misbehave(String display, Facts facts, String controller, String key, boolean on)
      throws IOException, InterruptedException {
    if (kinds().stream().noneMatch(kind -> kind.key().equals(key))) {
      throw new RefusedException("misbehaviour", key, "there is none of that name");
    }
    put(display, facts, controller, "misbehaviour", Door.JSON.createObjectNode().put(key, on));
  }

  /** Its own test: all outputs full, whatever it was told. */
  public void test(String display, Facts facts, String controller, boolean on)
      throws IOException, InterruptedException {
    put(display, facts, controller, "test", Door.JSON.createObjectNode().put("on", on));
  }

  /** Its power taken away and given back. */
  public void restart(String display, Facts facts, String controller)
      throws IOException, InterruptedException {
    Place at = at(display, facts, controller);
    door.post(at, "restart");
  }

  private void put(String display, Facts facts, String controller, String what, Object body)
      throws IOException, InterruptedException {
    Place at = at(display, facts, controller);
    Door.Answer answer = door.put(at, what, Door.JSON.writeValueAsBytes(body));
    if (!answer.refused().isEmpty()) {
      throw new RefusedException(
          "controller", facts.plan().existingController(controller).tag(), answer.refused());
    }
  }

  private Place at(String display, Facts facts, String controller)
      throws IOException, InterruptedException {
    if (ground.live()) {
      throw new RefusedException("controller", controller, "live nothing is switched from here");
    }
    String tag = facts.plan().existingController(controller).tag();
    Place at = ground.doors(display, facts).at().get(controller);
    if (at == null) {
      throw new RefusedException("controller", tag, "nothing is sent to it");
    }
    return at;
  }
}
