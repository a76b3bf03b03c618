package hamper.files;

import hamper.display.Leg;
import hamper.display.LegAt;
import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Zone;
import hamper.resolve.Placement;
import hamper.resolve.Resolution;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The plan as a spreadsheet that comes back: one row a piece, each cell as {@link PlanSheet} reads
 * it. Format: docs/formats/plan-sheet.md.
 */
public final class PlanSheetFiles {
  /** Universe and channel stand in one cell, as everywhere. */
  private static final List<PlanColumn> COLUMNS =
      List.of(
          PlanColumn.PROP,
          PlanColumn.PIECE,
          PlanColumn.PIXELS,
          PlanColumn.TYPE,
          PlanColumn.ZONE,
          PlanColumn.CONTROLLER,
          PlanColumn.PORT,
          PlanColumn.POSITION,
          PlanColumn.NULL_PIXELS,
          PlanColumn.START,
          PlanColumn.DISPLAY_START,
          PlanColumn.ORDER,
          PlanColumn.BRIGHTNESS);

  private PlanSheetFiles() {}

  public static byte[] xlsx(Plan plan, Resolution resolution) {
    return Xlsx.write("Plan", heads(), rows(plan, resolution));
  }

  public static byte[] csv(Plan plan, Resolution resolution) {
    return Csv.write(heads(), rows(plan, resolution)).getBytes(StandardCharsets.UTF_8);
  }

  private static List<String> heads() {
    return COLUMNS.stream().map(PlanColumn::title).toList();
  }

  private static List<List<?>> rows(Plan plan, Resolution resolution) {
    Map<String, Placement> firsts = new HashMap<>();
    resolution
        .placements()
        .filter(at -> at.section() == 0)
        .forEach(at -> firsts.put(at.piece(), at));
    Map<String, Integer> positions = new HashMap<>();
    plan.display().controllers().stream()
        .flatMap(controller -> controller.runs().stream())
        .map(Run::legs)
        .forEach(
            legs -> {
              for (int i = 0; i < legs.size(); i++) {
                positions.put(legs.get(i).piece(), i + 1);
              }
            });
    List<List<?>> rows = new ArrayList<>();
    for (Prop prop : plan.display().props()) {
      for (Piece piece : prop.pieces()) {
        rows.add(row(plan, plan.existingPiece(piece.id()), firsts, positions));
      }
    }
    return rows;
  }

  private static List<?> row(
      Plan plan, PieceAt at, Map<String, Placement> firsts, Map<String, Integer> positions) {
    Prop prop = at.prop();
    Piece piece = at.piece();
    Optional<PixelString> string =
        piece instanceof PixelString one ? Optional.of(one) : Optional.empty();
    Optional<LegAt> leg = plan.leg(piece.id());
    Optional<Placement> first = Optional.ofNullable(firsts.get(piece.id()));
    return List.of(
        prop.name(),
        piece.name(),
        string.map(PixelString::pixels),
        string.map(plan::typeOf).map(type -> type.name()),
        prop.zone().map(plan.zones()::existing).map(Zone::name),
        leg.map(one -> plan.existingController(one.port().controller()).tag()),
        leg.map(one -> one.port().kind().mark() + one.port().port()),
        Optional.ofNullable(positions.get(piece.id())),
        leg.map(LegAt::leg).map(Leg::nullPixels),
        first.map(SheetStarts::written).filter(text -> !text.isEmpty()),
        first.map(Placement::displayStart).filter(start -> start > 0),
        string.map(one -> at.orderOf(one.sections().get(0)).toString()),
        prop.brightness());
  }
}
