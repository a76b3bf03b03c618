/**
 * What every device and every source has to be told, in its own terms: configurations and the send
 * list. Deterministic: the same plan gives the same answer.
 */
package hamper.config;
