package hamper.address;

import hamper.value.Require;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An IPv4 address in dotted notation, without leading zeros, so that equal addresses are equal
 * texts.
 */
public record IpAddress(String text) implements Comparable<IpAddress> {
  private static final Pattern DOTTED =
      Pattern.compile(
          "(0|[1-9]\\d{0,2})\\.(0|[1-9]\\d{0,2})\\.(0|[1-9]\\d{0,2})\\.(0|[1-9]\\d{0,2})");

  public IpAddress {
    Require.that(
        text != null && parses(text),
        "address",
        Require.quoted(text),
        "an IPv4 address has four numbers from 0 to 255, such as 198.51.100.11");
  }

  /**
   * @param bits from 0 to 2³² − 1
   */
  public static IpAddress ofBits(long bits) {
    return new IpAddress(
        "%d.%d.%d.%d".formatted(bits >> 24 & 255, bits >> 16 & 255, bits >> 8 & 255, bits & 255));
  }

  /** The 32 bits as a number from 0. */
  public long bits() {
    long bits = 0;
    long part = 0;
    for (int i = 0; i < text.length(); i++) {
      if (text.charAt(i) == '.') {
        bits = bits << 8 | part;
        part = 0;
      } else {
        part = part * 10 + text.charAt(i) - '0';
      }
    }
    return bits << 8 | part;
  }

  @Override
  public int compareTo(IpAddress other) {
    return Long.compare(bits(), other.bits());
  }

  @Override
  public String toString() {
    return text;
  }

  private static boolean parses(String text) {
    Matcher matcher = DOTTED.matcher(text);
    if (!matcher.matches()) {
      return false;
    }
    for (int part = 1; part <= 4; part++) {
      if (Integer.parseInt(matcher.group(part)) > 255) {
        return false;
      }
    }
    return true;
  }
}
