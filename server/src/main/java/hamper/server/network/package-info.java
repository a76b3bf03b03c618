/** Looking at the network: who is there, what arrives, what was captured. */
package hamper.server.network;
