package hamper.edit;

import hamper.display.Display;
import hamper.display.GridOrder;
import hamper.display.Panels;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.Wall;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.List;
import java.util.Optional;

/** Tells the size of a wall another way, as near to what it is as that way can. */
public record RemakeWall(String piece, Way way) implements Edit {
  private static final int USUAL_PANEL_WIDTH = 64;
  private static final int USUAL_PANEL_HEIGHT = 32;
  private static final double USUAL_PITCH_MILLIMETRES = 10;

  /** How a wall's size is told. */
  public enum Way {
    PANELS("panels"),
    RESOLUTION("pixels"),
    SIZE("size and pitch");

    private final String title;

    Way(String title) {
      this.title = title;
    }
  }

  @Override
  public Display change(Plan plan) {
    return Pieces.change(plan, List.of(piece), one -> remade(wall(plan)));
  }

  private Wall wall(Plan plan) {
    PieceAt at = plan.existingPiece(piece);
    if (at.piece() instanceof Wall wall) {
      return wall;
    }
    throw new RefusedException(
        "piece", Require.quoted(at.title()), "only a wall is remade; name a wall");
  }

  private Wall remade(Wall wall) {
    return switch (way) {
      case PANELS ->
          wall.remade(
              Optional.of(panels(wall)), Optional.empty(), wall.size(), wall.pitchMillimetres());
      case RESOLUTION ->
          wall.remade(
              Optional.empty(),
              Optional.of(new Wall.Resolution(wall.width(), wall.height())),
              wall.size(),
              wall.pitchMillimetres());
      case SIZE -> {
        double pitch = wall.pitchMillimetres().orElse(USUAL_PITCH_MILLIMETRES);
        yield wall.remade(
            Optional.empty(),
            Optional.empty(),
            Optional.of(new Wall.Size(wall.width() * pitch, wall.height() * pitch)),
            Optional.of(pitch));
      }
    };
  }

  private static Panels panels(Wall wall) {
    return new Panels(
        Math.min(wall.width(), USUAL_PANEL_WIDTH),
        Math.min(wall.height(), USUAL_PANEL_HEIGHT),
        panelsAlong(wall.width(), USUAL_PANEL_WIDTH),
        panelsAlong(wall.height(), USUAL_PANEL_HEIGHT),
        GridOrder.reading(),
        List.of());
  }

  private static int panelsAlong(int pixels, int usual) {
    return (int) Math.max(1, Math.round((double) pixels / usual));
  }

  @Override
  public String label(Plan plan) {
    return "Tell %s as %s".formatted(plan.existingPiece(piece).title(), way.title);
  }
}
