package hamper.who;

/** How devices are asked who they are. */
public enum Way {
  GIVING("its door"),
  ARTNET("ArtPoll"),
  DDP("DDP status"),
  E131("universe discovery");

  private final String title;

  Way(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}
