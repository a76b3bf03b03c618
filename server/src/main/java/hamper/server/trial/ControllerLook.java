package hamper.server.trial;

import hamper.catalog.PortKind;
import hamper.display.PortRef;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.send.FrameLayout;
import hamper.send.Meant;
import hamper.send.MeantPort;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/** One controller: what it is meant to show, beside what it says. */
final class ControllerLook {
  /** Channels of a pixel of which nothing is planned. */
  private static final int RGB = 3;

  private final Facts facts;
  private final ControllerFacts own;
  private final FrameLayout layout;
  private final boolean sent;
  private final byte[] before;
  private final byte[] after;

  /**
   * @param sent whether it is sent to now
   * @param before levels that were sent some time before it was asked
   * @param after levels when it had answered; what differs is changing
   */
  ControllerLook(
      Facts facts,
      ControllerFacts own,
      FrameLayout layout,
      boolean sent,
      byte[] before,
      byte[] after) {
    this.facts = facts;
    this.own = own;
    this.layout = layout;
    this.sent = sent;
    this.before = before;
    this.after = after;
  }

  TrialLook.TrialController beside(Optional<DeviceEyes.Seen> seen, Set<String> ours) {
    Map<PortRef, byte[]> shown =
        seen.map(one -> DeviceState.ports(own.controller().id(), one.state()))
            .orElseGet(HashMap::new);
    boolean known = seen.isPresent();
    List<TrialLook.TrialPort> ports = new ArrayList<>();
    for (RunFacts run : own.runs()) {
      if (!run.placements().isEmpty()) {
        MeantPort meant = Meant.of(facts.plan(), own.controller(), run, layout);
        byte[] shows = shown.remove(run.port());
        ports.add(planned(meant, known, shows == null ? new byte[0] : shows));
      }
    }
    shown.forEach((port, bytes) -> ports.add(unplanned(port, bytes)));
    JsonNode counters = seen.map(DeviceEyes.Seen::counters).orElse(null);
    return new TrialLook.TrialController(
        own.controller().id(),
        sent,
        seen.map(DeviceEyes.Seen::away).filter(why -> !why.isEmpty()),
        seen.map(DeviceEyes.Seen::millis).orElse(0L),
        counters == null ? 0 : counters.path("packets").asLong(0),
        counters == null ? List.of() : streams(counters, ours),
        counters == null ? 0 : counters.path("quarrels").asInt(0),
        counters == null ? Map.of() : refused(counters),
        seen.map(one -> one.state().path("testing").asBoolean(false)).orElse(false),
        seen.map(one -> switchedOn(one.switches())).orElse(List.of()),
        ports);
  }

  private TrialLook.TrialPort planned(MeantPort meant, boolean known, byte[] shows) {
    byte[] clocked = meant.clocked(after);
    byte[] earlier = meant.clocked(before);
    boolean[] steady = new boolean[clocked.length];
    for (int i = 0; i < clocked.length; i++) {
      steady[i] = earlier[i] == clocked[i];
    }
    return new TrialLook.TrialPort(
        meant.port(),
        meant.width(),
        base64(meant.seen(clocked)),
        known ? Optional.of(base64(meant.seen(shows))) : Optional.empty(),
        known && sent ? differing(meant.width(), clocked, shows, steady) : 0,
        true);
  }

  /** Pixels of which a byte that rests shows something else; a port that shows less is dark. */
  private static int differing(int width, byte[] meant, byte[] shown, boolean[] steady) {
    int count = 0;
    int longest = Math.max(meant.length, shown.length);
    for (int pixel = 0; pixel < longest; pixel += width) {
      boolean differs = false;
      for (int i = pixel; i < Math.min(longest, pixel + width); i++) {
        boolean rests = i >= steady.length || steady[i];
        differs |= rests && level(meant, i) != level(shown, i);
      }
      count += differs ? 1 : 0;
    }
    return count;
  }

  private static int level(byte[] levels, int at) {
    return at < levels.length ? levels[at] & 255 : 0;
  }

  /** Nothing is planned on a port that shines all the same. */
  private TrialLook.TrialPort unplanned(PortRef port, byte[] shows) {
    boolean pixels = port.kind() == PortKind.PIXEL || port.kind() == PortKind.PANEL;
    int width = pixels ? RGB : 1;
    byte[] dark = new byte[shows.length];
    boolean[] steady = new boolean[0];
    return new TrialLook.TrialPort(
        port,
        width,
        base64(dark),
        Optional.of(base64(shows)),
        sent ? differing(width, dark, shows, steady) : 0,
        false);
  }

  private static String base64(byte[] bytes) {
    return Base64.getEncoder().encodeToString(bytes);
  }

  private static List<TrialLook.TrialStream> streams(JsonNode counters, Set<String> ours) {
    List<TrialLook.TrialStream> streams = new ArrayList<>();
    for (JsonNode one : counters.path("streams")) {
      String sender = one.path("sender").asString("");
      streams.add(
          new TrialLook.TrialStream(
              sender,
              ours.contains(sender),
              one.path("universe").asInt(0),
              one.path("packets").asLong(0),
              one.path("missing").asLong(0),
              one.path("lastMillisAgo").asLong(0)));
    }
    return streams;
  }

  private static Map<String, Long> refused(JsonNode counters) {
    Map<String, Long> refused = new HashMap<>();
    counters
        .path("refused")
        .properties()
        .forEach(one -> refused.put(one.getKey(), one.getValue().asLong(0)));
    return refused;
  }

  private static List<String> switchedOn(JsonNode switches) {
    return switches.properties().stream()
        .filter(one -> one.getValue().asBoolean(false))
        .map(Map.Entry::getKey)
        .toList();
  }
}
