package hamper.edit;

import hamper.display.Circuit;
import hamper.display.Display;
import hamper.display.Fixture;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.display.SerialDimmer;
import hamper.display.StripDecoder;
import hamper.display.Wall;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Adds copies of a prop after it. Copies hang nowhere and hold no address: two props that answer to
 * the same channels would be a mistake, or a mirror that somebody asks for.
 *
 * @param copies at least one
 * @param mirrorImage whether left and right are exchanged: the wire runs the same way from the plug
 *     on the other side, and a wall's first pixel lies in the opposite corner
 */
public record DuplicateProp(String prop, List<Copy> copies, boolean mirrorImage) implements Edit {
  /**
   * @param id of the new prop; its pieces are called after it
   */
  public record Copy(String id, String name) {
    public Copy {
      Require.id("id", id);
      Require.name("name", name);
    }
  }

  public DuplicateProp {
    copies = List.copyOf(copies);
    Require.inRange("copies", copies.size(), 1, 1000);
  }

  @Override
  public Display change(Plan plan) {
    List<Prop> props = new ArrayList<>(plan.display().props());
    Prop original = Lists.find(props, prop, other -> other.id(), "prop");
    props.addAll(
        props.indexOf(original) + 1, copies.stream().map(copy -> copyOf(original, copy)).toList());
    return plan.display().withProps(props);
  }

  private Prop copyOf(Prop original, Copy copy) {
    List<Piece> pieces = new ArrayList<>();
    for (Piece piece : original.pieces()) {
      pieces.add(copyOf(piece, "%s-%d".formatted(copy.id(), pieces.size() + 1)));
    }
    return new Prop(copy.id(), copy.name(), original.zone(), original.brightness(), pieces);
  }

  private Piece copyOf(Piece piece, String id) {
    if (piece instanceof PixelString string) {
      List<Section> free =
          string.sections().stream().map(section -> section.withHold(Optional.empty())).toList();
      return new PixelString(
          id,
          string.name(),
          string.pixelType(),
          free,
          mirrorImage ? MirrorImage.of(string.dataIn()) : string.dataIn(),
          string.connector(),
          string.leadMetres(),
          string.wiring());
    } else if (piece instanceof Circuit circuit) {
      return new Circuit(
          id, circuit.name(), circuit.threshold(), circuit.safeOn(), Optional.empty());
    } else if (piece instanceof Fixture fixture) {
      return new Fixture(id, fixture.name(), fixture.slot(), fixture.channels(), fixture.pairs());
    } else if (piece instanceof StripDecoder decoder) {
      return new StripDecoder(
          id, decoder.name(), decoder.slot(), decoder.pixels(), decoder.ledsPerPixel());
    } else if (piece instanceof SerialDimmer dimmer) {
      return new SerialDimmer(id, dimmer.name(), dimmer.unit(), dimmer.circuits());
    }
    Wall wall = (Wall) piece;
    return new Wall(
        id,
        wall.name(),
        mirrorImage ? MirrorImage.of(wall.order()) : wall.order(),
        mirrorImage ? wall.panels().map(MirrorImage::of) : wall.panels(),
        wall.resolution(),
        wall.size(),
        wall.pitchMillimetres(),
        Optional.empty());
  }

  @Override
  public String label(Plan plan) {
    String name = Lists.find(plan.display().props(), prop, other -> other.id(), "prop").name();
    String how = mirrorImage ? " as mirror image" : "";
    return copies.size() == 1
        ? "Duplicate %s%s".formatted(name, how)
        : "Duplicate %s %d times%s".formatted(name, copies.size(), how);
  }
}
