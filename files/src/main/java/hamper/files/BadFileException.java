package hamper.files;

import java.util.List;

/** A file from outside that cannot be used: every reason with its place. Nothing was kept of it. */
public final class BadFileException extends RuntimeException {
  /**
   * @param place a path such as {@code controllers[2].runs[0].port}, or line and column
   * @param message what was found and what is allowed
   */
  public record Reason(String place, String message) {}

  private final List<Reason> reasons;

  /**
   * @param reasons at least one
   */
  public BadFileException(List<Reason> reasons) {
    super(
        String.join(
            "\n",
            reasons.stream().map(reason -> reason.place() + ": " + reason.message()).toList()));
    this.reasons = List.copyOf(reasons);
  }

  static BadFileException of(String place, String message) {
    return new BadFileException(List.of(new Reason(place, message)));
  }

  /** The same, of what is a part of something. */
  BadFileException within(String place) {
    return new BadFileException(
        reasons.stream()
            .map(reason -> new Reason(place + "." + reason.place(), reason.message()))
            .toList());
  }

  public List<Reason> reasons() {
    return reasons;
  }
}
