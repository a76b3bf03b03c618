package hamper.server.output;

import hamper.address.IpAddress;
import hamper.display.Display;
import hamper.display.Subnet;
import hamper.facts.Facts;
import hamper.network.AddressLine;
import hamper.network.Occupant;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.standin.Place;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The devices of the yard, on the plan's own addresses. */
public final class LiveGround implements Ground {
  private final Optional<String> adapter;

  /**
   * @param adapter the name of the only one that is used; empty: whichever fits
   */
  public LiveGround(Optional<String> adapter) {
    this.adapter = adapter;
  }

  @Override
  public boolean live() {
    return true;
  }

  @Override
  public Prepared prepare(String display, Facts facts, Map<String, FrameLayout> layouts)
      throws IOException {
    LiveRoutes routes =
        new LiveRoutes(facts.plan().display(), layouts, MachineAdapter.all(), adapter);
    // nobody has asked the devices what they were told: 100 % is assumed of each
    return new Prepared(routes, Set.of(), routes.leftOut());
  }

  @Override
  public boolean stands(String display, Facts facts, Routes routes) {
    return true; // devices have the addresses of the plan
  }

  @Override
  public Doors doors(String display, Facts facts) throws IOException {
    Map<String, FrameLayout> layouts = new LinkedHashMap<>(FrameLayouts.of(facts));
    layouts.keySet().removeIf(id -> !Seats.isSentTo(facts, facts.plan().existingController(id)));
    LiveRoutes routes =
        new LiveRoutes(facts.plan().display(), layouts, MachineAdapter.all(), adapter);
    Map<String, Place> at = new LinkedHashMap<>();
    Map<String, String> away = new LinkedHashMap<>(routes.leftOut());
    for (String controller : layouts.keySet()) {
      if (!away.containsKey(controller)) {
        routes
            .doorOf(controller)
            .ifPresentOrElse(
                door -> at.put(controller, door), () -> away.put(controller, "it has no address"));
      }
    }
    return new Doors(at, away);
  }

  /** In the planned subnets that an adapter is in, and where single devices are planned. */
  @Override
  public Asking asking(String display, Facts facts) throws IOException {
    List<Asking.From> from = new ArrayList<>();
    for (MachineAdapter one : usable()) {
      Set<IpAddress> tried = tried(facts.plan().display(), one);
      if (!tried.isEmpty()) {
        from.add(
            new Asking.From(
                Routes.numbers(one.address().text()),
                Optional.of(Routes.numbers(one.broadcast().text())),
                tried.stream().map(at -> Place.own(at.text())).toList()));
      }
    }
    if (from.isEmpty()) {
      throw new IllegalArgumentException(
          "no adapter of this computer is in a subnet of the plan; connect one, or plan its subnet in Network");
    }
    return Asking.live(from);
  }

  /** Planned addresses first; nothing beyond what the adapter reaches. */
  private static Set<IpAddress> tried(Display display, MachineAdapter adapter) {
    Set<IpAddress> tried = new LinkedHashSet<>();
    AddressLine.occupants(display).stream()
        .map(Occupant::address)
        .filter(adapter::reaches)
        .forEach(tried::add);
    for (Subnet subnet : display.subnets()) {
      if (subnet.contains(adapter.address())) {
        long last = subnet.lastDevice().bits();
        for (long at = subnet.firstDevice().bits();
            at <= last && tried.size() < Asking.MOST_TRIED;
            at++) {
          IpAddress address = IpAddress.ofBits(at);
          if (adapter.reaches(address)) {
            tried.add(address);
          }
        }
      }
    }
    return tried;
  }

  private List<MachineAdapter> usable() throws IOException {
    return MachineAdapter.all().stream()
        .filter(one -> one.up() && !one.loopback())
        .filter(one -> adapter.isEmpty() || adapter.get().equals(one.name()))
        .toList();
  }

  /** Only in a subnet that an adapter of this computer is in: never beyond a router. */
  @Override
  public Place doorAt(String address) throws IOException {
    String numbers = Routes.numbers(address).getHostAddress();
    boolean near = usable().stream().anyMatch(one -> one.reaches(new IpAddress(numbers)));
    if (!near) {
      throw new IllegalArgumentException(
          "address is \"%s\"; no adapter of this computer is in its subnet: connect one, such as with the address %s"
              .formatted(address, neighbour(numbers)));
    }
    return Place.own(numbers);
  }

  /** Another address of the same subnet of 24 bits, as an adapter would be given. */
  private static String neighbour(String numbers) {
    String before = numbers.substring(0, numbers.lastIndexOf('.') + 1);
    return before + (numbers.equals(before + "250") ? "251" : "250");
  }

  /** Most devices cannot be asked who sends to them. */
  @Override
  public Optional<String> otherSource(String display, String controller, Set<String> own) {
    return Optional.empty();
  }
}
