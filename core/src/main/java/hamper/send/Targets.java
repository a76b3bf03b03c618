package hamper.send;

import java.util.Set;

/**
 * What somebody wants to light.
 *
 * @param props ids of whole props
 * @param pieces ids of single pieces
 * @param controllers ids of controllers: all that hangs on them; all three empty: everything
 */
public record Targets(Set<String> props, Set<String> pieces, Set<String> controllers) {
  public static final Targets ALL = new Targets(Set.of(), Set.of(), Set.of());

  public Targets {
    props = Set.copyOf(props);
    pieces = Set.copyOf(pieces);
    controllers = Set.copyOf(controllers);
  }

  public boolean isAll() {
    return props.isEmpty() && pieces.isEmpty() && controllers.isEmpty();
  }

  boolean hits(String controller, Light.Spot spot) {
    return isAll()
        || props.contains(spot.prop())
        || pieces.contains(spot.piece())
        || controllers.contains(controller);
  }
}
