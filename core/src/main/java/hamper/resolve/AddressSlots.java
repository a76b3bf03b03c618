package hamper.resolve;

import hamper.address.Packing;
import hamper.address.UniverseChannel;
import hamper.display.Controller;
import hamper.display.Plan;
import java.util.Optional;

/**
 * Which slots each address of a placement takes, one after another or each pixel whole; by
 * arithmetic, both ways. On DDP slots are bytes of one endless universe.
 *
 * <p>Source: the addressing rules, "Packing".
 */
public final class AddressSlots {
  private final int firstUniverse;
  private final int firstChannel;
  private final int size;
  private final int width;
  private final int addresses;

  /** Addresses in the first universe, where none may straddle; all of them where they may. */
  private final int fitHere;

  private AddressSlots(
      UniverseChannel start, int size, int width, int addresses, boolean wholePixels) {
    this.firstUniverse = start.universe();
    this.firstChannel = start.channel();
    this.size = size;
    this.width = width;
    this.addresses = addresses;
    this.fitHere = wholePixels ? (size - firstChannel + 1) / width : addresses;
  }

  /**
   * @param at of pixels, of a circuit, or of slots, each of which is an address then
   * @return empty where it could not be laid
   */
  public static Optional<AddressSlots> of(Plan plan, Placement at) {
    Controller controller = plan.display().controllers().get(at.controller());
    int addresses = at.addresses() > 0 ? at.addresses() : at.channels();
    int width = at.channels() / addresses;
    if (!controller.protocol().usesUniverses()) {
      return at.controllerChannels()
          .map(
              span ->
                  new AddressSlots(
                      new UniverseChannel(0, span.start()),
                      Integer.MAX_VALUE,
                      width,
                      addresses,
                      false));
    }
    boolean line = !at.kind().flows();
    int size = line ? Resolver.DMX_SLOTS : controller.settings().universeSize();
    boolean whole = plan.inForce(controller).packing() == Packing.WHOLE_PIXEL && !line;
    return at.start().map(start -> new AddressSlots(start, size, width, addresses, whole));
  }

  public int addresses() {
    return addresses;
  }

  /** Channels of one address. */
  public int width() {
    return width;
  }

  /**
   * @param address from 0
   * @param channel of the address, from 0
   * @return on the wire; on DDP universe 0 and the byte, from 1
   */
  public UniverseChannel at(int address, int channel) {
    long slot =
        address < fitHere
            ? firstChannel - 1L + (long) address * width + channel
            : beyond(address - fitHere) + channel;
    return new UniverseChannel(firstUniverse + (int) (slot / size), (int) (slot % size) + 1);
  }

  /** Of an address behind the first universe. */
  private long beyond(int address) {
    int each = size / width;
    return (1L + address / each) * size + (long) (address % each) * width;
  }

  /**
   * @return which channel stands in a slot, counted over addresses of {@link #width} from 0; empty
   *     where none of them does
   */
  public Optional<Integer> channelIn(UniverseChannel slot) {
    long place = (long) (slot.universe() - firstUniverse) * size + slot.channel() - 1;
    long inFirst = place - (firstChannel - 1);
    long found = inFirst;
    if (place >= size && fitHere < addresses) {
      int each = size / width;
      long rest = place % size;
      found =
          rest >= (long) each * width ? -1 : (fitHere + (place / size - 1) * each) * width + rest;
    } else if (inFirst >= (long) fitHere * width) {
      found = -1;
    }
    boolean there =
        inFirst >= 0
            && found >= 0
            && found < (long) addresses * width
            && slot.channel() >= 1
            && slot.channel() <= size;
    return there ? Optional.of((int) found) : Optional.empty();
  }
}
