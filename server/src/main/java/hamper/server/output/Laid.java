package hamper.server.output;

import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Lights;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A version of a display, laid out to be sent.
 *
 * @param leftOut why controllers are sent nothing or not as planned, by id
 */
record Laid(
    int version,
    Facts facts,
    Lights lights,
    Routes routes,
    FrameSender sender,
    Set<String> readBack,
    Map<String, String> leftOut) {

  /**
   * @param storage ids of controllers that play their own storage and are sent to all the same
   */
  static Laid out(
      String display, int version, Facts facts, Set<String> storage, Ground ground, Source source)
      throws IOException, InterruptedException {
    Map<String, FrameLayout> layouts = layouts(facts, storage);
    Ground.Prepared prepared = ground.prepare(display, facts, layouts);
    FrameSender sender = new FrameSender(source, layouts, prepared.routes());
    layouts.keySet().retainAll(sender.reached());
    return new Laid(
        version,
        facts,
        Lights.of(facts, layouts),
        prepared.routes(),
        sender,
        prepared.readBack(),
        prepared.leftOut());
  }

  /** Fills the frames: what is held, the rest dark and safe. */
  void fill(List<Lights.Hold> holds, Map<String, byte[]> moving, long now) {
    for (String controller : sender.reached()) {
      lights.fill(controller, sender.frame(controller), holds, moving, readBack, now);
    }
  }

  /** Everything at its safe state, all light out. */
  void dark() {
    for (String controller : sender.reached()) {
      lights.dark(controller, sender.frame(controller));
    }
  }

  String titleOf(String piece) {
    return facts.plan().existingPiece(piece).title();
  }

  String tagOf(String controller) {
    return facts.plan().existingController(controller).tag();
  }

  /** The same, to be laid out anew though its plan has not changed. */
  Laid stale() {
    return new Laid(-1, facts, lights, routes, sender, readBack, leftOut);
  }

  /** Only what the plan feeds live, and who was asked for by name. */
  private static Map<String, FrameLayout> layouts(Facts facts, Set<String> storage) {
    Map<String, FrameLayout> chosen = new LinkedHashMap<>();
    Map<String, FrameLayout> all = FrameLayouts.of(facts);
    for (ControllerFacts own : facts.controllers()) {
      String id = own.controller().id();
      boolean fed = !own.controller().sending().fromStorage() || storage.contains(id);
      if (fed && Seats.isSentTo(facts, own.controller())) {
        chosen.put(id, all.get(id));
      }
    }
    return chosen;
  }
}
