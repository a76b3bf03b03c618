/** What every other package leans on: refusals with a place, and preconditions that word them. */
package hamper.value;
