/** Captures of a network, as packet capture programs write them: pcap and pcapng. */
package hamper.capture;
