package hamper.address;

/** Where the first flowing section of a pixel port starts. */
public enum PortStart {
  NEXT_CHANNEL,
  /** At the next universe boundary. */
  NEXT_UNIVERSE
}
