package hamper.catalog;

/** How a device wants its outputs' addresses written: the seven ways. */
public enum AddressStyle {
  UNIVERSE_CHANNEL_PER_SECTION("universe and channel, for each section"),
  UNIVERSE_CHANNEL_PER_PORT("universe and channel, for each port"),
  UNIVERSE_PER_PORT("universe only, for each port"),
  ABSOLUTE_CHANNEL("channel in its own block, for each section"),
  PIXEL_COUNTS("pixel counts only, in port order"),
  PIXEL_INDEX("index of the first pixel, from 0"),
  DMX_SLOT("universe for each DMX line; slots are set at the fixtures");

  private final String title;

  AddressStyle(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}
