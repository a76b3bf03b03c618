package hamper.arrange;

/**
 * What each wish weighs; more is dearer, and none is below 0.
 *
 * @param split a prop over another controller
 * @param backwards a string of a prop on a lower port than the one before it
 * @param skipped each port between two strings of a prop
 * @param metre of cable (m)
 * @param another controller that nothing hung on
 * @param shared a port that something hangs on already
 * @param joined the same, where any string there has feeds of its own: supplies would meet
 * @param zone a controller more for what hangs in one zone
 * @param spread a piece beside all others of its zone; less beside fewer
 * @param twin two props that belong together on ports that do not match
 * @param room the last empty port of a controller; less the more are left
 * @param box one more remote box
 * @param move a piece that hangs and is hung elsewhere
 */
record Weights(
    double split,
    double backwards,
    double skipped,
    double metre,
    double another,
    double shared,
    double joined,
    double zone,
    double spread,
    double twin,
    double room,
    double box,
    double move) {
  /** A zone on purpose over several controllers, so that one that fails does not darken it all. */
  Weights spreading() {
    double most = Math.max(split / 2, metre * 40);
    return new Weights(
        split, backwards, skipped, metre, another, shared, joined, 0, most, twin, room, box, move);
  }
}
