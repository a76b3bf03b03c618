/** Displays in memory: one door for edits, undo and redo. */
package hamper.server.live;
