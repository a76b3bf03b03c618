package hamper.server.api;

import hamper.display.Piece;
import hamper.display.PortRef;
import hamper.display.Prop;
import java.util.List;
import java.util.Optional;

/** One prop with its pieces and where they hang. */
public record PropView(Prop prop, List<PieceView> pieces) {
  /**
   * @param title as people call it
   * @param pixels 0 for circuits and fixtures
   * @param channels it answers to
   * @param port where it hangs; left out: in the tray
   * @param brightness in force where it says nothing itself and hangs nowhere (percent)
   * @param wall what there is to draw of it, where it is a wall
   * @param tags on it, and on the cable that leads to it
   */
  public record PieceView(
      Piece piece,
      String title,
      int pixels,
      int nullPixels,
      int channels,
      Optional<PortRef> port,
      Optional<String> written,
      int brightness,
      Optional<WallView> wall,
      List<String> tags) {}
}
