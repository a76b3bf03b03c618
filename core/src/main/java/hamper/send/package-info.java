/**
 * From a plan to packets: frames of levels, what becomes of them on the wire, and what they are
 * meant to show.
 */
package hamper.send;
