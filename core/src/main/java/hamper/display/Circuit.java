package hamper.display;

import hamper.catalog.PortKind;
import hamper.value.Require;
import java.util.Optional;

/**
 * A one-channel load: relay, dimmer channel, motor.
 *
 * @param threshold level from which it is on, 1..255
 * @param safeOn whether it rests switched on when no levels come
 */
public record Circuit(String id, String name, int threshold, boolean safeOn, Optional<Hold> hold)
    implements Piece {
  public Circuit {
    Require.id("id", id);
    Require.name("name", name);
    Require.inRange("threshold", threshold, 1, 255);
  }

  @Override
  public PortKind portKind() {
    return PortKind.RELAY;
  }
}
