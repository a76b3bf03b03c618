/**
 * Packets of E1.31, Art-Net 4 and DDP as bytes, and nothing of plans: written into and read from
 * arrays in place, without allocation. Both ends use it, and so do the figures of traffic.
 */
package hamper.wire;
