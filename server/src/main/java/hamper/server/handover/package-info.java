/** Handing devices their configurations through the season, and what is known of them since. */
package hamper.server.handover;
