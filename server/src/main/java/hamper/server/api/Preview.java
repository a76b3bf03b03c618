package hamper.server.api;

import hamper.check.Finding;
import java.util.List;

/**
 * What an edit would do, were it made.
 *
 * @param moved a line on which legs would get other addresses
 * @param lanes that would look different
 * @param found findings it would bring
 * @param cleared findings it would clear
 */
public record Preview(
    String label, String moved, List<LaneView> lanes, List<Finding> found, List<Finding> cleared) {}
