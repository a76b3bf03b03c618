package hamper.server.api;

import hamper.catalog.PixelType;
import hamper.check.Checks;
import hamper.check.Finding;
import hamper.display.DisplaySettings;
import hamper.display.Zone;
import java.util.List;
import java.util.Optional;

/**
 * What an edit changed, for windows that had the version before.
 *
 * @param label of the edit
 * @param moved a line on which legs got other addresses; empty where none did
 * @param controllers those that look different
 * @param controllerOrder the ids of all, in list order, where one came, went or moved
 * @param props those that look different
 * @param propOrder the ids of all, where one came, went or moved
 * @param network what of it changed, where anything did
 * @param power what of it changed, where anything did
 * @param findings all of them, where any changed
 */
public record Delta(
    int fromVersion,
    int version,
    String label,
    String moved,
    String name,
    DisplaySettings settings,
    List<PixelType> pixelTypes,
    List<Zone> zones,
    Optional<NetworkDelta> network,
    Optional<PowerDelta> power,
    List<ControllerView> controllers,
    Optional<List<String>> controllerOrder,
    List<PropView> props,
    Optional<List<String>> propOrder,
    Optional<List<Finding>> findings,
    Optional<List<Checks.Taken>> accepted,
    UndoView undo) {}
