package hamper.check;

import hamper.display.PortRef;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * One thing that a check reports.
 *
 * @param identity the same for the same matter, however it is worded: made of the code, the
 *     subjects and what was met
 * @param code of the check, such as "port-limit"
 * @param area of the check
 * @param title of the check
 * @param message with the numbers and their units
 * @param yard what one would see in the yard
 * @param found what was met
 * @param allowed what is allowed
 * @param subjects at least one, the main one first
 */
public record Finding(
    String identity,
    String code,
    Area area,
    Severity severity,
    String title,
    String message,
    String yard,
    Measure found,
    Measure allowed,
    List<Subject> subjects) {
  /** Hex digits of an identity: enough that two of a million differ. */
  private static final int IDENTITY_DIGITS = 16;

  public Finding {
    subjects = List.copyOf(subjects);
  }

  static Finding of(
      Page page,
      Severity severity,
      String message,
      Measure found,
      Measure allowed,
      List<Subject> subjects) {
    return new Finding(
        identity(page.code(), found, subjects, 1),
        page.code(),
        page.area(),
        severity,
        page.title(),
        message,
        page.yard(),
        found,
        allowed,
        subjects);
  }

  /**
   * One of several of the same check, subjects and numbers, such as two feeds of one string.
   *
   * @param nth from 2
   */
  Finding nth(int nth) {
    return new Finding(
        identity(code, found, subjects, nth),
        code,
        area,
        severity,
        title,
        message,
        yard,
        found,
        allowed,
        subjects);
  }

  /** Those of its subjects that are controllers, by id. */
  public Stream<String> controllers() {
    return subjects.stream().map(Subject::controller).flatMap(Optional::stream);
  }

  /** Those of its subjects that are ports. */
  public Stream<PortRef> ports() {
    return subjects.stream().map(Subject::port).flatMap(Optional::stream);
  }

  /** Those of its subjects that are pieces, by id. */
  public Stream<String> pieces() {
    return subjects.stream().map(Subject::piece).flatMap(Optional::stream);
  }

  private static String identity(String code, Measure found, List<Subject> subjects, int nth) {
    String matter =
        subjects.stream()
            .map(Subject::identity)
            .collect(Collectors.joining("\n", code + "\n" + found.identity() + "\n", "\n" + nth));
    return HexFormat.of()
        .formatHex(sha256().digest(matter.getBytes(StandardCharsets.UTF_8)))
        .substring(0, IDENTITY_DIGITS);
  }

  private static MessageDigest sha256() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has SHA-256", e);
    }
  }
}
