package hamper.server.api;

import hamper.check.Finding;
import hamper.display.DisplaySettings;
import hamper.display.Zone;
import java.util.List;

/** A whole display as the interface shows it. */
public record DisplayView(
    String id,
    int version,
    String name,
    DisplaySettings settings,
    List<Zone> zones,
    List<PropView> props,
    List<ControllerView> controllers,
    List<Finding> findings,
    UndoView undo) {}
