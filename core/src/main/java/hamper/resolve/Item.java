package hamper.resolve;

import hamper.address.ChannelSpan;
import hamper.address.UniverseChannel;
import hamper.display.Hold;
import hamper.display.PortRef;
import java.util.Optional;

/**
 * One section, circuit or fixture while it is being laid: what it needs, and where it came to be.
 */
final class Item {
  final PortRef port;
  final int position;
  final int leg;
  final String piece;
  final int section;
  final int pixels;
  final int addresses;
  final int width;
  final Optional<Hold> hold;
  final Optional<String> mirrorOf;

  /** Start slot of a fixture; 0 for everything that flows. */
  final int slot;

  boolean held;

  /** In the controller's block, or null while it is not laid. */
  ChannelSpan span;

  /** On the wire, for a mirror that stands outside its own controller's block. */
  UniverseChannel remoteStart;

  UniverseChannel remoteEnd;

  /** Its number in its packet domain. */
  int party;

  /** Of a mirror: what it mirrors, once found. */
  Item original;

  Item(
      PortRef port,
      int position,
      int leg,
      String piece,
      int section,
      int pixels,
      int addresses,
      int width,
      Optional<Hold> hold,
      Optional<String> mirrorOf,
      int slot) {
    this.port = port;
    this.position = position;
    this.leg = leg;
    this.piece = piece;
    this.section = section;
    this.pixels = pixels;
    this.addresses = addresses;
    this.width = width;
    this.hold = hold;
    this.mirrorOf = mirrorOf;
    this.slot = slot;
  }

  boolean isMirror() {
    return mirrorOf.isPresent();
  }

  int channels() {
    return slot > 0 ? width : addresses * width;
  }

  /** What it shares its channels with on purpose: itself, or what it mirrors. */
  Item root() {
    return original == null ? this : original;
  }
}
