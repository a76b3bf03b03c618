package hamper.standin;

import java.util.Locale;

/** What devices do that nobody planned; switched on and off while they run. */
public enum Misbehaviour {
  OFF("no power: it takes no packets and answers nothing"),
  SLOW("its door answers after half a second"),
  DROPS("one packet in five does not arrive"),
  OTHER_MODEL("says that it is another model, and takes no document of its own"),
  LOST_CONFIGURATION("what it was told is gone: its maker's defaults, at full brightness"),
  OLD_OUTPUTS("last year's outputs are alive on ports that are unused now"),
  COLOUR_ORDER("sends the bytes of a pixel the other way round"),
  DEAD_PIXEL("a pixel in the middle of each string is dead, and all behind it dark"),
  DEAD_PIXEL_FROZEN("a pixel in the middle is dead, and all behind it as it was when it died"),
  DEAD_PIXEL_RANDOM("a pixel in the middle is dead, and all behind it anything"),
  BLUE_FAILS("too little voltage: blue is missing at the end of each string"),
  FAINT_GLOW("a fuse has gone: what is left glows through the data wire"),
  FORGOTTEN_NULL("one null pixel was forgotten"),
  FULL_UNIVERSES("takes all universes as 512 channels wide"),
  ONE_UNIVERSE_LESS("listens to one universe too few"),
  OTHER_ADDRESS("says that it has another controller's address"),
  OTHER_NAME("calls itself by another name than the plan does"),
  HOLDS("holds its last levels at the start and when its source is lost, whatever its model does"),
  GOES_SAFE("goes to its safe state then"),
  PLAYS_STORED("plays a show of its own then"),
  OTHER_UNIT("another unit of the same model stands there, with a serial number of its own"),
  VANISHES("goes away in the middle of taking its configuration"),
  KEEPS_NOTHING("says that it does not keep what it takes"),
  FORGETS("forgets at its next start what it was told, though it said that it kept it");

  private final String title;

  Misbehaviour(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }

  /** As it is written in giving.md, such as "dead-pixel". */
  public String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /**
   * @throws IllegalArgumentException where there is none of that name
   */
  static Misbehaviour of(String key) {
    return valueOf(key.toUpperCase(Locale.ROOT).replace('-', '_'));
  }
}
