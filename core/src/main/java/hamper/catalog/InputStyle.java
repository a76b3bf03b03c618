package hamper.catalog;

/** How a device is told which universes it listens to. */
public enum InputStyle {
  /** Any number of ranges. */
  LIST,
  /** One range: first universe and count. */
  FIRST_COUNT,
  /** A table: universe, and where in its own channels it goes. */
  MAP,
  /** Nothing to tell: each DMX line has its universe, or bytes arrive by offset. */
  NONE
}
