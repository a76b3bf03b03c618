package hamper.edit;

import hamper.display.Hold;
import java.util.Optional;

/** What changes of a wall. How its size is told is changed by {@link RemakeWall}. */
public record WallChange(
    Change<String> name,
    Optional<GridOrderChange> order,
    Optional<PanelsChange> panels,
    Optional<ResolutionChange> resolution,
    Optional<SizeChange> size,
    Change<Double> pitchMillimetres,
    Change<Hold> hold)
    implements PieceChange {}
