package hamper.edit;

import hamper.display.Circuit;
import hamper.display.Display;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Wall;
import hamper.value.RecordShape;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Adds copies of a prop after it, called as it with the next numbers. Copies hang nowhere and hold
 * no address: two props that answer to the same channels would be a mistake, or a mirror that
 * somebody asks for.
 *
 * @param copies ids of the new props, at least one; their pieces are called after them
 * @param mirrorImage whether left and right are exchanged: the wire runs the same way from the plug
 *     on the other side, and a wall's first pixel lies in the opposite corner
 */
public record DuplicateProp(String prop, List<String> copies, boolean mirrorImage) implements Edit {
  public DuplicateProp {
    copies = List.copyOf(copies);
    Require.inRange("copies", copies.size(), 1, 1000);
  }

  @Override
  public Display change(Plan plan) {
    List<Prop> props = new ArrayList<>(plan.display().props());
    Prop original = original(plan);
    Set<String> taken = props.stream().map(Prop::name).collect(Collectors.toSet());
    List<String> names = NextNames.after(original.name(), taken, copies.size());
    List<Prop> made = new ArrayList<>();
    for (int i = 0; i < copies.size(); i++) {
      made.add(copyOf(original, copies.get(i), names.get(i)));
    }
    props.addAll(props.indexOf(original) + 1, made);
    return plan.display().withProps(props);
  }

  private Prop original(Plan plan) {
    return plan.props().existing(prop);
  }

  private Prop copyOf(Prop original, String id, String name) {
    List<Piece> pieces = new ArrayList<>();
    for (Piece piece : original.pieces()) {
      Piece copy = copyOf(piece, "%s-%d".formatted(id, pieces.size() + 1));
      pieces.add(copy instanceof Circuit circuit ? apart(circuit, original.name(), name) : copy);
    }
    return original.copy(id, name, pieces);
  }

  /** Circuits of a copy lock each other out, and not those of the original. */
  private static Circuit apart(Circuit circuit, String original, String copy) {
    Optional<String> interlock =
        circuit
            .interlock()
            .map(name -> name.replace(", " + original, "") + ", " + copy)
            .map(name -> name.length() > Require.LONGEST_NAME ? copy : name);
    return RecordShape.with(circuit, "interlock", interlock);
  }

  private Piece copyOf(Piece piece, String id) {
    Piece copy = (Piece) RecordShape.with((Record) piece.withoutHolds(), "id", id);
    if (mirrorImage && copy instanceof PixelString string) {
      return RecordShape.with(string, "dataIn", MirrorImage.of(string.dataIn()));
    } else if (mirrorImage && copy instanceof Wall wall) {
      Wall ordered = RecordShape.with(wall, "order", MirrorImage.of(wall.order()));
      return RecordShape.with(ordered, "panels", wall.panels().map(MirrorImage::of));
    }
    return copy;
  }

  @Override
  public String label(Plan plan) {
    String name = original(plan).name();
    String how = mirrorImage ? " as mirror image" : "";
    return copies.size() == 1
        ? "Duplicate %s%s".formatted(name, how)
        : "Duplicate %s %d times%s".formatted(name, copies.size(), how);
  }
}
