package hamper.server.api;

import hamper.catalog.PixelType;
import hamper.check.Checks;
import hamper.check.Finding;
import hamper.display.DisplaySettings;
import hamper.display.Zone;
import java.util.List;

/**
 * A whole display as the interface shows it.
 *
 * @param accepted risks and hints that somebody accepted
 * @param pixelTypes those that ship with Hamper and the display's own
 */
public record DisplayView(
    String id,
    int version,
    String name,
    DisplaySettings settings,
    List<PixelType> pixelTypes,
    List<Zone> zones,
    NetworkView network,
    PowerView power,
    List<PropView> props,
    List<ControllerView> controllers,
    List<Finding> findings,
    List<Checks.Taken> accepted,
    UndoView undo) {}
