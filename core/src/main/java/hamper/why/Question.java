package hamper.why;

import hamper.display.PortRef;
import hamper.value.Require;
import java.util.Locale;
import java.util.Optional;

/**
 * Which number is asked about.
 *
 * @param kind which of the numbers of a thing
 * @param controller the id, for what is asked of a controller
 * @param port for what is asked of a port
 * @param piece the id, for what is asked of a piece
 * @param section of the piece, from 1; 1 for what has none
 * @param part the id of a supply or a mains circuit
 */
public record Question(
    Kind kind,
    Optional<String> controller,
    Optional<PortRef> port,
    Optional<String> piece,
    Optional<Integer> section,
    Optional<String> part) {

  /** What a number is a number of, and so which field has to be there. */
  public enum Of {
    CONTROLLER,
    PORT,
    PIECE,
    PART
  }

  /** The numbers that Hamper works out. */
  public enum Kind {
    /** Where a section, circuit or fixture starts, in every way of counting. */
    START(Of.PIECE),
    /** The cable before a piece (m). */
    CABLE(Of.PIECE),
    FIRST_UNIVERSE(Of.CONTROLLER),
    UNIVERSES(Of.CONTROLLER),
    /** The first display channel of its block. */
    DISPLAY_START(Of.CONTROLLER),
    /** What it is sent (Mbit/s). */
    TRAFFIC(Of.CONTROLLER),
    PIXELS(Of.PORT),
    PIXEL_LIMIT(Of.PORT),
    FRAME_TIME(Of.PORT),
    /** What its channels take, sent alone (Mbit/s). */
    PORT_TRAFFIC(Of.PORT),
    AMPS(Of.PORT),
    FULL_AMPS(Of.PORT),
    /** Where the voltage of a run is farthest below what is needed, or nearest to it. */
    VOLTS(Of.PORT),
    SUPPLY_AMPS(Of.PART),
    MAINS_WATTS(Of.PART);

    private final Of of;

    Kind(Of of) {
      this.of = of;
    }

    public Of of() {
      return of;
    }
  }

  public Question {
    boolean named =
        switch (kind.of()) {
          case CONTROLLER -> controller.isPresent();
          case PORT -> port.isPresent();
          case PIECE -> piece.isPresent();
          case PART -> part.isPresent();
        };
    Require.that(
        named,
        kind.of().name().toLowerCase(Locale.ROOT),
        "nothing",
        "%s is asked of one".formatted(kind));
  }

  public static Question ofController(Kind kind, String controller) {
    return new Question(
        kind,
        Optional.of(controller),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  public static Question ofPort(Kind kind, PortRef port) {
    return new Question(
        kind,
        Optional.empty(),
        Optional.of(port),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  /**
   * @param section from 1
   */
  public static Question ofPiece(Kind kind, String piece, int section) {
    return new Question(
        kind,
        Optional.empty(),
        Optional.empty(),
        Optional.of(piece),
        Optional.of(section),
        Optional.empty());
  }

  public static Question ofPart(Kind kind, String part) {
    return new Question(
        kind,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.of(part));
  }
}
