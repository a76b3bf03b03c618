package hamper.server.api;

import hamper.display.Cable;
import java.util.List;
import java.util.Optional;

/**
 * One leg of a run.
 *
 * @param title of the piece, as people call it
 * @param nullPixels of the gap before it
 * @param cableMetres of the gap (m); 0 where it is not known
 * @param cableOrigin whether somebody entered it, or it is estimated from the zones
 * @param pixels that light
 * @param places on the wire: pixels and null pixels, gap included
 */
public record LegView(
    String piece,
    String prop,
    String title,
    Optional<String> zone,
    int nullPixels,
    double cableMetres,
    Cable.Origin cableOrigin,
    Optional<Integer> box,
    Optional<String> mirrorOf,
    int pixels,
    int places,
    int brightness,
    List<SectionView> sections) {}
