/** Hangs what hangs nowhere, as a careful person would, and says why. */
package hamper.arrange;
