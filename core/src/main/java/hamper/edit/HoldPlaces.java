package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Hold;
import hamper.display.Piece;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
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
    Display display = plan.display();
    Map<String, Piece> held = new HashMap<>();
    for (SectionPlace at : sections) {
      plan.piece(at.piece())
          .ifPresent(
              piece ->
                  held.merge(
                      at.piece(),
                      HoldStarts.hold(
                          held.getOrDefault(at.piece(), piece.piece()),
                          at.section(),
                          Optional.of(Hold.atChannel(at.channel()))),
                      (before, now) -> now));
    }
    Map<String, Integer> first = new HashMap<>();
    controllers.forEach(at -> first.put(at.controller(), at.firstUniverse()));
    Map<String, Set<LinePlace>> byController = new HashMap<>();
    lines.forEach(
        at -> byController.computeIfAbsent(at.port().controller(), id -> new HashSet<>()).add(at));
    return display
        .withProps(
            display.props().stream()
                .map(
                    prop ->
                        prop.pieces().stream().anyMatch(at -> held.containsKey(at.id()))
                            ? HoldStarts.with(prop, held)
                            : prop)
                .toList())
        .withControllers(
            display.controllers().stream()
                .map(one -> place(one, first, byController.getOrDefault(one.id(), Set.of())))
                .toList());
  }

  private static Controller place(
      Controller controller, Map<String, Integer> first, Set<LinePlace> lines) {
    Controller placed = controller;
    if (first.containsKey(controller.id())) {
      placed =
          placed.withSettings(
              placed
                  .settings()
                  .withBlock(
                      Optional.of(first.get(controller.id())),
                      placed.settings().reserveUniverses(),
                      placed.settings().reserveChannels()));
    }
    for (LinePlace line : lines) {
      Run run = Runs.runAt(placed, line.port());
      placed =
          placed.withRun(
              new Run(
                  run.kind(),
                  run.port(),
                  run.legs(),
                  Optional.of(line.universe()),
                  run.brightness()));
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
