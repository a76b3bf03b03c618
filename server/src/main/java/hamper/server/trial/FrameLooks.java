package hamper.server.trial;

import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.server.output.Seats;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What a display would show of levels that are known, whoever sent them. */
public final class FrameLooks {
  private FrameLooks() {}

  /**
   * @param frames levels by the id of the controller, each of the length of its layout
   * @param sent controllers of which anything is known
   */
  public static List<TrialLook.TrialController> of(
      Facts facts, Map<String, byte[]> frames, Set<String> sent) {
    Map<String, FrameLayout> layouts = FrameLayouts.of(facts);
    List<TrialLook.TrialController> all = new ArrayList<>();
    for (ControllerFacts one : facts.controllers()) {
      String id = one.controller().id();
      byte[] frame = frames.get(id);
      if (frame != null && Seats.isSentTo(facts, one.controller())) {
        all.add(
            new ControllerLook(facts, one, layouts.get(id), sent.contains(id), frame, frame)
                .beside(Optional.empty(), Set.of()));
      }
    }
    return all;
  }
}
