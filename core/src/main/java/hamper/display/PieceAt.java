package hamper.display;

/** A piece and the prop that it belongs to. */
public record PieceAt(Prop prop, Piece piece) {
  /** How people call the piece. */
  public String title() {
    return prop.titleOf(piece);
  }
}
