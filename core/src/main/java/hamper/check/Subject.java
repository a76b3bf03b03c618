package hamper.check;

import hamper.display.Plan;
import hamper.display.PortRef;
import java.util.Optional;

/**
 * What a finding is about, so that the interface may take the user there.
 *
 * @param controller its id
 * @param port where it is about one port
 * @param piece where it is about one piece
 * @param part where it is about another part of the display
 */
public record Subject(
    Optional<String> controller,
    Optional<PortRef> port,
    Optional<String> piece,
    Optional<Part> part) {
  /** Which list of the display a part stands in. */
  public enum Kind {
    SUPPLY,
    MAINS,
    SUBNET,
    ENCLOSURE,
    LINK
  }

  /** One part, by its id. */
  public record Part(Kind kind, String id) {}

  private Subject(Optional<String> controller, Optional<PortRef> port, Optional<String> piece) {
    this(controller, port, piece, Optional.empty());
  }

  /** The same for the same thing. */
  public String identity() {
    return String.join(
        " ",
        controller.orElse("-"),
        port.map(at -> at.kind() + "/" + at.port()).orElse("-"),
        piece.orElse("-"),
        part.map(one -> one.kind() + "/" + one.id()).orElse("-"));
  }

  public static Subject part(Kind kind, String id) {
    return new Subject(
        Optional.empty(), Optional.empty(), Optional.empty(), Optional.of(new Part(kind, id)));
  }

  /** The id of the part, where it is of this kind. */
  public Optional<String> part(Kind kind) {
    return part.filter(one -> one.kind() == kind).map(Part::id);
  }

  public static Subject supply(String id) {
    return part(Kind.SUPPLY, id);
  }

  public static Subject mains(String id) {
    return part(Kind.MAINS, id);
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

  /** A piece where it hangs; one that hangs nowhere is itself. */
  static Subject of(Plan plan, String piece) {
    return plan.leg(piece).map(at -> leg(at.port(), piece)).orElseGet(() -> piece(piece));
  }

  public static Subject piece(String id) {
    return new Subject(Optional.empty(), Optional.empty(), Optional.of(id));
  }
}
