/** The program: command line, REST API and storage around the core. */
package hamper.server;
