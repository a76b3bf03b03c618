/** Threads that work beside whoever asked. Known to every other package, knows none. */
package hamper.server.daemons;
