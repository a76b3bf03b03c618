package hamper.catalog;

/** How finely a device can be told an option. */
public enum Told {
  NOT,
  /** One value for the whole port. */
  PER_PORT,
  PER_SECTION
}
