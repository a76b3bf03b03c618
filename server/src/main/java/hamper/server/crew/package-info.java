/** The crew door: the plan for phones in the yard, and nothing else of it. */
package hamper.server.crew;
