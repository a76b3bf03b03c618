/**
 * Devices that speak the real protocols: they take a configuration document, receive packets, and
 * say what every pixel shows. Built from docs/formats as a stranger would; of the core they use the
 * packet codecs only.
 */
package hamper.standin;
