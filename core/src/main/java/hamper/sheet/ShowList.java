package hamper.sheet;

import hamper.display.Brightness;
import hamper.display.Controller;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.Wall;
import hamper.resolve.Placement;
import hamper.resolve.Resolution;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What whoever makes the show has to know of a display: where each prop is addressed and how its
 * pixels run. It says of which version it is, so that what was built on it can be told.
 *
 * @param framesPerSecond the show's rate (1/s)
 */
public record ShowList(String display, int version, int framesPerSecond, List<ShowRow> rows) {
  /**
   * One section, circuit, fixture or wall.
   *
   * @param first on the wire, such as "12:301"; the controller's own channel where it has no
   *     universes
   * @param displayFirst display channel, from 1; 0 where it has none
   * @param addresses that it answers to
   * @param pixels that light
   * @param group pixels that show one address
   * @param direction of its addresses along the wire
   * @param wall width, height and corner of the first pixel, where it is one
   * @param brightness limit, percent
   * @param moved where it was when they were last told, if it was elsewhere; may be empty
   */
  public record ShowRow(
      String prop,
      String piece,
      int section,
      String zone,
      String first,
      String last,
      int displayFirst,
      int displayLast,
      int channels,
      int addresses,
      int pixels,
      int group,
      String direction,
      String wall,
      int brightness,
      String moved) {}

  public ShowList {
    rows = List.copyOf(rows);
  }

  /**
   * @param moved where sections were that moved, by piece and section, such as "rail/1"
   */
  public static ShowList of(
      Plan plan, Resolution resolution, int version, Map<String, String> moved) {
    return new ShowList(
        plan.display().name(),
        version,
        plan.display().settings().framesPerSecond(),
        resolution.placements().map(at -> row(plan, at, moved)).toList());
  }

  private static ShowRow row(Plan plan, Placement at, Map<String, String> moved) {
    PieceAt piece = plan.existingPiece(at.piece());
    Controller controller = plan.display().controllers().get(at.controller());
    Optional<Section> section =
        piece.piece() instanceof PixelString string
            ? Optional.of(string.sections().get(at.section()))
            : Optional.empty();
    Run run =
        controller
            .run(at.kind(), at.port().port())
            .orElseGet(() -> Run.of(at.kind(), at.port().port(), List.of()));
    return new ShowRow(
        piece.prop().name(),
        piece.title(),
        at.section() + 1,
        plan.zoneName(piece.prop().zone()),
        at.start()
            .map(slot -> "%d:%d".formatted(slot.universe(), slot.channel()))
            .orElseGet(
                () -> at.controllerChannels().map(span -> "channel " + span.start()).orElse("")),
        at.end()
            .map(slot -> "%d:%d".formatted(slot.universe(), slot.channel()))
            .orElseGet(
                () -> at.controllerChannels().map(span -> "channel " + span.last()).orElse("")),
        at.displayStart(),
        at.displayEnd(),
        at.channels(),
        at.addresses(),
        at.pixels(),
        section.map(Section::group).orElse(1),
        section.map(one -> one.backward() ? "backward" : "forward").orElse(""),
        piece.piece() instanceof Wall wall ? wall(wall) : "",
        section.map(one -> Brightness.percent(one, piece.prop(), run, controller)).orElse(100),
        moved.getOrDefault("%s/%d".formatted(at.piece(), at.section() + 1), ""));
  }

  private static String wall(Wall wall) {
    return "%d × %d, %s".formatted(wall.width(), wall.height(), wall.order().told());
  }
}
