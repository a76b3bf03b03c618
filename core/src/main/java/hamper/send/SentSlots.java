package hamper.send;

import hamper.address.UniverseChannel;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.resolve.AddressSlots;
import hamper.resolve.Placement;
import java.util.Arrays;

/** Where each address of a placement lies in its controller's frame. */
final class SentSlots {
  private SentSlots() {}

  /**
   * One after another, or each pixel whole.
   *
   * @param width channels of an address
   * @return by address and channel; {@link FrameLayout#NOT_SENT} where nothing is sent
   */
  static int[][] of(
      Plan plan,
      Controller controller,
      FrameLayout layout,
      Placement at,
      int addresses,
      int width) {
    int[][] slots = new int[addresses][width];
    boolean universes = controller.protocol().usesUniverses();
    if (universes ? at.start().isEmpty() : at.controllerChannels().isEmpty()) {
      // it has no address: nothing that is sent is meant for it
      for (int[] slot : slots) {
        Arrays.fill(slot, FrameLayout.NOT_SENT);
      }
      return slots;
    }
    if (!universes) {
      int first = at.controllerChannels().orElseThrow().start() - 1;
      for (int i = 0; i < addresses * width; i++) {
        slots[i / width][i % width] = layout.place(first + i);
      }
      return slots;
    }
    AddressSlots places = AddressSlots.of(plan, at).orElseThrow();
    for (int a = 0; a < addresses; a++) {
      for (int c = 0; c < width; c++) {
        UniverseChannel slot = places.at(a, c);
        slots[a][c] = layout.place(slot.universe(), slot.channel());
      }
    }
    return slots;
  }
}
