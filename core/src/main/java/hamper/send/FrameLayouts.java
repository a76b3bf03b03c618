package hamper.send;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.config.SendLine;
import hamper.config.SendList;
import hamper.display.Controller;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.resolve.Placement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The frames of all controllers that are sent anything, each with what it hears of others. */
public final class FrameLayouts {
  private static final String ALL = "all";

  /** Universes by whom they reach, with their line: "E131 12 to all", "E131 12 to 198.51.100.7". */
  private final Map<String, SendLine> shared = new HashMap<>();

  private final Map<String, FrameLayout> layouts = new LinkedHashMap<>();

  private FrameLayouts(Facts facts) {
    for (int i = 0; i < facts.controllers().size(); i++) {
      Controller controller = facts.controllers().get(i).controller();
      List<SendLine> lines = SendList.toOne(facts.plan(), facts.resolution(), i);
      layouts.put(controller.id(), FrameLayout.of(lines));
      lines.forEach(this::share);
    }
    facts.controllers().forEach(this::hear);
  }

  /** By the id of the controller, in list order. */
  public static Map<String, FrameLayout> of(Facts facts) {
    return new FrameLayouts(facts).layouts;
  }

  private void share(SendLine line) {
    for (int i = 0; i < line.universes(); i++) {
      String to = line.transport() == Transport.UNICAST ? line.destination() : ALL;
      shared.putIfAbsent(key(line.protocol(), line.firstUniverse().orElse(0) + i, to), line);
    }
  }

  private static String key(Protocol protocol, int universe, String to) {
    return "%s %d to %s".formatted(protocol, universe, to);
  }

  /** The line that carries a universe to a controller, though it may be another's. */
  private SendLine heard(Controller controller, int universe) {
    SendLine all = shared.get(key(controller.protocol(), universe, ALL));
    String address = controller.address().map(IpAddress::text).orElse("");
    return all == null ? shared.get(key(controller.protocol(), universe, address)) : all;
  }

  /** Mirrors keep the addresses of what they show, which may stand with another controller. */
  private void hear(ControllerFacts own) {
    Controller controller = own.controller();
    FrameLayout layout = layouts.get(controller.id());
    if (!controller.protocol().usesUniverses()) {
      return;
    }
    List<Placement> placements = new ArrayList<>();
    own.runs().forEach(run -> placements.addAll(run.placements()));
    for (Placement at : placements) {
      if (at.start().isPresent() && at.end().isPresent()) {
        for (int u = at.start().get().universe(); u <= at.end().get().universe(); u++) {
          SendLine line = heard(controller, u);
          if (line != null) {
            layout.hear(line, u);
          }
        }
      }
    }
  }
}
