/** From an address to the very pixel, and back. */
package hamper.locate;
