package hamper.arrange;

import java.util.Optional;

/**
 * What it costs to hang pieces as a proposal does, or as they hang.
 *
 * @param controllers that anything is hung on by it
 * @param another of them nothing hung on before
 * @param outlets ports that anything is hung on by it
 * @param metres of cable between zones; within a zone nobody knows (m)
 * @param boxes remote boxes on which nothing hung before
 * @param splitProps props of which some hang on one controller and some on another
 * @param outOfOrder strings of a prop that hang neither on the port of the one before nor on the
 *     next
 * @param twinsApart props that belong together by their names, on ports that do not match
 * @param zonesOver controllers more than one, summed over the zones
 * @param fullest of the fuses of the ports, where any has one
 * @param least what no way to hang the same pieces can go below
 */
public record Cost(
    int controllers,
    int another,
    int outlets,
    double metres,
    int boxes,
    int splitProps,
    int outOfOrder,
    int twinsApart,
    int zonesOver,
    Optional<Fullest> fullest,
    Least least) {
  /**
   * The port that carries most of its fuse.
   *
   * @param written its port as people write it
   * @param amps at planned brightness, all white (A)
   * @param fuseAmps what it is rated (A)
   */
  public record Fullest(String written, double amps, double fuseAmps) {}

  static Cost of(Tally tally, Optional<Fullest> fullest, Least least) {
    return new Cost(
        tally.controllers(),
        tally.another(),
        tally.outlets(),
        tally.metres(),
        tally.boxes(),
        tally.splitProps(),
        tally.outOfOrder(),
        tally.twinsApart(),
        tally.zonesOver(),
        fullest,
        least);
  }
}
