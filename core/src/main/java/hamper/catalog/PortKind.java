package hamper.catalog;

import java.util.Locale;
import java.util.Optional;

/** The kinds of port, in the order in which their channels follow each other in a controller. */
public enum PortKind {
  PIXEL(""),
  RELAY("R"),
  PANEL("P"),
  /** Stands after the flowing part: a whole universe each. */
  DMX("DMX"),
  /** A host's line to devices with unit numbers; it takes no channels. */
  SERIAL("S");

  private final String mark;

  PortKind(String mark) {
    this.mark = mark;
  }

  /** As people say it: "relay". */
  public String title() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** What stands before the number in a port's name: K1-7, K1-R3, K1-DMX2. */
  public String mark() {
    return mark;
  }

  /**
   * Whether its sections take part in the flow. A DMX port has a universe of its own instead, a
   * serial line no channels at all.
   */
  public boolean flows() {
    return this != DMX && this != SERIAL;
  }

  /** The kind with this mark, in any case. */
  public static Optional<PortKind> ofMark(String mark) {
    for (PortKind kind : values()) {
      if (kind.mark.equalsIgnoreCase(mark)) {
        return Optional.of(kind);
      }
    }
    return Optional.empty();
  }
}
