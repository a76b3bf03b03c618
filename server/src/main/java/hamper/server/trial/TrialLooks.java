package hamper.server.trial;

import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Light;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.output.Ground;
import hamper.server.output.Output;
import hamper.server.output.Seats;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/**
 * Looks at a display while it is lit: meant beside shown. All windows that ask at the same time get
 * the same look, so that the work does not grow with them.
 */
@Component
public final class TrialLooks {
  /** What was sent is shown within so long (ms). */
  private static final long ARRIVES_MILLIS = 40;

  /** A look so old is still one of now (ns). */
  private static final long FRESH_NANOS = 100_000_000;

  private record Taken(TrialLook look, long at) {}

  private final Displays displays;
  private final Output output;
  private final Ground ground;
  private final DeviceEyes eyes = new DeviceEyes();
  private final Map<String, Taken> taken = new HashMap<>();

  TrialLooks(Displays displays, Output output, Ground ground) {
    this.displays = displays;
    this.output = output;
    this.ground = ground;
  }

  public synchronized TrialLook look(String display) throws IOException, InterruptedException {
    Taken before = taken.get(display);
    if (before != null && System.nanoTime() - before.at() < FRESH_NANOS) {
      return before.look();
    }
    TrialLook look = take(display);
    taken.clear();
    taken.put(display, new Taken(look, System.nanoTime()));
    return look;
  }

  private TrialLook take(String display) throws IOException, InterruptedException {
    LiveDisplay.Look now = displays.get(display).look();
    Facts facts = now.facts();
    Optional<Output.Sent> first = output.sent(display);
    Map<String, DeviceEyes.Seen> seen = Map.of();
    if (!ground.live()) {
      Ground.Doors doors = ground.doors(display, facts);
      if (first.isPresent()) {
        Thread.sleep(ARRIVES_MILLIS);
      }
      seen = eyes.see(doors.at());
    }
    Optional<Output.Sent> last = output.sent(display);
    List<TrialLook.TrialController> controllers = new ArrayList<>();
    Map<String, FrameLayout> layouts = FrameLayouts.of(facts);
    Set<String> own = last.map(Output.Sent::senders).orElse(Set.of());
    for (ControllerFacts one : facts.controllers()) {
      String id = one.controller().id();
      if (!Seats.isSentTo(facts, one.controller())) {
        continue;
      }
      FrameLayout layout = layouts.get(id);
      byte[] safe = new byte[layout.length()];
      Light.of(facts, one, layout).dark(safe);
      ControllerLook here =
          new ControllerLook(
              facts, one, layout, isSent(last, id), frame(first, id, safe), frame(last, id, safe));
      controllers.add(here.beside(Optional.ofNullable(seen.get(id)), own));
    }
    long differing =
        controllers.stream()
            .flatMap(one -> one.ports().stream())
            .mapToLong(TrialLook.TrialPort::differing)
            .sum();
    return new TrialLook(now.version(), ground.live(), last.isPresent(), differing, controllers);
  }

  private static boolean isSent(Optional<Output.Sent> sent, String controller) {
    return sent.filter(one -> one.frames().containsKey(controller)).isPresent();
  }

  /** What is not sent, or is of another version yet, is safe and dark. */
  private static byte[] frame(Optional<Output.Sent> sent, String controller, byte[] safe) {
    byte[] frame = sent.map(one -> one.frames().get(controller)).orElse(safe);
    return frame == null || frame.length != safe.length ? safe : frame;
  }
}
