/**
 * The REST API: what the interface can do, the API can do. Views are made from facts and hold none.
 */
package hamper.server.api;
