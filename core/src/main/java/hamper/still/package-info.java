/** Edits that leave every start where it is that does not have to move. */
package hamper.still;
