/** Hosts with a cable between them, for tests that need more than this machine has. */
package hamper.samples.hosts;
