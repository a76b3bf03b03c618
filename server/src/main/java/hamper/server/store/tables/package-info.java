/** What of a display stands in which table: one file a table, its columns beside their reading. */
package hamper.server.store.tables;
