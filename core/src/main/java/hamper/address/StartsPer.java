package hamper.address;

/** What a device is told a start address for. */
public enum StartsPer {
  SECTION,
  /** One start a port: the sections of its run follow each other, and move together. */
  PORT
}
