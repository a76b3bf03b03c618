/** One installation being planned, as immutable values that cannot be bad. */
package hamper.display;
