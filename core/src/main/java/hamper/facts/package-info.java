/**
 * What follows from a plan, in one value: of each controller everything that checks, views, sheets
 * and packets ask for, and what only the plan as a whole can say.
 */
package hamper.facts;
