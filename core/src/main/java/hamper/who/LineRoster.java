package hamper.who;

import hamper.catalog.PortKind;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Piece;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.SerialDimmer;
import hamper.display.SlotPiece;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.BiPredicate;

/**
 * What is planned on a line beside what was found there. A plan knows no UIDs: a fixture is known
 * by its slot and how many it takes.
 */
public final class LineRoster {
  /** A planned piece: where it answers, and how much it takes. */
  private record Planned(String piece, String title, int place, int width) {}

  private final boolean serial;
  private final List<Planned> planned = new ArrayList<>();
  private final List<LineDevice> found;
  private final Map<Planned, LineDevice> pairs = new HashMap<>();

  private LineRoster(Plan plan, PortRef port, List<LineDevice> found) {
    serial = port.kind() == PortKind.SERIAL;
    this.found = found.stream().sorted(Comparator.comparingInt(LineDevice::place)).toList();
    plan.runs()
        .filter(run -> run.port().equals(port))
        .map(HungRun::legs)
        .forEach(legs -> legs.forEach(this::add));
    pair((one, device) -> device.place() == one.place() && device.width() == one.width());
    pair((one, device) -> device.place() == one.place());
    pair((one, device) -> !device.collides() && device.width() == one.width());
  }

  private void add(HungLeg leg) {
    Piece piece = leg.at().piece();
    String title = leg.at().title();
    if (piece instanceof SlotPiece slots) {
      planned.add(new Planned(piece.id(), title, slots.slot(), slots.channels()));
    } else if (piece instanceof SerialDimmer dimmer) {
      planned.add(new Planned(piece.id(), title, dimmer.unit(), dimmer.circuits()));
    }
  }

  private void pair(BiPredicate<Planned, LineDevice> is) {
    for (Planned one : planned) {
      if (!pairs.containsKey(one)) {
        found.stream()
            .filter(device -> !pairs.containsValue(device) && is.test(one, device))
            .findFirst()
            .ifPresent(device -> pairs.put(one, device));
      }
    }
  }

  /** Planned ones in wire order, then those that nobody planned, by their number. */
  public static List<LineEntry> of(Plan plan, PortRef port, List<LineDevice> found) {
    return new LineRoster(plan, port, found).all();
  }

  private List<LineEntry> all() {
    List<LineEntry> all = new ArrayList<>();
    for (Planned one : planned) {
      LineDevice device = pairs.get(one);
      all.add(device == null ? missing(one) : entry(Optional.of(one), device));
    }
    found.stream()
        .filter(device -> !pairs.containsValue(device))
        .forEach(device -> all.add(entry(Optional.empty(), device)));
    return all;
  }

  private LineEntry missing(Planned one) {
    return new LineEntry(
        LineEntry.State.MISSING,
        Optional.of(one.piece()),
        Optional.of(one.place()),
        Optional.empty(),
        List.of("nobody answers as %s".formatted(place(one.place()))));
  }

  private String place(int place) {
    return (serial ? "unit " : "slot ") + place;
  }

  private LineEntry entry(Optional<Planned> one, LineDevice device) {
    TreeSet<LineEntry.State> states = new TreeSet<>();
    List<String> told = new ArrayList<>();
    if (device.collides()) {
      states.add(LineEntry.State.COLLIDES);
      told.add("several answer as %s, and nobody is understood".formatted(place(device.place())));
    }
    if (!serial) {
      overlaps(device, states, told);
    }
    if (one.isEmpty()) {
      states.add(LineEntry.State.UNKNOWN);
      told.add("nobody planned anything as %s".formatted(place(device.place())));
    } else {
      differs(one.get(), device, states, told);
    }
    states.add(LineEntry.State.AS_PLANNED);
    return new LineEntry(
        states.first(),
        one.map(Planned::piece),
        one.map(Planned::place),
        Optional.of(device),
        told);
  }

  private void differs(
      Planned one, LineDevice device, TreeSet<LineEntry.State> states, List<String> told) {
    if (device.place() != one.place()) {
      states.add(LineEntry.State.OTHER_PLACE);
      told.add("it answers as %s, planned is %d".formatted(place(device.place()), one.place()));
    }
    if (!device.collides() && device.width() != one.width()) {
      states.add(LineEntry.State.OTHER_WIDTH);
      told.add(
          "it has %d %s, planned are %d"
              .formatted(device.width(), serial ? "circuits" : "slots", one.width()));
    }
  }

  private void overlaps(LineDevice device, TreeSet<LineEntry.State> states, List<String> told) {
    for (LineDevice other : found) {
      boolean shares =
          other != device && other.place() <= device.last() && device.place() <= other.last();
      if (shares) {
        states.add(LineEntry.State.OVERLAPS);
        told.add(
            "slots %d–%d are those of %s too"
                .formatted(
                    Math.max(device.place(), other.place()),
                    Math.min(device.last(), other.last()),
                    nameOf(other)));
      }
    }
  }

  private String nameOf(LineDevice device) {
    return pairs.entrySet().stream()
        .filter(one -> one.getValue() == device)
        .map(one -> one.getKey().title())
        .findFirst()
        .orElse(device.id());
  }
}
