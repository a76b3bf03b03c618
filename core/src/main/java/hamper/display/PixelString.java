package hamper.display;

import hamper.catalog.PortKind;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;

/**
 * One data line through a prop.
 *
 * @param sections in wire order, at least one
 */
public record PixelString(String id, String name, String pixelType, List<Section> sections)
    implements Piece {
  /** Most sections of one string. */
  public static final int MOST_SECTIONS = 500;

  public PixelString {
    Require.id("id", id);
    Require.name("name", name);
    Require.id("pixelType", pixelType);
    sections = List.copyOf(sections);
    Require.inRange("sections", sections.size(), 1, MOST_SECTIONS);
  }

  @Override
  public PortKind portKind() {
    return PortKind.PIXEL;
  }

  /** Pixels that light, over all sections. */
  public int pixels() {
    return sections.stream().mapToInt(Section::pixels).sum();
  }

  /** Null pixels built into it. */
  public int nullPixels() {
    return sections.stream().mapToInt(Section::nullPixels).sum();
  }

  public PixelString withSection(int index, Section section) {
    List<Section> changed = new ArrayList<>(sections);
    changed.set(index, section);
    return new PixelString(id, name, pixelType, changed);
  }
}
