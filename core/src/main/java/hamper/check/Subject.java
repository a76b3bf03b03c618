package hamper.check;

import hamper.display.PortRef;
import java.util.Optional;

/**
 * What a finding is about, so that the interface may take the user there.
 *
 * @param controller its id
 * @param port where it is about one port
 * @param piece where it is about one piece
 */
public record Subject(Optional<String> controller, Optional<PortRef> port, Optional<String> piece) {
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
