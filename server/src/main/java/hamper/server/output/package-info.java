/** Where packets may go, and how they get there. */
package hamper.server.output;
