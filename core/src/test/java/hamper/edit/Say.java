package hamper.edit;

import hamper.catalog.Gauge;
import hamper.display.Conductor;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.Section;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Edits as tests say them: one thing made another. */
public final class Say {
  private Say() {}

  public static Edit section(String piece, int index, Section before, Section after) {
    return SetSections.between(new SetSections.At(piece, index), before, after);
  }

  public static Edit section(Plan plan, String piece, UnaryOperator<Section> change) {
    Section before = Pieces.string(plan, piece).sections().get(0);
    return section(piece, 0, before, change.apply(before));
  }

  public static Edit gap(String piece, int nulls, Double metres, Gauge gauge) {
    Leg leg = Leg.of(piece);
    return SetLegs.between(
        leg, leg.withGap(nulls, Optional.ofNullable(metres), Optional.ofNullable(gauge)));
  }

  public static Edit mirror(String piece, String original) {
    return SetLegs.mirror(piece, Optional.of(original));
  }

  public static Edit cut(String piece, Conductor... cut) {
    Leg leg = Leg.of(piece);
    return SetLegs.between(leg, leg.withCut(List.of(cut)));
  }

  public static Edit feeds(String piece, Feed... feeds) {
    return new AddFeeds(piece, List.of(feeds));
  }
}
