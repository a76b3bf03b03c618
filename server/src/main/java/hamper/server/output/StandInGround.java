package hamper.server.output;

import hamper.facts.Facts;
import hamper.send.FrameLayout;
import hamper.standin.Place;
import hamper.standin.Seat;
import java.io.IOException;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import tools.jackson.databind.JsonNode;

/** Stand-ins, each told what is planned before anything is sent to it. */
public final class StandInGround implements Ground {
  /** A source is another's that was heard so lately (ms). */
  private static final long LATELY = 2_500;

  /** Where the stand-ins of a display are. */
  public interface Yard {
    /**
     * Seats a display's stand-ins; those that sit already stay as they are.
     *
     * @return where they are, by the id of the controller
     */
    Map<String, Place> seat(String display, List<Seat> seats)
        throws IOException, InterruptedException;
  }

  private final Yard yard;
  private final Door door = new Door();
  private final Giving giving = new Giving(door, UnaryOperator.identity());
  private final Map<String, Map<String, Place>> places = new ConcurrentHashMap<>();

  public StandInGround(Yard yard) {
    this.yard = yard;
  }

  @Override
  public boolean live() {
    return false;
  }

  @Override
  public Prepared prepare(String display, Facts facts, Map<String, FrameLayout> layouts)
      throws IOException, InterruptedException {
    Map<String, Place> at = yard.seat(display, Seats.of(facts));
    places.put(display, at);
    Set<String> readBack = new HashSet<>();
    Map<String, String> refused = new LinkedHashMap<>();
    Map<String, Giving.Gift> gifts = Giving.all(facts);
    for (var one : at.entrySet()) {
      String why = giving.give(one.getValue(), gifts.get(one.getKey()));
      if (why.isEmpty()) {
        readBack.add(one.getKey());
      } else {
        refused.put(one.getKey(), why);
      }
    }
    return new Prepared(new StandInRoutes(at, layouts), readBack, refused);
  }

  @Override
  public Optional<String> otherSource(String display, String controller, Set<String> own)
      throws InterruptedException {
    Place at = places.getOrDefault(display, Map.of()).get(controller);
    if (at == null) {
      return Optional.empty();
    }
    try {
      for (JsonNode stream : door.get(at, "counters").body().path("streams")) {
        String sender = stream.path("sender").asString("");
        if (!own.contains(sender) && stream.path("lastMillisAgo").asLong(LATELY) < LATELY) {
          return Optional.of(sender);
        }
      }
    } catch (IOException e) {
      // it is off: nobody moves what hangs on it
    }
    return Optional.empty();
  }
}
