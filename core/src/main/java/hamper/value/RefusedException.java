package hamper.value;

/**
 * Something that cannot be stated at all, refused before anything has changed.
 *
 * <p>Carries its parts, so that an interface may show them apart: where, what was found, what is
 * allowed.
 */
public final class RefusedException extends RuntimeException {
  private final String place;
  private final String found;
  private final String allowed;

  /**
   * @param place where it stands, as a path such as {@code controllers[2].runs[0].port}; may be
   *     just a field's name
   * @param found the value that was met, in words
   * @param allowed what would have been right, and what to do
   */
  public RefusedException(String place, String found, String allowed) {
    super("%s: %s is refused; %s".formatted(place, found, allowed));
    this.place = place;
    this.found = found;
    this.allowed = allowed;
  }

  public String place() {
    return place;
  }

  public String found() {
    return found;
  }

  public String allowed() {
    return allowed;
  }

  /** The same refusal, seen from outside: {@code outer} is put before the place. */
  public RefusedException within(String outer) {
    return new RefusedException(outer + "." + place, found, allowed);
  }
}
