package hamper.display;

import hamper.catalog.PortKind;
import hamper.value.Require;

/**
 * A DMX device. What is set at the device is set on a ladder: software never moves it.
 *
 * @param slot its start slot, 1..512
 * @param channels its footprint, 1..512; with the start slot it may reach past slot 512, which is
 *     found, not refused
 */
public record Fixture(String id, String name, int slot, int channels) implements Piece {
  public Fixture {
    Require.id("id", id);
    Require.name("name", name);
    Require.inRange("slot", slot, 1, 512);
    Require.inRange("channels", channels, 1, 512);
  }

  @Override
  public PortKind portKind() {
    return PortKind.DMX;
  }
}
