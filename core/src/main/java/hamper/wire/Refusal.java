package hamper.wire;

/**
 * Why a packet is not taken. Those that are {@link #strict} break a rule on senders: a receiver
 * that is lenient reads on.
 */
public enum Refusal {
  TOO_SHORT("shorter than its header", false),
  PREAMBLE("preamble or postamble size is not E1.31's", false),
  IDENTIFIER("not the identifier of this protocol", false),
  FLAGS("flags of a layer are not 7", false),
  LENGTH("a length disagrees with the bytes that are there", false),
  VECTOR("a vector of another kind of packet", false),
  UNIVERSE("a universe outside 1 to 63999", false),
  PROPERTIES("DMP type, first address or increment is not that of DMX levels", false),
  COUNT("a count that is not allowed, or not of what is there", false),
  OPCODE("another Art-Net opcode", false),
  VERSION("a protocol version that is not read", false),
  OFFSET("offset and length run beyond 32 bits", false),
  CHECKSUM("a checksum that does not fit", false),
  PRIORITY("a priority above 200", true),
  NAME("a name without its NUL, or not in UTF-8", true),
  LONGER("bytes after the last layer", true),
  ORDER("universes that are not in ascending order, or none that can be", true),
  ODD("an odd number of slots", true),
  PORT_ADDRESS("a Port-Address of more than 15 bits", true),
  RANGE("a target range without an address in it", true),
  PORT("another port than 6454", true),
  DESTINATION("destination 0", true);

  private final String reason;
  private final boolean strict;

  Refusal(String reason, boolean strict) {
    this.reason = reason;
    this.strict = strict;
  }

  /** In words, as a counter is labelled. */
  public String reason() {
    return reason;
  }

  /** Whether only a strict receiver refuses it. */
  public boolean strict() {
    return strict;
  }
}
