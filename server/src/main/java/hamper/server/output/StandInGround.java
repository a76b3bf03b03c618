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

  /** Whether a controller was handed its configuration: what it has then is left as it is. */
  public interface HandedOver {
    boolean was(String display, String controller);
  }

  private final Yard yard;
  private final HandedOver handedOver;
  private final Door door = new Door();
  private final Giving giving = new Giving(door, UnaryOperator.identity());
  private final Map<String, Map<String, Place>> places = new ConcurrentHashMap<>();

  public StandInGround(Yard yard, HandedOver handedOver) {
    this.yard = yard;
    this.handedOver = handedOver;
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
      Giving.Gift gift = gifts.get(one.getKey());
      if (handedOver.was(display, one.getKey())) {
        // as in the yard: what it was not handed it does not know
        if (giving.ask(one.getValue(), gift, Giving.Known.NOTHING).done()) {
          readBack.add(one.getKey());
        }
        continue;
      }
      String why = giving.give(one.getValue(), gift);
      if (why.isEmpty()) {
        readBack.add(one.getKey());
      } else {
        refused.put(one.getKey(), why);
      }
    }
    return new Prepared(new StandInRoutes(at, layouts), readBack, refused);
  }

  @Override
  public Doors doors(String display, Facts facts) throws IOException, InterruptedException {
    Map<String, Place> at = yard.seat(display, Seats.of(facts));
    places.put(display, at);
    return new Doors(at, Map.of());
  }

  @Override
  public Place doorAt(String address) {
    if (!Routes.numbers(address).isLoopbackAddress()) {
      throw new IllegalArgumentException(
          "address is \"%s\"; stand-ins are on 127.0.0.0/8 only".formatted(address));
    }
    return Place.own(address);
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
