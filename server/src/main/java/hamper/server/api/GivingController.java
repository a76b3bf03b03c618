package hamper.server.api;

import hamper.change.AddressAt;
import hamper.config.Configuration;
import hamper.config.Configurations;
import hamper.display.Controller;
import hamper.display.ShowHours;
import hamper.facts.Facts;
import hamper.handover.ControllerHandover;
import hamper.handover.HandoverFact;
import hamper.handover.HandoverFact.Kind;
import hamper.handover.HandoverFact.Means;
import hamper.handover.HandoverState;
import hamper.server.handover.GivingRequest;
import hamper.server.handover.GivingRun;
import hamper.server.handover.GivingRuns;
import hamper.server.handover.Seasons;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.live.NoSuchDisplayException;
import hamper.server.store.HandoverStore;
import hamper.sheet.SettingSheet;
import hamper.sheet.SheetCell;
import hamper.value.Require;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Handing devices what they are told: over the network, by card, by hand. */
@RestController
@RequestMapping("/api/displays/{id}/handover")
@Tag(name = "handover")
class GivingController {
  /** Of the sheet, what nobody types. */
  private static final Set<String> NOT_TYPED = Set.of("model");

  private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm");

  private final Displays displays;
  private final GivingRuns runs;
  private final Seasons seasons;
  private final HandoverStore store;
  private final HandedLists lists;
  private final Followers followers;

  GivingController(
      Displays displays,
      GivingRuns runs,
      Seasons seasons,
      HandoverStore store,
      HandedLists lists,
      Followers followers) {
    this.displays = displays;
    this.runs = runs;
    this.seasons = seasons;
    this.store = store;
    this.lists = lists;
    this.followers = followers;
  }

  /** Which devices are given. */
  enum Which {
    /** All of the display. */
    ALL,
    /** All that have not what is planned. */
    STALE,
    /** Those that are named. */
    CHOSEN
  }

  /**
   * What is to be given over the network.
   *
   * @param controllers ids, where some are chosen
   * @param faultsSeen ids of controllers whose faults somebody has looked at
   * @param replaced ids of controllers that whatever unit answers takes the place of
   * @param readBack whether devices are only asked what they have
   * @param back whether they get what they were given before instead of what is planned
   * @param at where the only one chosen answers, while it has not its planned address: a spare with
   *     its maker's
   * @param inShowHours whether somebody knows that the show is on
   */
  record GiveRequest(
      Which which,
      Optional<Set<String>> controllers,
      Optional<Set<String>> faultsSeen,
      Optional<Set<String>> replaced,
      boolean readBack,
      boolean back,
      boolean inShowHours,
      Optional<String> at) {
    GiveRequest {
      controllers = controllers.map(Set::copyOf);
      faultsSeen = faultsSeen.map(Set::copyOf);
      replaced = replaced.map(Set::copyOf);
    }
  }

  /**
   * What a device shows, read off it.
   *
   * @param shown by the key of the cell on the sheet
   */
  record ShownByDevice(Map<String, String> shown) {
    ShownByDevice {
      shown = new HashMap<>(shown);
    }
  }

  /** A value that is not what is planned. */
  record CellDiffers(String key, String row, String label, String planned, String shown) {}

  /**
   * What was read off a device beside what is planned.
   *
   * @param missing keys of cells that nothing was read of
   * @param given whether it counts as given: all of it is there and equal
   */
  record HandComparison(List<CellDiffers> differs, List<String> missing, boolean given) {}

  /** Values that were typed, by the key of their cell; without one it is not typed any more. */
  record TypedCells(Map<String, Optional<String>> cells) {
    TypedCells {
      cells = new LinkedHashMap<>(cells);
      Require.inRange("cells", cells.size(), 0, 20_000);
      cells.values().forEach(TypedCells::check);
    }

    private static void check(Optional<String> value) {
      if (value != null) {
        value.ifPresent(text -> Require.text("cells", text, 400));
      }
    }
  }

  @PostMapping("/giving")
  @Operation(
      summary =
          "Give devices what is planned, or ask them what they have; 409 in show hours unless"
              + " somebody knows it. One on its way goes on")
  GivingRun give(@PathVariable String id, @RequestBody GiveRequest request) {
    LiveDisplay.Look look = displays.get(id).look();
    Facts facts = look.facts();
    if (!request.readBack() && !request.inShowHours()) {
      refuseInShowHours(facts);
    }
    return runs.start(
        id,
        look.version(),
        facts,
        new GivingRequest(
            chosen(id, facts, request),
            request.faultsSeen().orElse(Set.of()),
            request.replaced().orElse(Set.of()),
            request.readBack(),
            request.back(),
            request.at(),
            Who.now()));
  }

  private static void refuseInShowHours(Facts facts) {
    Optional<ShowHours> hours = facts.plan().display().settings().showHours();
    String now = LocalTime.now().format(CLOCK);
    if (hours.isPresent() && hours.get().hold(now)) {
      throw new ShowIsOnException(hours.get(), now);
    }
  }

  /** It is the time of the show. */
  static final class ShowIsOnException extends RuntimeException {
    ShowIsOnException(ShowHours hours, String now) {
      super(
          "It is %s, and the show is on from %s to %s: devices restart, are dark for up to 20 s, and relays may click. Give all the same, or wait"
              .formatted(now, hours.from(), hours.to()));
    }
  }

  private Set<String> chosen(String id, Facts facts, GiveRequest request) {
    if (request.which() == Which.CHOSEN) {
      Set<String> chosen = request.controllers().orElse(Set.of());
      chosen.forEach(controller -> HandoverController.indexOf(facts, controller));
      return chosen;
    }
    return ControllerHandover.of(facts, seasons.of(id)).stream()
        .filter(one -> request.which() == Which.ALL || one.state() != HandoverState.GIVEN)
        .map(ControllerHandover::controller)
        .collect(Collectors.toSet());
  }

  @GetMapping("/giving")
  @Operation(summary = "The giving on its way, or the last; 204 where there was none")
  ResponseEntity<GivingRun> giving(@PathVariable String id) {
    displays.get(id);
    return runs.of(id).map(ResponseEntity::ok).orElseGet(() -> ResponseEntity.noContent().build());
  }

  @DeleteMapping("/giving")
  @Operation(summary = "Begin no device more; those begun are ended")
  ResponseEntity<Void> stop(@PathVariable String id) {
    displays.get(id);
    runs.stop(id);
    return ResponseEntity.noContent().build();
  }

  @PutMapping("/controllers/{controller}/typed")
  @Operation(summary = "Note which values were typed into a device by hand")
  ResponseEntity<Void> type(
      @PathVariable String id, @PathVariable String controller, @RequestBody TypedCells typed) {
    Map<String, String> planned = planned(displays.get(id).look().facts(), controller);
    typed.cells().keySet().forEach(key -> known(planned, key));
    store.type(id, controller, typed.cells());
    followers.tellHandover(id);
    return ResponseEntity.noContent().build();
  }

  @PostMapping("/controllers/{controller}/by-hand")
  @Operation(
      summary =
          "Compare what a device shows with what is planned; where all of it is equal it counts as"
              + " given by hand")
  HandComparison byHand(
      @PathVariable String id, @PathVariable String controller, @RequestBody ShownByDevice read) {
    LiveDisplay.Look look = displays.get(id).look();
    SettingSheet sheet = sheet(look.facts(), controller);
    List<CellDiffers> differs = new ArrayList<>();
    List<String> missing = new ArrayList<>();
    sheet
        .rows()
        .forEach(
            row ->
                row.cells().stream()
                    .filter(cell -> !NOT_TYPED.contains(cell.key()))
                    .forEach(
                        cell -> {
                          String shown = read.shown().get(cell.key());
                          if (shown == null || shown.isBlank()) {
                            missing.add(cell.key());
                          } else if (!same(shown, cell.value())) {
                            differs.add(
                                new CellDiffers(
                                    cell.key(), row.title(), cell.label(), cell.value(), shown));
                          }
                        }));
    boolean given = differs.isEmpty() && missing.isEmpty();
    if (given) {
      add(id, look, controller, Means.HAND);
    }
    return new HandComparison(differs, missing, given);
  }

  /** Whether two people would say that they read the same. */
  private static boolean same(String one, String other) {
    return plain(one).equals(plain(other));
  }

  private static String plain(String text) {
    return text.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
  }

  @PostMapping("/controllers/{controller}/card")
  @Operation(summary = "Somebody put the card with its configuration into a device")
  ResponseEntity<Void> card(@PathVariable String id, @PathVariable String controller) {
    add(id, displays.get(id).look(), controller, Means.CARD);
    return ResponseEntity.noContent().build();
  }

  @PostMapping("/lists/{source}")
  @Operation(
      summary =
          "Somebody was handed a list: the send list of a source, or \"show\": the one for whoever"
              + " makes the show, which that one has confirmed")
  ResponseEntity<Void> list(@PathVariable String id, @PathVariable String source) {
    LiveDisplay.Look look = displays.get(id).look();
    boolean known =
        lists.of(id, look.version(), look.facts()).stream()
            .anyMatch(one -> one.source().equals(source));
    if (!known) {
      throw new NoSuchDisplayException("list", source);
    }
    lists.give(id, look.version(), look.facts(), source, Who.now());
    followers.tellHandover(id);
    return ResponseEntity.noContent().build();
  }

  private void add(String id, LiveDisplay.Look look, String controller, Means means) {
    Facts facts = look.facts();
    int index = HandoverController.indexOf(facts, controller);
    Controller planned = facts.plan().display().controllers().get(index);
    seasons.add(
        id,
        new HandoverFact(
            planned.id(),
            Instant.now(),
            Who.now(),
            Kind.GIVEN,
            means,
            look.version(),
            "",
            "",
            "",
            Optional.of(Configurations.of(facts.plan(), facts.resolution(), index)),
            AddressAt.of(facts.plan(), facts.resolution(), index)));
  }

  private static SettingSheet sheet(Facts facts, String controller) {
    Configuration configuration =
        Configurations.of(
            facts.plan(), facts.resolution(), HandoverController.indexOf(facts, controller));
    return SettingSheet.of(configuration);
  }

  private static Map<String, String> planned(Facts facts, String controller) {
    return sheet(facts, controller)
        .cells()
        .collect(Collectors.toMap(SheetCell::key, SheetCell::value));
  }

  private static void known(Map<String, String> planned, String key) {
    Require.that(
        planned.containsKey(key), "cells", Require.quoted(key), "no such setting is on the sheet");
  }
}
