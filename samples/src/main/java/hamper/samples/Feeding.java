package hamper.samples;

import hamper.catalog.Banks;
import hamper.catalog.DeviceModel;
import hamper.catalog.PortKind;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.PoweredInput;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Feeds as a careful planner sets them: the first after fifty pixels, so that the socket carries
 * little, then one for every hundred, each with its fuse.
 */
final class Feeding {
  private static final int FIRST = 50;
  private static final int EVERY = 100;
  private static final double LEAD_METRES = 1;
  private static final double FUSE_AMPS = 7.5;

  private Feeding() {}

  /**
   * The leg with its feeds.
   *
   * @param before positions of the run before its string
   * @param places of the string
   */
  static Leg fed(Leg leg, String supply, int before, int places) {
    return leg.withFeeds(feeds(supply, before, places));
  }

  static List<Feed> feeds(String supply, int before, int places) {
    return IntStream.rangeClosed(before + 1, before + places)
        .filter(position -> position % EVERY == FIRST)
        .mapToObj(
            position ->
                new Feed(
                    supply,
                    position - before,
                    Optional.of(LEAD_METRES),
                    Optional.empty(),
                    Optional.of(FUSE_AMPS)))
        .toList();
  }

  /** Every power input of a model on one supply, those of its remote boxes included. */
  static List<PoweredInput> powered(DeviceModel model, String supply) {
    List<PoweredInput> inputs = new ArrayList<>();
    for (int input = 1; input <= model.powerInputs().size(); input++) {
      inputs.add(new PoweredInput(input, supply));
    }
    model
        .portsOf(PortKind.PIXEL)
        .filter(group -> group.banks().isPresent())
        .ifPresent(
            group -> {
              Banks banks = group.banks().get();
              for (int bank = 1; bank <= banks.bankOf(group.mostPorts()); bank++) {
                for (int box = 1; box <= banks.mostBoxes(); box++) {
                  inputs.add(new PoweredInput(Optional.of(bank), box, supply));
                }
              }
            });
    return inputs;
  }
}
