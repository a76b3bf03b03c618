package hamper.advise;

import hamper.check.Finding;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Leg;
import hamper.display.LegAt;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Section;
import hamper.display.SerialDimmer;
import hamper.display.SlotPiece;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.edit.SetLegs;
import hamper.edit.SetPieces;
import hamper.facts.Facts;
import hamper.load.DataReach;
import hamper.value.RecordShape;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Changes the piece itself: its slot, its unit number, its colour order, the gap before it. */
final class PiecesAdviser implements Adviser {
  private static final int SLOTS = 512;

  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    Plan plan = facts.plan();
    return finding
        .pieces()
        .distinct()
        .map(id -> plan.existingPiece(id).piece())
        .flatMap(piece -> changed(plan, finding.code(), piece));
  }

  private static Stream<Edit> changed(Plan plan, String code, Piece piece) {
    if (piece instanceof SlotPiece slots && !code.equals("data-reach")) {
      return freeSlots(plan, slots).map(slot -> SetPieces.between(piece, slots.withSlot(slot)));
    } else if (piece instanceof SerialDimmer dimmer) {
      return IntStream.rangeClosed(1, SerialDimmer.HIGHEST_UNIT)
          .filter(unit -> line(plan, piece).noneMatch(other -> uses(other, unit)))
          .limit(1)
          .mapToObj(unit -> SetPieces.between(piece, RecordShape.with(dimmer, "unit", unit)));
    } else if (piece instanceof PixelString string) {
      return code.equals("data-reach") ? bridges(plan, string) : orders(code, string);
    }
    return Stream.empty();
  }

  private static boolean uses(Piece piece, int unit) {
    return piece instanceof SerialDimmer dimmer && dimmer.unit() == unit;
  }

  /** Null pixels freshen the data up: as few as bridge the way. */
  private static Stream<Edit> bridges(Plan plan, PixelString string) {
    return plan.leg(string.id()).stream()
        .flatMap(at -> plan.run(at.port()).stream().map(run -> bridged(plan, run, at.index())));
  }

  private static Edit bridged(Plan plan, HungRun run, int index) {
    HungLeg hung = run.legs().get(index);
    Leg leg = hung.leg();
    int nulls = DataReach.of(plan, run, hung).nullPixels();
    return SetLegs.between(leg, leg.withGap(nulls, leg.cableMetres(), leg.cableGauge()));
  }

  private static Stream<Edit> orders(String code, PixelString string) {
    if (!code.equals("colour-orders")) {
      return Stream.empty();
    }
    return string.sections().stream()
        .map(Section::colourOrder)
        .distinct()
        .map(
            order ->
                EditsBetween.of(
                    string,
                    string.withSections(
                        string.sections().stream().map(s -> s.withColourOrder(order)).toList())))
        .filter(edits -> !edits.isEmpty())
        .map(edits -> EditsBetween.together("Change colour orders of " + string.name(), edits));
  }

  /** The first stretch of the line that is long enough and free. */
  private static Stream<Integer> freeSlots(Plan plan, SlotPiece piece) {
    List<SlotPiece> others =
        line(plan, piece).filter(SlotPiece.class::isInstance).map(SlotPiece.class::cast).toList();
    return IntStream.rangeClosed(1, Math.max(1, SLOTS - piece.channels() + 1))
        .filter(slot -> others.stream().noneMatch(piece.withSlot(slot)::meets))
        .limit(1)
        .boxed();
  }

  /** The other pieces on the same line. */
  private static Stream<Piece> line(Plan plan, Piece piece) {
    return plan.leg(piece.id()).map(LegAt::port).stream()
        .flatMap(
            port ->
                plan.existingController(port.controller()).run(port.kind(), port.port()).stream())
        .flatMap(run -> run.legs().stream())
        .filter(leg -> !leg.piece().equals(piece.id()))
        .map(leg -> plan.existingPiece(leg.piece()).piece());
  }
}
