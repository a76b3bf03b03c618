package hamper.edit;

import hamper.display.Piece;
import hamper.display.PixelString;
import java.util.Optional;

/**
 * What changes of a string; its sections have changes of their own.
 *
 * @param wires of what nobody entered before, the rest stays usual
 */
public record StringChange(
    Change<String> name,
    Change<String> pixelType,
    Change<String> dataIn,
    Change<String> connector,
    Change<Double> leadMetres,
    Optional<WiringChange> wires)
    implements PieceChange {
  @Override
  public Piece over(Piece value) {
    PixelString changed = (PixelString) PieceChange.super.over(value);
    return wires
        .map(change -> changed.withWiring(Optional.of(change.over(changed.wires()))))
        .orElse(changed);
  }

  static StringChange between(PixelString before, PixelString after) {
    StringChange outside = Fields.between(StringChange.class, before, after);
    Optional<WiringChange> within =
        before.wires().equals(after.wires())
            ? Optional.empty()
            : Optional.of(Fields.between(WiringChange.class, before.wires(), after.wires()));
    return new StringChange(
        outside.name,
        outside.pixelType,
        outside.dataIn,
        outside.connector,
        outside.leadMetres,
        within);
  }
}
