package hamper.check;

import hamper.display.PortRef;
import java.util.Optional;

/**
 * What a finding is about, so that the interface may take the user there.
 *
 * @param controller its id
 * @param port where it is about one port
 * @param piece where it is about one piece
 * @param supply where it is about one supply
 * @param mains where it is about one mains circuit
 */
public record Subject(
    Optional<String> controller,
    Optional<PortRef> port,
    Optional<String> piece,
    Optional<String> supply,
    Optional<String> mains) {
  private Subject(Optional<String> controller, Optional<PortRef> port, Optional<String> piece) {
    this(controller, port, piece, Optional.empty(), Optional.empty());
  }

  /** The same for the same thing. */
  String identity() {
    return String.join(
        " ",
        controller.orElse("-"),
        port.map(at -> at.kind() + "/" + at.port()).orElse("-"),
        piece.orElse("-"),
        supply.orElse("-"),
        mains.orElse("-"));
  }

  public static Subject supply(String id) {
    return new Subject(
        Optional.empty(), Optional.empty(), Optional.empty(), Optional.of(id), Optional.empty());
  }

  public static Subject mains(String id) {
    return new Subject(
        Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.of(id));
  }

  public static Subject controller(String id) {
    return new Subject(Optional.of(id), Optional.empty(), Optional.empty());
  }

  public static Subject port(PortRef port) {
    return new Subject(Optional.of(port.controller()), Optional.of(port), Optional.empty());
  }

  public static Subject leg(PortRef port, String piece) {
    return new Subject(Optional.of(port.controller()), Optional.of(port), Optional.of(piece));
  }

  public static Subject piece(String id) {
    return new Subject(Optional.empty(), Optional.empty(), Optional.of(id));
  }
}
