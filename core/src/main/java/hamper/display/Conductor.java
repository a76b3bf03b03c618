package hamper.display;

/** One of the three wires of a pixel string. */
public enum Conductor {
  POSITIVE,
  NEGATIVE,
  DATA
}
