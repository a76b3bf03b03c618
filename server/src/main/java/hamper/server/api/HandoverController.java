package hamper.server.api;

import hamper.catalog.HandoverWay;
import hamper.change.AddressAt;
import hamper.change.MovedAddress;
import hamper.check.Checks;
import hamper.check.Finding;
import hamper.config.Configuration;
import hamper.config.Configurations;
import hamper.config.Output;
import hamper.config.SendLine;
import hamper.config.SendList;
import hamper.display.LegAt;
import hamper.display.Piece;
import hamper.display.Plan;
import hamper.display.SerialDimmer;
import hamper.display.StripDecoder;
import hamper.facts.Facts;
import hamper.files.ConfigurationFiles;
import hamper.handover.ControllerHandover;
import hamper.handover.Handed;
import hamper.handover.HandoverFact;
import hamper.handover.Season;
import hamper.server.handover.GivingRun;
import hamper.server.handover.GivingRuns;
import hamper.server.live.Displays;
import hamper.server.live.NoSuchDisplayException;
import hamper.server.store.HandoverStore;
import hamper.sheet.SettingSheet;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What there is to hand over, and how everything that was handed over stands to the plan. */
@RestController
@RequestMapping("/api/displays/{id}/handover")
@Tag(name = "handover")
class HandoverController {
  private final Displays displays;
  private final Standings standings;
  private final HandoverStore store;
  private final GivingRuns runs;
  private final HandedLists lists;

  HandoverController(
      Displays displays,
      Standings standings,
      HandoverStore store,
      GivingRuns runs,
      HandedLists lists) {
    this.displays = displays;
    this.standings = standings;
    this.store = store;
    this.runs = runs;
    this.lists = lists;
  }

  /**
   * How all devices stand, and what follows from it.
   *
   * @param findings all of the display
   * @param show the list for whoever makes the show, and how it stands
   * @param giving the one on its way, or the last
   */
  record HandoverNow(
      int version,
      List<ControllerHandover> controllers,
      List<Finding> findings,
      List<Checks.Taken> accepted,
      HandedLists.HandedList show,
      Optional<GivingRun> giving) {}

  /**
   * One controller in the list.
   *
   * @param untold how much of the plan it cannot be told
   * @param ways how it is handed its configuration, best first
   */
  record HandoverEntry(
      ControllerHandover state,
      String name,
      String modelTitle,
      int portsUsed,
      int ports,
      int untold,
      List<HandoverWay> ways) {}

  /**
   * A decoder or dimmer pack, which is set at itself.
   *
   * @param written the port that it hangs on; left out where it hangs nowhere
   * @param says what it has to be set to, in words
   */
  record Unit(String piece, String title, Optional<String> written, String says) {}

  /**
   * Everything there is to hand over.
   *
   * @param moved sections that stand elsewhere than when their controllers were given
   */
  record HandoverView(
      int version,
      List<HandoverEntry> entries,
      List<Unit> units,
      List<SendLine> sendList,
      List<HandedLists.HandedList> lists,
      List<MovedAddress> moved) {}

  /**
   * Something that happened to a device.
   *
   * @param fingerprint of what it was given, where it was
   */
  record FactView(
      Instant at,
      String by,
      HandoverFact.Kind kind,
      HandoverFact.Means means,
      int version,
      String serial,
      String why,
      String fingerprint) {}

  /**
   * One controller's sheet, and what was given before.
   *
   * @param typed values that somebody has typed into the device so far, by the key of their cell
   * @param before where what hangs on it stood when it was given; empty where it never was
   * @param after where it stands now
   * @param history what happened to it, the latest first
   */
  record HandoverSheet(
      int version,
      ControllerHandover state,
      String fingerprint,
      Configuration configuration,
      SettingSheet sheet,
      Map<String, String> typed,
      List<AddressAt> before,
      List<AddressAt> after,
      List<FactView> history) {}

  @GetMapping
  @Operation(summary = "All that is to be handed over, with how it stands")
  HandoverView handover(@PathVariable String id) {
    var look = displays.get(id).look();
    Facts facts = look.facts();
    Standing standing = standings.of(id, facts);
    List<Configuration> configurations = standing.configurations();
    List<ControllerHandover> states = ControllerHandover.of(facts, standing.season());
    return new HandoverView(
        look.version(),
        java.util.stream.IntStream.range(0, states.size())
            .mapToObj(i -> entry(facts.plan(), configurations.get(i), states.get(i)))
            .toList(),
        units(facts.plan()),
        SendList.of(facts.plan(), facts.resolution()),
        lists.of(id, look.version(), facts),
        ControllerHandover.moved(facts, standing.season()));
  }

  private static HandoverEntry entry(
      Plan plan, Configuration configuration, ControllerHandover state) {
    return new HandoverEntry(
        state,
        configuration.name(),
        configuration.modelTitle(),
        (int) configuration.outputs().stream().filter(Output::used).count(),
        configuration.outputs().size(),
        configuration.untold().size(),
        plan.modelOf(plan.existingController(configuration.controller())).handover());
  }

  private static List<Unit> units(Plan plan) {
    return plan.display().props().stream()
        .flatMap(prop -> prop.pieces().stream())
        .filter(piece -> piece instanceof StripDecoder || piece instanceof SerialDimmer)
        .map(piece -> unit(plan, piece))
        .toList();
  }

  private static Unit unit(Plan plan, Piece piece) {
    return new Unit(
        piece.id(),
        plan.existingPiece(piece.id()).title(),
        plan.leg(piece.id()).map(LegAt::port).map(plan::written),
        piece instanceof StripDecoder decoder
            ? "slot %d, %d pixels of %d LEDs"
                .formatted(decoder.slot(), decoder.pixels(), decoder.ledsPerPixel())
            : "unit %d, %d circuits"
                .formatted(((SerialDimmer) piece).unit(), ((SerialDimmer) piece).circuits()));
  }

  @GetMapping("/now")
  @Operation(summary = "How each device stands to the plan, and the giving on its way")
  HandoverNow now(@PathVariable String id) {
    var look = displays.get(id).look();
    Standing standing = standings.of(id, look.facts());
    return new HandoverNow(
        look.version(),
        ControllerHandover.of(look.facts(), standing.season()),
        standing.shown().findings(),
        standing.shown().accepted(),
        lists.show(id, look.facts()),
        runs.of(id));
  }

  @GetMapping("/controllers/{controller}")
  @Operation(summary = "A controller's setting sheet, and what was given to it before")
  HandoverSheet sheet(@PathVariable String id, @PathVariable String controller) {
    var look = displays.get(id).look();
    Facts facts = look.facts();
    Season season = standings.of(id, facts).season();
    int index = indexOf(facts, controller);
    Configuration configuration = Configurations.of(facts.plan(), facts.resolution(), index);
    return new HandoverSheet(
        look.version(),
        ControllerHandover.of(facts, season, index),
        ConfigurationFiles.fingerprint(configuration),
        configuration,
        SettingSheet.of(facts.plan(), configuration),
        store.typed(id, controller),
        season.of(controller).map(Handed::addresses).orElse(List.of()),
        AddressAt.of(facts.plan(), facts.resolution(), index),
        store.history(id, controller).stream().map(HandoverController::view).toList());
  }

  /** Of a controller that can be handed something. */
  static int indexOf(Facts facts, String controller) {
    if (facts.plan().controller(controller).isEmpty()
        || facts.plan().modelOf(facts.plan().existingController(controller)).hostOnly()) {
      throw new NoSuchDisplayException("controller", controller);
    }
    return facts.plan().indexOf(controller);
  }

  private static FactView view(HandoverStore.FactHead head) {
    HandoverFact fact = head.fact();
    return new FactView(
        fact.at(),
        fact.by(),
        fact.kind(),
        fact.means(),
        fact.version(),
        fact.serial(),
        fact.why(),
        head.fingerprint());
  }
}
