package hamper.locate;

import hamper.display.PortRef;
import java.util.List;
import java.util.Optional;

/**
 * One pixel, circuit or fixture, and everything that it answers to.
 *
 * @param written of its port, as on a cable tag: K1-7
 * @param title of the piece, as people call it
 * @param section of the piece, from 1; 1 where it has none
 * @param position along the run, null pixels and gaps counted, from 1; none where there are no
 *     pixels on a wire
 * @param pixel of the string, null pixels counted, from 1; or "column 3, row 4" of a wall in words
 * @param metres along the wire from the string's plug (m), where it is a string
 * @param positions how many pixels answer to the same address, this one included
 * @param channels in the order in which they are sent; none for a null pixel
 * @param asked which of them was asked about, from 0; none where the pixel was
 */
public record Spot(
    PortRef port,
    String written,
    String piece,
    String title,
    int section,
    Optional<Integer> position,
    String pixel,
    Optional<Double> metres,
    int positions,
    List<Channel> channels,
    Optional<Integer> asked) {
  public Spot {
    channels = List.copyOf(channels);
  }

  /**
   * @param colour its letter, or "slot 3" of a fixture in words
   * @param address as universe:channel, or the byte on DDP
   * @param controllerChannel from 1; none for a mirror of another controller
   * @param displayChannel from 1; none where it has none
   */
  public record Channel(
      String colour,
      String address,
      Optional<Integer> controllerChannel,
      Optional<Integer> displayChannel) {}
}
