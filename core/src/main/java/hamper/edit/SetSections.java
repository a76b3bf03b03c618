package hamper.edit;

import hamper.display.Display;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Section;
import hamper.value.Require;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** Changes settings of sections: pixels, group, fold, direction, colour order, brightness, hold. */
public record SetSections(List<At> sections, SectionChange set) implements Edit {
  /** Most sections in one edit. */
  static final int MOST = 50_000;

  /**
   * A section of a string.
   *
   * @param index from 0
   */
  public record At(String piece, int index) {}

  public SetSections {
    Require.inRange("sections", sections.size(), 1, MOST);
    sections = List.copyOf(sections);
  }

  /** What makes one section of another. */
  public static SetSections between(At at, Section before, Section after) {
    return new SetSections(List.of(at), Fields.between(SectionChange.class, before, after));
  }

  /** Sets the brightness of one section (%). */
  public static SetSections brightness(At at, Section section, int percent) {
    return between(at, section, section.withBrightness(Optional.of(percent)));
  }

  @Override
  public Display change(Plan plan) {
    return change(plan, sections, set::over);
  }

  /** The display with some sections changed where they are. */
  static Display change(Plan plan, List<At> sections, UnaryOperator<Section> how) {
    Map<String, List<At>> byPiece =
        sections.stream()
            .collect(Collectors.groupingBy(At::piece, LinkedHashMap::new, Collectors.toList()));
    return Pieces.change(
        plan,
        List.copyOf(byPiece.keySet()),
        piece -> changed(Pieces.string(plan, piece.id()), byPiece.get(piece.id()), how));
  }

  private static Piece changed(PixelString before, List<At> sections, UnaryOperator<Section> how) {
    PixelString string = before;
    for (At at : sections) {
      Section section = Pieces.section(string, at.index());
      string = string.withSection(at.index(), how.apply(section));
    }
    return string;
  }

  @Override
  public String label(Plan plan) {
    if (sections.size() == 1) {
      At at = sections.get(0);
      PixelString string = Pieces.string(plan, at.piece());
      String title = plan.existingPiece(at.piece()).title();
      String of =
          string.sections().size() == 1 ? title : "%s section %d".formatted(title, at.index() + 1);
      return Told.of(plan, of, set);
    }
    return Told.of(plan, sections.size() + " sections", set);
  }
}
