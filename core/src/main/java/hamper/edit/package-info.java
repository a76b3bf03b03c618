/**
 * Small typed changes of a display. Each answers a new plan and the edit that takes it back: undo,
 * previews and the log rest on that.
 */
package hamper.edit;
