package hamper.server.api;

import hamper.catalog.Gauge;
import hamper.display.Cable;
import hamper.display.Conductor;
import hamper.display.Feed;
import java.util.List;
import java.util.Optional;

/**
 * One leg of a run.
 *
 * @param title of the piece, as people call it
 * @param before places of the run before its gap: pixels, null pixels and gaps
 * @param nullPixels of the gap before it
 * @param cableMetres of the gap (m); 0 where it is not known
 * @param cableOrigin whether somebody entered it, or it is estimated from the zones
 * @param pixels that light
 * @param cableGauge where somebody entered one
 * @param cut conductors that do not pass the joint before it
 * @param feeds along its string
 * @param places of its piece on the wire: pixels and null pixels; 0 for what is no string
 */
public record LegView(
    String piece,
    String prop,
    String title,
    Optional<String> zone,
    int before,
    int nullPixels,
    double cableMetres,
    Cable.Origin cableOrigin,
    Optional<Integer> box,
    Optional<String> mirrorOf,
    int pixels,
    int places,
    int brightness,
    Optional<Gauge> cableGauge,
    List<Conductor> cut,
    List<Feed> feeds,
    List<SectionView> sections) {}
