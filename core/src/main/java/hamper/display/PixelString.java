package hamper.display;

import hamper.catalog.PortKind;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One data line through a prop.
 *
 * @param sections in wire order, at least one
 * @param dataIn the end of the prop where data enters, as people call it, such as "stern"; may be
 *     empty
 * @param connector the plug's kind; may be empty
 * @param leadMetres from plug to first pixel (m)
 * @param wiring its wires, where somebody entered them; left out: {@link Wiring#USUAL}
 */
public record PixelString(
    String id,
    String name,
    String pixelType,
    List<Section> sections,
    String dataIn,
    String connector,
    double leadMetres,
    Optional<Wiring> wiring)
    implements Piece {
  /** Most sections of one string. */
  public static final int MOST_SECTIONS = 500;

  public PixelString {
    Require.id("id", id);
    Require.name("name", name);
    Require.id("pixelType", pixelType);
    sections = List.copyOf(sections);
    Require.inRange("sections", sections.size(), 1, MOST_SECTIONS);
    Require.text("dataIn", dataIn, 40);
    Require.text("connector", connector, 40);
    Require.inRange("leadMetres", leadMetres, 0, 1000);
    wiring = wiring.filter(given -> !given.equals(Wiring.USUAL));
  }

  /** Where nothing is known of its plug. */
  public PixelString(String id, String name, String pixelType, List<Section> sections) {
    this(id, name, pixelType, sections, "", "", 0, Optional.empty());
  }

  @Override
  public PortKind portKind() {
    return PortKind.PIXEL;
  }

  /** Pixels that light, over all sections. */
  public int pixels() {
    int sum = 0;
    for (int i = 0; i < sections.size(); i++) {
      sum += sections.get(i).pixels();
    }
    return sum;
  }

  /** Null pixels built into it. */
  public int nullPixels() {
    int sum = 0;
    for (int i = 0; i < sections.size(); i++) {
      sum += sections.get(i).nullPixels();
    }
    return sum;
  }

  public PixelString withSection(int index, Section section) {
    List<Section> changed = new ArrayList<>(sections);
    changed.set(index, section);
    return withSections(changed);
  }

  @Override
  public PixelString withoutHolds() {
    return withSections(
        sections.stream().map(section -> section.withHold(Optional.empty())).toList());
  }

  public PixelString withSections(List<Section> newSections) {
    return new PixelString(id, name, pixelType, newSections, dataIn, connector, leadMetres, wiring);
  }

  public PixelString withWiring(Optional<Wiring> newWiring) {
    return new PixelString(id, name, pixelType, sections, dataIn, connector, leadMetres, newWiring);
  }

  public Wiring wires() {
    return wiring.orElse(Wiring.USUAL);
  }

  /** Pixels and null pixels: its positions on the wire. */
  public int places() {
    return pixels() + nullPixels();
  }
}
