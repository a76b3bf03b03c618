package hamper.display;

import hamper.value.Identified;
import hamper.value.Require;
import java.util.List;
import java.util.Optional;

/**
 * A thing which lights.
 *
 * @param zone the id of its zone, where it has one
 * @param brightness percent, where it is not the port's or the controller's
 * @param rank how much it is missed where it stays dark: 1 the most, 9 the least; left out: {@link
 *     #ANY_RANK}
 * @param pieces at least one, in the order of the prop
 */
public record Prop(
    String id,
    String name,
    Optional<String> zone,
    Optional<Integer> brightness,
    Optional<Integer> rank,
    List<Piece> pieces)
    implements Identified {
  /** The rank of a prop that nobody ranked. */
  public static final int ANY_RANK = 5;

  private static final int LEAST_RANK = 9;

  public Prop {
    Require.id("id", id);
    Require.name("name", name);
    zone.ifPresent(value -> Require.id("zone", value));
    Require.inRange("brightness", brightness, 0, 100);
    Require.inRange("rank", rank, 1, LEAST_RANK);
    pieces = List.copyOf(pieces);
    Require.inRange("pieces", pieces.size(), 1, 1000);
  }

  /** One that nobody ranked. */
  public Prop(
      String id,
      String name,
      Optional<String> zone,
      Optional<Integer> brightness,
      List<Piece> pieces) {
    this(id, name, zone, brightness, Optional.empty(), pieces);
  }

  /** How people call one of its pieces: the prop alone where it has but one. */
  public String titleOf(Piece piece) {
    return pieces.size() == 1 ? name : name + " " + piece.name();
  }

  public Prop withPieces(List<Piece> newPieces) {
    return new Prop(id, name, zone, brightness, rank, newPieces);
  }

  public Prop withZone(Optional<String> newZone) {
    return new Prop(id, name, newZone, brightness, rank, pieces);
  }

  /** Another one that is as this, of other pieces. */
  public Prop copy(String newId, String newName, List<Piece> newPieces) {
    return new Prop(newId, newName, zone, brightness, rank, newPieces);
  }
}
