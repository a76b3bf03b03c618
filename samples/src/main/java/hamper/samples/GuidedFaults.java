package hamper.samples;

import java.util.List;
import java.util.Map;

/** A small display, and for each misbehaviour of its stand-ins the guide that finds it. */
public final class GuidedFaults {
  /** A display file. */
  public static final String DISPLAY =
      """
      {"format": "hamper-display", "formatVersion": 3, "name": "Guided", "props": [
        {"id": "a", "name": "A", "pieces": [{"kind": "string", "id": "a1", "name": "s",
          "pixelType": "node-12v", "sections": [{"pixels": 100, "nullPixels": 2, "brightness": 50,
            "colourOrder": "BRG"}]}]},
        {"id": "b", "name": "B", "pieces": [{"kind": "string", "id": "b1", "name": "s",
          "pixelType": "node-12v", "sections": [{"pixels": 100}]}]},
        {"id": "c", "name": "C", "pieces": [{"kind": "string", "id": "c1", "name": "s",
          "pixelType": "node-12v", "sections": [{"pixels": 10}]}]},
        {"id": "d", "name": "D", "pieces": [{"kind": "string", "id": "d1", "name": "s",
          "pixelType": "node-12v", "sections": [{"pixels": 20}]}]},
        {"id": "e", "name": "E", "pieces": [{"kind": "string", "id": "e1", "name": "s",
          "pixelType": "node-12v", "sections": [{"pixels": 20}]}]}],
       "controllers": [
        {"id": "k", "tag": "K1", "name": "K", "model": "ostrand-twelve",
         "settings": {"protocol": "E131", "transport": "UNICAST", "universeSize": 510,
           "firstUniverse": 1, "address": "198.51.100.9", "brightness": 100},
         "runs": [{"port": 1, "legs": [{"piece": "a1"}]}, {"port": 2, "legs": [{"piece": "b1"}]},
           {"port": 3, "legs": [{"piece": "c1"}]}]},
        {"id": "r", "tag": "K2", "name": "R", "model": "quillby-wren-r",
         "settings": {"protocol": "E131", "transport": "UNICAST", "universeSize": 510,
           "firstUniverse": 11, "address": "198.51.100.10"},
         "runs": [{"port": 1, "legs": [{"piece": "d1"}]}, {"port": 2, "legs": [{"piece": "e1"}]}]}]}
      """;

  /** An edit that changes what K1 is told, so that it is given anew. */
  public static final String TURNED =
      "{\"type\":\"TurnSections\",\"sections\":[{\"piece\":\"c1\",\"index\":0}]}";

  /**
   * One of them.
   *
   * @param misbehaviour as giving.md writes it
   * @param guide as the API names it
   * @param piece that the guide is about
   * @param cause that it ends in
   * @param byHand what only somebody who stands there can answer
   */
  public record Case(
      String misbehaviour, String guide, String piece, String cause, Map<String, String> byHand) {
    /** Of the piece. */
    public String controller() {
      return piece.equals("d1") ? "r" : "k";
    }
  }

  private static Case one(String misbehaviour, String guide, String piece, String cause) {
    return new Case(
        misbehaviour,
        guide,
        piece,
        cause,
        Map.of("when", "else", "volts", "planned", "wiggle", "same"));
  }

  private static Case volts(
      String misbehaviour, String guide, String piece, String cause, String volts) {
    return new Case(
        misbehaviour,
        guide,
        piece,
        cause,
        Map.of("when", "else", "volts", volts, "wiggle", "same"));
  }

  /** What no light shows, so that no guide is after it: asking who is there says it. */
  public static final List<String> UNSEEN = List.of("other-name");

  /** All others. */
  public static final List<Case> CASES =
      List.of(
          one("off", "NOTHING_LIGHTS", "a1", "no-power"),
          one("slow", "STUTTERS", "b1", "slow"),
          one("drops", "STUTTERS", "b1", "lost"),
          one("other-model", "NOTHING_LIGHTS", "a1", "model"),
          one("lost-configuration", "WRONG_COLOURS", "a1", "lost"),
          one("old-outputs", "ANOTHER_LIGHTS", "a1", "old-outputs"),
          one("colour-order", "WRONG_COLOURS", "b1", "order-BGR"),
          one("dead-pixel", "END_DARK", "b1", "dead"),
          one("dead-pixel-frozen", "END_DARK", "b1", "dead-frozen"),
          one("dead-pixel-random", "END_DARK", "b1", "dead-random"),
          volts("blue-fails", "END_DARK", "b1", "voltage", "less"),
          volts("faint-glow", "NOTHING_LIGHTS", "b1", "fuse", "less"),
          one("forgotten-null", "SHIFTED", "a1", "nulls-1"),
          one("full-universes", "SHIFTED", "b1", "size-512"),
          one("one-universe-less", "END_DARK", "b1", "universe"),
          one("other-address", "NOTHING_LIGHTS", "a1", "address"),
          one("holds", "ANOTHER_LIGHTS", "d1", "silent-stays"),
          one("goes-safe", "ANOTHER_LIGHTS", "a1", "silent-dark"),
          one("plays-stored", "ANOTHER_LIGHTS", "d1", "silent-plays"),
          one("other-unit", "NOTHING_LIGHTS", "a1", "unit"),
          new Case(
              "vanishes",
              "NOTHING_LIGHTS",
              "a1",
              "vanishes",
              Map.of("when", "giving", "volts", "planned")),
          one("keeps-nothing", "NOTHING_LIGHTS", "a1", "forgets"),
          one("forgets", "NOTHING_LIGHTS", "a1", "forgets"));

  private GuidedFaults() {}
}
