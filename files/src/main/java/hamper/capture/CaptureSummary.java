package hamper.capture;

import java.util.Optional;

/**
 * What a capture had in it.
 *
 * @param format "pcap" or "pcapng"
 * @param bytes that were read
 * @param frames that were captured, whatever they carry
 * @param datagrams of UDP on IPv4 among them
 * @param fragments of datagrams, which are not put together
 * @param shortened frames of which less was kept than had to be read
 * @param unknownLinks frames of a kind of link that is not read
 * @param ended why it was read no further than to here; left out where it was read to its end
 */
public record CaptureSummary(
    String format,
    long bytes,
    long frames,
    long datagrams,
    long fragments,
    long shortened,
    long unknownLinks,
    Optional<String> ended) {}
