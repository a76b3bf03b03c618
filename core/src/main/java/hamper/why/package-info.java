/**
 * Why a number is what it is: the sum that it came out of, as data.
 *
 * <p>Source: the rules on addresses and loads; "Why" of the design.
 */
package hamper.why;
