package hamper.display;

import hamper.value.Identified;
import hamper.value.Require;
import java.util.List;
import java.util.Optional;

/**
 * A cabinet on site, built, carried and swapped as one. Controllers and supplies say themselves
 * that they are in it.
 *
 * @param zone the id of the zone where it stands; so stands what is in it and says nothing else
 * @param mains the id of the mains circuit that comes into it; so its supplies hang on it where
 *     they say nothing else
 * @param switches the ports of each network switch in it
 */
public record Enclosure(
    String id, String name, Optional<String> zone, Optional<String> mains, List<Integer> switches)
    implements Identified {
  /** Most switches in one. */
  public static final int MOST_SWITCHES = 20;

  public Enclosure {
    Require.id("id", id);
    Require.name("name", name);
    zone.ifPresent(value -> Require.id("zone", value));
    mains.ifPresent(value -> Require.id("mains", value));
    switches = List.copyOf(switches);
    Require.that(
        switches.size() <= MOST_SWITCHES,
        "switches",
        switches.size() + " switches",
        "at most " + MOST_SWITCHES);
    switches.forEach(ports -> Require.inRange("switches", ports, 2, 512));
  }

  public Enclosure withZone(Optional<String> newZone) {
    return new Enclosure(id, name, newZone, mains, switches);
  }

  public Enclosure withMains(Optional<String> newMains) {
    return new Enclosure(id, name, zone, newMains, switches);
  }
}
