package hamper.listen;

import java.util.List;

/**
 * A planned stream, and what was heard of it.
 *
 * @param streams all of that universe that go where it is planned to go, the one that counts first
 */
public record AirLine(PlannedStream planned, State state, List<HeardStream> streams) {
  /** What can be said of a planned stream. */
  public enum State {
    HEARD("heard"),
    COUNTED("counted by the device"),
    NOT_HEARD("not heard"),
    CANNOT_BE_HEARD("cannot be heard from here");

    private final String title;

    State(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  public AirLine {
    streams = List.copyOf(streams);
  }
}
