package hamper.who;

import hamper.address.Protocol;
import hamper.catalog.DeviceModel;
import hamper.catalog.HandoverWay;
import java.util.EnumSet;
import java.util.Set;

/** In which ways a model answers who it is. */
public final class Questions {
  private Questions() {}

  /** Empty where it answers nobody. */
  public static Set<Way> of(DeviceModel model) {
    Set<Way> ways = EnumSet.noneOf(Way.class);
    model
        .protocols()
        .forEach(
            one -> {
              if (one.protocol() == Protocol.ARTNET) {
                ways.add(Way.ARTNET);
              } else if (one.protocol() == Protocol.DDP) {
                ways.add(Way.DDP);
              }
            });
    if (model.handover().contains(HandoverWay.NETWORK)) {
      ways.add(Way.GIVING);
    }
    return ways;
  }
}
