package hamper.handover;

import hamper.display.Display;
import hamper.value.Identified;
import hamper.value.Require;
import java.time.Instant;

/**
 * A named, frozen state of a display.
 *
 * @param at when it was set
 * @param by the name that the window said; empty where it said none
 * @param version of the display, when it was set
 */
public record Milestone(String id, String name, Instant at, String by, int version, Display display)
    implements Identified {
  public Milestone {
    Require.id("id", id);
    Require.name("name", name);
    Require.text("by", by, 80);
    Require.inRange("version", version, 1, Integer.MAX_VALUE);
  }
}
