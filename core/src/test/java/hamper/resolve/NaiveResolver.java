package hamper.resolve;

import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.StartsPer;
import hamper.address.Transport;
import hamper.catalog.PortKind;
import hamper.display.Circuit;
import hamper.display.Controller;
import hamper.display.Fixture;
import hamper.display.Hold;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Run;
import hamper.display.Section;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * The addressing rules once more, channel by channel and as literally as they are written: slow,
 * and made of nothing that the real resolver is made of. It tells its answer as lines of text.
 */
final class NaiveResolver {
  /** One section, circuit or fixture. */
  private static final class Part {
    int controller;
    Run run;
    int position;
    String piece;
    int section;
    int addresses;
    int width;
    int slot;
    Optional<Hold> hold = Optional.empty();
    Optional<String> mirrorOf = Optional.empty();
    Part original;

    /** First and last channel in the controller's block; 0 while it is not laid. */
    int first;

    int last;

    /** On the wire, as universe × 1000 + channel; −1 where it is nowhere. */
    int wireFirst = -1;

    int wireLast = -1;
  }

  private final Plan plan;
  private final List<List<Part>> parts = new ArrayList<>();
  private final int[] used;
  private final int[] flowing;
  private final int[] first;
  private final List<List<Integer>> dmx = new ArrayList<>();

  private NaiveResolver(Plan plan) {
    this.plan = plan;
    int count = plan.display().controllers().size();
    used = new int[count];
    flowing = new int[count];
    first = new int[count];
  }

  static List<String> resolve(Plan plan) {
    return new NaiveResolver(plan).resolve();
  }

  private Controller controller(int c) {
    return plan.display().controllers().get(c);
  }

  private boolean universes(int c) {
    return controller(c).protocol() != Protocol.DDP;
  }

  private int size(int c) {
    return universes(c) ? controller(c).settings().universeSize() : Integer.MAX_VALUE;
  }

  private Packing packing(int c) {
    return universes(c) ? plan.modelOf(controller(c)).dialect().packing() : Packing.CONTIGUOUS;
  }

  private boolean perPort(int c) {
    return plan.modelOf(controller(c)).dialect().startsPer() == StartsPer.PORT;
  }

  private List<String> resolve() {
    int count = plan.display().controllers().size();
    for (int c = 0; c < count; c++) {
      parts.add(flatten(c));
      flow(c);
    }
    linkMirrors();
    for (int c = 0; c < count; c++) {
      mirrorWithin(c);
      size(c, parts.get(c));
    }
    assign();
    wire();
    mirrorAcross();
    return tell();
  }

  private List<Part> flatten(int c) {
    List<Part> all = new ArrayList<>();
    for (PortKind kind : List.of(PortKind.PIXEL, PortKind.RELAY, PortKind.DMX)) {
      for (Run run : controller(c).runs()) {
        int position = 0;
        for (Leg leg : run.kind() == kind ? run.legs() : List.<Leg>of()) {
          Piece piece = plan.existingPiece(leg.piece()).piece();
          int sections = piece instanceof PixelString string ? string.sections().size() : 1;
          for (int s = 0; s < sections; s++) {
            Part part = new Part();
            part.controller = c;
            part.run = run;
            part.position = ++position;
            part.piece = leg.piece();
            part.section = s;
            part.mirrorOf = leg.mirrorOf();
            describe(part, piece, s);
            all.add(part);
          }
        }
      }
    }
    return all;
  }

  private void describe(Part part, Piece piece, int s) {
    if (piece instanceof PixelString string) {
      Section section = string.sections().get(s);
      for (int pixel = 0; pixel < section.pixels(); pixel += section.group()) {
        part.addresses++;
      }
      part.width = plan.typeOf(string).channels();
      part.hold = section.hold();
    } else if (piece instanceof Circuit circuit) {
      part.addresses = 1;
      part.width = 1;
      part.hold = circuit.hold();
    } else if (piece instanceof Fixture fixture) {
      part.slot = fixture.slot();
      part.width = fixture.channels();
    }
  }

  /** Lays pixel after pixel; answers the first channel after it. */
  private int lay(int c, Part part, int from) {
    int at = from;
    part.first = 0;
    for (int pixel = 0; pixel < part.addresses; pixel++) {
      while (packing(c) == Packing.WHOLE_PIXEL && (at - 1) % size(c) + part.width > size(c)) {
        at++;
      }
      part.first = part.first == 0 ? at : part.first;
      at += part.width;
    }
    part.last = at - 1;
    return at;
  }

  private Optional<Integer> heldAt(int c, Part part) {
    if (part.hold.isEmpty() || part.mirrorOf.isPresent()) {
      return Optional.empty();
    }
    Hold hold = part.hold.get();
    if (hold.universe().isEmpty()) {
      return Optional.of(hold.channel());
    }
    Optional<Integer> fixed = controller(c).settings().firstUniverse();
    if (fixed.isEmpty() || !universes(c) || hold.channel() > size(c)) {
      return Optional.empty();
    }
    int at = (hold.universe().get() - fixed.get()) * size(c) + hold.channel();
    return at < 1 ? Optional.empty() : Optional.of(at);
  }

  private void flow(int c) {
    Set<Integer> reserved = new TreeSet<>();
    List<Run> runs = new ArrayList<>();
    parts.get(c).stream().filter(p -> p.slot == 0).map(p -> p.run).distinct().forEach(runs::add);
    Set<Part> held = new HashSet<>();
    for (Run run : runs) {
      List<Part> own = own(c, run);
      Part head = parts.get(c).stream().filter(p -> p.run == run).findFirst().orElseThrow();
      if (perPort(c)) {
        if (head.mirrorOf.isEmpty() && heldAt(c, head).isPresent()) {
          int at = heldAt(c, head).get();
          for (Part part : own) {
            at = lay(c, part, at);
            held.add(part);
          }
          reserve(reserved, own.get(0).first, own.get(own.size() - 1).last);
        }
      } else {
        for (Part part : own) {
          if (heldAt(c, part).isPresent()) {
            lay(c, part, heldAt(c, part).get());
            held.add(part);
            reserve(reserved, part.first, part.last);
          }
        }
      }
    }
    int cursor = 1;
    for (Run run : runs) {
      List<Part> flows = own(c, run).stream().filter(p -> !held.contains(p)).toList();
      boolean opens =
          run.kind() == PortKind.PIXEL
              && universes(c)
              && plan.modelOf(controller(c)).dialect().portStart() == PortStart.NEXT_UNIVERSE;
      if (perPort(c) && !flows.isEmpty()) {
        cursor = clear(c, flows, cursor, opens, reserved);
      } else {
        for (int i = 0; i < flows.size(); i++) {
          cursor = clear(c, List.of(flows.get(i)), cursor, opens && i == 0, reserved);
        }
      }
    }
  }

  private List<Part> own(int c, Run run) {
    return parts.get(c).stream().filter(p -> p.run == run && p.mirrorOf.isEmpty()).toList();
  }

  private static void reserve(Set<Integer> reserved, int from, int to) {
    for (int channel = from; channel <= to; channel++) {
      reserved.add(channel);
    }
  }

  private int clear(int c, List<Part> group, int cursor, boolean opens, Set<Integer> reserved) {
    int from = cursor;
    while (true) {
      while (opens && (from - 1) % size(c) != 0) {
        from++;
      }
      int at = from;
      for (Part part : group) {
        at = lay(c, part, at);
      }
      int touched = 0;
      for (int channel = group.get(0).first; channel < at && touched == 0; channel++) {
        touched = reserved.contains(channel) ? channel : 0;
      }
      if (touched == 0) {
        return at;
      }
      while (reserved.contains(touched)) {
        touched++;
      }
      from = touched;
    }
  }

  private void linkMirrors() {
    for (List<Part> all : parts) {
      for (Part mirror : all) {
        for (List<Part> others : parts) {
          for (Part other : others) {
            if (mirror.mirrorOf.filter(other.piece::equals).isPresent()
                && other.section == mirror.section) {
              mirror.original = other;
            }
          }
        }
      }
    }
  }

  /** A mirror's section beyond its original's last follows the mirror's section before it. */
  private void mirrorWithin(int c) {
    for (Part part : parts.get(c)) {
      if (part.mirrorOf.isEmpty() || part.slot > 0) {
        continue;
      }
      Part before =
          parts.get(c).stream()
              .filter(p -> p.run == part.run && p.position == part.position - 1)
              .filter(p -> p.mirrorOf.isPresent() && p.first > 0)
              .findFirst()
              .orElse(null);
      if (part.original != null && part.original.controller == c) {
        lay(c, part, part.original.first);
      } else if (part.original == null && before != null && hangsOn(c, part.mirrorOf.get())) {
        lay(c, part, before.last + 1);
      }
    }
  }

  private boolean hangsOn(int c, String piece) {
    return parts.get(c).stream().anyMatch(p -> p.piece.equals(piece));
  }

  private void size(int c, List<Part> all) {
    for (Part part : all) {
      used[c] = part.slot == 0 ? Math.max(used[c], part.last) : used[c];
    }
    if (universes(c)) {
      while (flowing[c] * size(c) < used[c]
          || flowing[c] < controller(c).settings().reserveUniverses()) {
        flowing[c]++;
      }
    } else {
      flowing[c] = Math.max(used[c], controller(c).settings().reserveChannels());
    }
    dmx.add(new ArrayList<>());
    all.stream().filter(p -> p.slot > 0).map(p -> p.run.port()).distinct().forEach(dmx.get(c)::add);
  }

  private Optional<Integer> dmxHeld(int c, int port) {
    return universes(c)
        ? controller(c).run(PortKind.DMX, port).flatMap(Run::universe)
        : Optional.empty();
  }

  /** The universes of the DMX ports, were the first universe this one. */
  private List<Integer> dmxUniverses(int c, int firstUniverse, boolean assignedOnly) {
    List<Integer> told = new ArrayList<>();
    int next = firstUniverse + flowing[c];
    for (int port : dmx.get(c)) {
      Optional<Integer> held = dmxHeld(c, port);
      if (held.isPresent()) {
        if (!assignedOnly) {
          told.add(held.get());
        }
        continue;
      }
      while (true) {
        int candidate = next;
        boolean taken =
            dmx.get(c).stream()
                .anyMatch(p -> dmxHeld(c, p).filter(u -> u == candidate).isPresent());
        if (!taken) {
          break;
        }
        next++;
      }
      told.add(next++);
    }
    return told;
  }

  private Set<Integer> needs(int c, int firstUniverse) {
    Set<Integer> all = new TreeSet<>(dmxUniverses(c, firstUniverse, true));
    for (int u = 0; u < flowing[c]; u++) {
      all.add(firstUniverse + u);
    }
    return all;
  }

  private void assign() {
    int base = plan.display().settings().firstUniverse();
    int stride = plan.display().settings().universeStride();
    Set<Integer> taken = new TreeSet<>();
    for (int c = 0; c < used.length; c++) {
      int index = c;
      dmx.get(c).forEach(port -> dmxHeld(index, port).ifPresent(taken::add));
      Optional<Integer> fixed = controller(c).settings().firstUniverse();
      if (universes(c) && fixed.isPresent()) {
        first[c] = fixed.get();
        taken.addAll(needs(c, first[c]));
      }
    }
    int end = base;
    for (int c = 0; c < used.length; c++) {
      boolean fixed = controller(c).settings().firstUniverse().isPresent();
      if (!universes(c) || fixed || needs(c, base).isEmpty()) {
        first[c] = universes(c) && fixed ? first[c] : -1;
        continue;
      }
      int candidate = base;
      while (candidate < end || needs(c, candidate).stream().anyMatch(taken::contains)) {
        candidate += stride;
      }
      first[c] = candidate;
      end = needs(c, candidate).stream().max(Integer::compare).orElseThrow() + 1;
    }
  }

  private void wire() {
    for (int c = 0; c < used.length; c++) {
      List<Integer> universes = universes(c) ? dmxUniverses(c, first[c], false) : List.of();
      int before = universes(c) ? flowing[c] * size(c) : flowing[c];
      for (Part part : parts.get(c)) {
        if (part.slot > 0) {
          int line = dmx.get(c).indexOf(part.run.port());
          part.first = before + line * 512 + part.slot;
          part.last = part.first + part.width - 1;
          if (universes(c)) {
            part.wireFirst = universes.get(line) * 1000 + part.slot;
            part.wireLast = part.wireFirst + part.width - 1;
          }
        } else if (universes(c) && part.first > 0) {
          part.wireFirst = onWire(c, part.first);
          part.wireLast = onWire(c, part.last);
        }
      }
    }
  }

  private int onWire(int c, int channel) {
    return (first[c] + (channel - 1) / size(c)) * 1000 + (channel - 1) % size(c) + 1;
  }

  private String domain(int c) {
    Controller controller = controller(c);
    return controller.protocol()
        + (controller.transport() == Transport.UNICAST
            ? controller.address().map(Object::toString).orElse("nobody " + c)
            : controller.transport().name());
  }

  private void mirrorAcross() {
    for (int c = 0; c < used.length; c++) {
      for (Part part : parts.get(c)) {
        if (part.original == null || part.original.controller == c || part.slot > 0) {
          continue;
        }
        int home = part.original.controller;
        boolean reached = universes(c) && size(c) == size(home) && domain(c).equals(domain(home));
        if (reached && part.original.first > 0) {
          lay(c, part, part.original.first);
          part.wireFirst = onWire(home, part.first);
          part.wireLast = onWire(home, part.last);
        } else {
          part.original = null;
        }
        part.first = 0;
        part.last = 0;
      }
    }
  }

  private List<String> tell() {
    List<String> told = new ArrayList<>();
    for (int c = 0; c < used.length; c++) {
      int channels = (universes(c) ? flowing[c] * size(c) : flowing[c]) + dmx.get(c).size() * 512;
      told.add(
          "block %d %d %s"
              .formatted(
                  channels,
                  used[c],
                  channels > 0 && first[c] >= 0 && universes(c) ? first[c] : "-"));
      for (Part part : parts.get(c)) {
        told.add(
            "%s/%d %s %s %s %s"
                .formatted(
                    part.piece,
                    part.section,
                    part.first == 0 ? "-" : part.first,
                    part.first == 0 ? "-" : part.last,
                    part.wireFirst,
                    part.wireLast));
      }
    }
    told.addAll(overlaps());
    return told;
  }

  private List<String> overlaps() {
    Map<String, List<Part>> at = new TreeMap<>();
    for (int c = 0; c < used.length; c++) {
      for (Part part : parts.get(c)) {
        occupy(at, c, part);
      }
    }
    List<Part> order = parts.stream().flatMap(List::stream).toList();
    Map<String, Integer> shared = new TreeMap<>();
    for (List<Part> there : at.values()) {
      for (int i = 0; i < there.size(); i++) {
        for (int j = i + 1; j < there.size(); j++) {
          if (root(there.get(i)) != root(there.get(j))) {
            int a = order.indexOf(there.get(i));
            int b = order.indexOf(there.get(j));
            shared.merge(
                "overlap %05d %05d".formatted(Math.min(a, b), Math.max(a, b)), 1, Integer::sum);
          }
        }
      }
    }
    return shared.entrySet().stream().map(e -> e.getKey() + " " + e.getValue()).toList();
  }

  private static Part root(Part part) {
    return part.original == null ? part : part.original;
  }

  private void occupy(Map<String, List<Part>> at, int c, Part part) {
    if (!universes(c)) {
      for (int channel = part.first; channel <= part.last && channel > 0; channel++) {
        at.computeIfAbsent(domain(c) + " " + channel, key -> new ArrayList<>()).add(part);
      }
    } else if (part.wireFirst >= 0) {
      int most = part.slot > 0 ? 512 : size(c);
      for (int u = part.wireFirst / 1000; u <= part.wireLast / 1000; u++) {
        int from = u == part.wireFirst / 1000 ? part.wireFirst % 1000 : 1;
        int to = u == part.wireLast / 1000 ? Math.min(most, part.wireLast % 1000) : most;
        for (int channel = from; channel <= to; channel++) {
          at.computeIfAbsent(domain(c) + " " + u + ":" + channel, key -> new ArrayList<>())
              .add(part);
        }
      }
    }
  }
}
