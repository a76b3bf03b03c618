package hamper.resolve;

import hamper.address.ChannelSpan;
import hamper.address.UniverseChannel;
import hamper.catalog.PortKind;
import hamper.display.PortRef;
import java.util.Optional;

/**
 * Where one section, circuit or fixture stands.
 *
 * @param controller place of the controller in the list, from 0
 * @param position along the run, from 1, counted in sections over all legs
 * @param leg along the run, from 0
 * @param section in its piece, from 0; 0 for circuits and fixtures
 * @param pixels 0 for a fixture
 * @param addresses 0 for a fixture
 * @param channels that it answers to, skipped ones not counted
 * @param controllerChannels in the controller's block; none for a mirror of another controller, nor
 *     where it could not be laid
 * @param displayStart first display channel, from 1; 0 where it has none
 * @param start first slot on the wire; none on DDP, nor where it could not be laid
 * @param end last slot on the wire, included
 */
public record Placement(
    int controller,
    PortRef port,
    int position,
    int leg,
    String piece,
    int section,
    int pixels,
    int addresses,
    int channels,
    boolean held,
    boolean mirror,
    Optional<ChannelSpan> controllerChannels,
    int displayStart,
    Optional<UniverseChannel> start,
    Optional<UniverseChannel> end) {

  public PortKind kind() {
    return port.kind();
  }

  /** Last display channel, included; 0 where it has none. */
  public int displayEnd() {
    return displayStart == 0
        ? 0
        : displayStart + controllerChannels.map(ChannelSpan::length).orElse(1) - 1;
  }
}
