/** The command line, in the same program: for people who script. Needs no running server. */
package hamper.server.cli;
