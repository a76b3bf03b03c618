package hamper.address;

/** The open protocols that carry levels to a controller, and the universes each can name. */
public enum Protocol {
  /** Streaming ACN: universes 1..63999, naturally written from 1. */
  E131(1, 1, Protocol.HIGHEST_UNIVERSE, "E1.31"),
  /** Art-Net 4: 15-bit Port-Addresses 0..32767, naturally written from 0. */
  ARTNET(0, 0, 32_767, "Art-Net"),
  /** Distributed Display Protocol: byte offsets in the device's own buffer, no universes. */
  DDP(0, 0, -1, "DDP"),
  /** A host: drives no light of its own and has no block of channels. */
  NONE(0, 0, -1, "none");

  /** The greatest universe that any protocol can name. */
  public static final int HIGHEST_UNIVERSE = 63_999;

  private final int natural;
  private final int firstUniverse;
  private final int lastUniverse;
  private final String title;

  Protocol(int natural, int firstUniverse, int lastUniverse, String title) {
    this.natural = natural;
    this.firstUniverse = firstUniverse;
    this.lastUniverse = lastUniverse;
    this.title = title;
  }

  /** Whether levels travel in universes (E1.31, Art-Net) rather than by byte offset. */
  public boolean usesUniverses() {
    return lastUniverse >= firstUniverse;
  }

  /** The number that the protocol itself gives its first universe: 1 for E1.31, 0 for Art-Net. */
  public int natural() {
    return natural;
  }

  /** Least universe on the wire. */
  public int firstUniverse() {
    return firstUniverse;
  }

  /** Greatest universe on the wire; below {@link #firstUniverse()} where there are none. */
  public int lastUniverse() {
    return lastUniverse;
  }

  public boolean hasUniverse(int universe) {
    return universe >= firstUniverse && universe <= lastUniverse;
  }

  /** How people write the protocol's name. */
  public String title() {
    return title;
  }
}
