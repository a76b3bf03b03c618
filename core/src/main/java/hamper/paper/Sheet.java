package hamper.paper;

import java.util.List;
import java.util.Optional;

/**
 * A sheet: what stands on it, in which order and in which words. It is drawn on the screen, as PDF
 * and in a spreadsheet by others, who add nothing.
 *
 * @param id unlike that of any other sheet of the display; fit for a file name
 * @param controller whose it is: the id, where it is one controller's
 * @param about a sentence under the title; may be empty
 */
public record Sheet(
    String id,
    Kind kind,
    String title,
    Optional<String> controller,
    String about,
    List<Block> blocks) {
  /** What a sheet is for. */
  public enum Kind {
    SUMMARY("Summary"),
    CREW("Crew sheets"),
    WALL("Walls"),
    LID("Lid sheets"),
    DMX("DMX lines"),
    SEND("Send list"),
    SHOW("Show list"),
    SHOPPING("Shopping list"),
    TAGS("Tags"),
    UNITS("Units"),
    TAKE_DOWN("Take-down list");

    private final String title;

    Kind(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  public Sheet {
    blocks = List.copyOf(blocks);
  }

  static Sheet of(Kind kind, String title, String about, List<Block> blocks) {
    String id = kind.title.toLowerCase(java.util.Locale.ROOT).replace(' ', '-');
    return new Sheet(id, kind, title, Optional.empty(), about, blocks);
  }
}
