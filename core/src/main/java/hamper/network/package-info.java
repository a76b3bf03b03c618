/** The show network: who has which address, who sends to whom, and how much. */
package hamper.network;
