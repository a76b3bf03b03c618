/**
 * Frame time, port limits, current: formulas with their units and sources, each in its own class.
 */
package hamper.load;
