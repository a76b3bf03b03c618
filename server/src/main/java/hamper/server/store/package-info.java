/** Displays and logs in an H2 file, by plain JDBC. */
package hamper.server.store;
