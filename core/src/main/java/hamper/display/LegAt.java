package hamper.display;

/**
 * Where a piece hangs.
 *
 * @param index its place along the wire, 0 next to the port
 */
public record LegAt(PortRef port, int index, Leg leg) {}
