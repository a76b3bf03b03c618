/** Live output on a network of the test's own: two hosts, a cable between them, and who listens. */
package hamper.server.yard;
