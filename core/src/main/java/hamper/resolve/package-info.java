/**
 * From a plan to channels and universes: holds, flow, mirrors, first universes, overlaps, and which
 * pixel shows which channel. Pure functions of the plan.
 */
package hamper.resolve;
