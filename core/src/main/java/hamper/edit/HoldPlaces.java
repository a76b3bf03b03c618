package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Hold;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.value.Require;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Holds starts at places that are named: of sections in their controller's channels, of controllers
 * their first universe, of DMX lines their universe. What is not there any more is left out.
 */
public record HoldPlaces(
    List<SectionPlace> sections, List<ControllerPlace> controllers, List<LinePlace> lines)
    implements Edit {
  /** Most of each in one edit. */
  public static final int MOST = 50_000;

  /**
   * @param section in its piece, from 0
   * @param channel of the controller's block, from 1
   */
  public record SectionPlace(String piece, int section, int channel) {}

  /** Where the universes of a controller begin. */
  public record ControllerPlace(String controller, int firstUniverse) {}

  /** The universe of a DMX line. */
  public record LinePlace(PortRef port, int universe) {}

  public HoldPlaces {
    Require.inRange("sections", sections.size(), 0, MOST);
    Require.inRange("controllers", controllers.size(), 0, MOST);
    Require.inRange("lines", lines.size(), 0, MOST);
    sections = List.copyOf(sections);
    controllers = List.copyOf(controllers);
    lines = List.copyOf(lines);
  }

  @Override
  public Display change(Plan plan) {
    List<HoldStarts.At> held =
        sections.stream()
            .filter(at -> plan.piece(at.piece()).isPresent())
            .map(at -> new HoldStarts.At(at.piece(), at.section(), Hold.atChannel(at.channel())))
            .toList();
    Map<String, Integer> first = new HashMap<>();
    controllers.forEach(at -> first.put(at.controller(), at.firstUniverse()));
    Map<String, Set<LinePlace>> byController = new HashMap<>();
    lines.forEach(
        at -> byController.computeIfAbsent(at.port().controller(), id -> new HashSet<>()).add(at));
    return Kind.CONTROLLERS.each(
        plan,
        HoldStarts.of(plan, held),
        one -> place(one, first, byController.getOrDefault(one.id(), Set.of())));
  }

  private static Controller place(
      Controller controller, Map<String, Integer> first, Set<LinePlace> lines) {
    Controller placed = controller;
    if (first.containsKey(controller.id())) {
      placed = placed.withFirstUniverse(Optional.of(first.get(controller.id())));
    }
    for (LinePlace line : lines) {
      placed = Runs.withUniverse(placed, line.port(), line.universe());
    }
    return placed;
  }

  @Override
  public String label(Plan plan) {
    int all = sections.size() + controllers.size() + lines.size();
    return "Hold %d %s where %s"
        .formatted(all, all == 1 ? "start" : "starts", all == 1 ? "it is" : "they are");
  }
}
