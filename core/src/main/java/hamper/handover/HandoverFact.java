package hamper.handover;

import hamper.change.AddressAt;
import hamper.config.Configuration;
import hamper.value.Require;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * Something that happened between a device and whoever hands it its configuration. Facts are kept
 * beside the display, and never undone.
 *
 * @param controller its id in the plan
 * @param by the name that the window said; empty where it said none
 * @param version of the display
 * @param serial of the device, where it said one
 * @param revision of the device, where it said one
 * @param why in words, where something went otherwise than it should
 * @param told what it was given, or is being given; of a device that is different what it has
 * @param addresses of what hangs on it, as they were when it was given
 */
public record HandoverFact(
    String controller,
    Instant at,
    String by,
    Kind kind,
    Means means,
    int version,
    String serial,
    String revision,
    String why,
    Optional<Configuration> told,
    List<AddressAt> addresses) {
  public static final int MOST_WHY = 1_000;

  /** What happened. */
  public enum Kind {
    /** Giving begins: from now on until another fact nobody knows what it has. */
    BEGUN,
    /** It has all of it, and keeps it. */
    GIVEN,
    /** It has all of it, and would forget it with its power. */
    NOT_KEPT,
    /** It said no: it has what it had. */
    REFUSED,
    /** It went away half-way, or answered nonsense. */
    LOST,
    /** It was asked, and has something else than it was given. */
    DIFFERENT,
    /** Another unit stands in its place now, which was never given anything. */
    REPLACED
  }

  /** How a configuration came to a device. */
  public enum Means {
    NETWORK,
    CARD,
    HAND
  }

  public HandoverFact {
    Require.id("controller", controller);
    Require.text("by", by, 80);
    Require.text("serial", serial, 80);
    Require.text("revision", revision, 80);
    Require.text("why", why, MOST_WHY);
    addresses = List.copyOf(addresses);
  }
}
