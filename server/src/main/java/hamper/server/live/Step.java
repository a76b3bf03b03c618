package hamper.server.live;

import hamper.facts.Facts;

/**
 * One step of a display: what was and what is.
 *
 * @param label of what was done; empty for a display that was just opened
 */
public record Step(int fromVersion, int version, String label, Facts before, Facts after) {}
