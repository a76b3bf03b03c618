/**
 * Changes that would settle a finding: edits like the user's own, each tried before it is offered.
 */
package hamper.advise;
