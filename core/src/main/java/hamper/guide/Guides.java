package hamper.guide;

import hamper.display.LegAt;
import hamper.display.PortRef;
import hamper.facts.Facts;
import hamper.value.RefusedException;
import java.util.Map;
import java.util.Optional;

/** The guides of a display, each about one string that hangs somewhere. */
public final class Guides {
  private Guides() {}

  /**
   * @param piece the id of the string that is looked at
   * @throws RefusedException where it is no string, or hangs on nothing that is sent to
   */
  public static Inquiry of(GuideKind kind, Facts facts, String piece) {
    SupposedString at = string(facts, piece);
    Inquiry inquiry = made(kind, at);
    return at.bearsOwnTest() ? inquiry : inquiry.withoutOwnTest();
  }

  private static Inquiry made(GuideKind kind, SupposedString at) {
    return switch (kind) {
      case NOTHING_LIGHTS -> DeviceInquiry.of(at);
      case WRONG_COLOURS, SHIFTED -> StringInquiry.of(kind, at);
      case AREA_DARK -> AreaInquiry.of(at);
      case ANOTHER_LIGHTS -> AnotherInquiry.of(at);
      case END_DARK -> EndInquiry.dark(at);
      case FLICKERS -> EndInquiry.flickers(at);
      case STUTTERS -> StutterInquiry.of(at);
    };
  }

  private static SupposedString string(Facts facts, String piece) {
    String title = facts.plan().existingPiece(piece).title();
    Optional<LegAt> leg = facts.plan().leg(piece);
    if (leg.isEmpty()) {
      throw new RefusedException("piece", title, "it hangs nowhere; patch it first");
    }
    return SupposedString.of(facts, piece)
        .orElseThrow(
            () ->
                new RefusedException(
                    "piece", title, "guides are about strings of pixels that are sent to"));
  }

  /**
   * What ports of a controller clock out at a moment, as the device says it.
   *
   * @param shown by port; those that nothing is planned on are in it where they shine
   * @param meant as planned
   */
  public record Clocked(Map<PortRef, byte[]> shown, Map<PortRef, byte[]> meant) {
    public Clocked {
      shown = Map.copyOf(shown);
      meant = Map.copyOf(meant);
    }

    private static byte[] of(Map<PortRef, byte[]> ports, PortRef port) {
      return ports.getOrDefault(port, new byte[0]);
    }
  }

  /**
   * What somebody would answer who sees what a controller shows while what a question wants is
   * done.
   *
   * @return empty where it is nothing that can be seen at one look
   */
  public static Optional<String> seen(
      Inquiry inquiry, Facts facts, String piece, Question question, Clocked clocked) {
    SupposedString at = string(facts, piece);
    Sight sight = at.seen(Clocked.of(clocked.shown(), at.run().port()));
    Sight plan = at.seen(Clocked.of(clocked.meant(), at.run().port()));
    return switch (inquiry.kind()) {
      case WRONG_COLOURS, SHIFTED -> Optional.of(StringInquiry.told(at, question, sight, plan));
      case END_DARK -> EndInquiry.told(question, sight, plan);
      case NOTHING_LIGHTS -> DeviceInquiry.told(question, sight, plan);
      case ANOTHER_LIGHTS -> AnotherInquiry.told(at, question, clocked);
      default -> Optional.empty();
    };
  }
}
