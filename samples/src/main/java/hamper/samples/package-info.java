/** Displays made up for tests and benchmarks. */
package hamper.samples;
