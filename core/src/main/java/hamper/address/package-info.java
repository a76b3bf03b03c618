/**
 * Channels, universes and spans: the arithmetic of addresses, before anybody knows about displays.
 *
 * <p>Controller channels count from 1. Universes are always those on the wire; how a device writes
 * them is its dialect.
 */
package hamper.address;
