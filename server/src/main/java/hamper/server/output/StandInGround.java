package hamper.server.output;

import hamper.address.IpAddress;
import hamper.catalog.DeviceModel;
import hamper.display.Display;
import hamper.display.HungRun;
import hamper.display.PortRef;
import hamper.display.SerialDimmer;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.network.AddressLine;
import hamper.network.Occupant;
import hamper.send.FrameLayout;
import hamper.standin.Place;
import hamper.standin.Seat;
import hamper.wire.SerialUnits;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.Iterator;
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

    /**
     * Hangs packs on a serial line, in place of those before.
     *
     * @param name of the line
     * @return the TCP port of this computer that stands for it
     */
    default int serialLine(String name, List<SerialUnits.Unit> units)
        throws IOException, InterruptedException {
      throw new IOException("No serial lines stand here");
    }
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

  /** Devices that nobody planned, by display. */
  private final Map<String, List<Seat>> strangers = new ConcurrentHashMap<>();

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
    Map<String, Place> at = planned(display, facts);
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
  public boolean stands(String display, Facts facts, Routes routes) throws InterruptedException {
    try {
      return routes instanceof StandInRoutes to && to.leadTo(planned(display, facts));
    } catch (IOException e) {
      return true; // whoever cannot be asked now is asked again
    }
  }

  @Override
  public Doors doors(String display, Facts facts) throws IOException, InterruptedException {
    return new Doors(planned(display, facts), Map.of());
  }

  /** Where all that stand in for a display are; what nobody planned stands there too. */
  private Map<String, Place> all(String display, Facts facts)
      throws IOException, InterruptedException {
    List<Seat> seats = new ArrayList<>(Seats.of(facts));
    seats.addAll(strangers.getOrDefault(display, List.of()));
    return yard.seat(display, seats);
  }

  private Map<String, Place> planned(String display, Facts facts)
      throws IOException, InterruptedException {
    Map<String, Place> at = new LinkedHashMap<>(all(display, facts));
    strangers.getOrDefault(display, List.of()).forEach(seat -> at.remove(seat.controller()));
    places.put(display, at);
    return at;
  }

  /**
   * Puts devices that nobody planned beside the others, in place of those of before.
   *
   * @param models what they are
   */
  public void strangers(String display, List<DeviceModel> models) {
    List<Seat> seats = new ArrayList<>();
    for (DeviceModel model : models) {
      seats.add(new Seat("nobody planned " + seats.size(), CatalogueFiles.entry(model)));
    }
    strangers.put(display, List.copyOf(seats));
  }

  @Override
  public Asking asking(String display, Facts facts) throws IOException, InterruptedException {
    Map<String, Place> at = all(display, facts);
    Map<Place, String> seats = new LinkedHashMap<>();
    Map<Place, IpAddress> others = new LinkedHashMap<>();
    Iterator<IpAddress> free = free(facts.plan().display(), at.size()).iterator();
    at.forEach(
        (controller, place) -> {
          if (facts.plan().controller(controller).isPresent()) {
            seats.put(place, controller);
          } else if (free.hasNext()) {
            others.put(place, free.next());
          }
        });
    Asking.From from =
        new Asking.From(Routes.numbers("127.0.0.1"), Optional.empty(), List.copyOf(at.values()));
    return Asking.standIns(from, seats, others);
  }

  /** Addresses of the first subnet that nobody has. */
  private static List<IpAddress> free(Display display, int most) {
    List<IpAddress> taken = AddressLine.occupants(display).stream().map(Occupant::address).toList();
    return display.subnets().stream()
        .findFirst()
        .map(subnet -> subnet.free(taken, most))
        .orElse(List.of());
  }

  /** The packs of a serial line as they are planned, at a TCP port of this computer. */
  public int serialLine(String display, Facts facts, PortRef port)
      throws IOException, InterruptedException {
    List<SerialUnits.Unit> units = new ArrayList<>();
    facts
        .plan()
        .runs()
        .filter(run -> run.port().equals(port))
        .flatMap(run -> run.legs().stream())
        .forEach(
            leg -> {
              if (leg.at().piece() instanceof SerialDimmer dimmer
                  && dimmer.unit() <= SerialUnits.HIGHEST) {
                units.add(
                    new SerialUnits.Unit(
                        dimmer.unit(),
                        dimmer.circuits(),
                        "SI-" + Integer.toHexString(dimmer.id().hashCode()),
                        "Brackwater",
                        "Unit " + dimmer.circuits()));
              }
            });
    return yard.serialLine("%s-%s-%d".formatted(display, port.controller(), port.port()), units);
  }

  /**
   * Hangs the fixtures of a DMX line on the stand-in of its bridge, as they are planned; those that
   * hang there already stay as they are, whatever slot they were set to.
   */
  public void fixtures(String display, Facts facts, PortRef port)
      throws IOException, InterruptedException {
    Place at = doors(display, facts).at().get(port.controller());
    if (at != null) {
      if (!handedOver.was(display, port.controller())) {
        giving.give(at, Giving.all(facts).get(port.controller())); // it knows its lines from there
      }
      HungRun run =
          facts.plan().runs().filter(one -> one.port().equals(port)).findFirst().orElse(null);
      StandInFixtures.hang(door, at, port, run == null ? List.of() : run.legs());
    }
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
