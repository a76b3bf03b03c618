package hamper.handover;

import hamper.display.Controller;
import hamper.display.Plan;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Devices as things that are carried and stored, told apart by their serial numbers. */
public record Units(List<KnownUnit> units) {
  /** Nobody has met any. */
  public static final Units NONE = new Units(List.of());

  /**
   * A unit.
   *
   * @param controller tag of the controller that it was last given the configuration of; may be
   *     empty where that is gone from the plan
   * @param model of that controller
   * @param now whether it is the one that stands there, as far as anybody knows
   * @param history what happened with it, the latest first
   * @param place where it lies or hangs, where somebody said so; may be empty
   */
  public record KnownUnit(
      String serial,
      String controller,
      String model,
      boolean now,
      List<UnitEvent> history,
      String place) {
    public KnownUnit {
      history = List.copyOf(history);
    }
  }

  /**
   * Something that happened with a unit.
   *
   * @param told in words, such as "given K3, version 12"
   */
  public record UnitEvent(Instant at, String by, String told) {}

  public Units {
    units = List.copyOf(units);
  }

  /**
   * @param facts that name a serial number, oldest first
   * @param places by serial number
   */
  public static Units of(Plan plan, List<HandoverFact> facts, Map<String, String> places) {
    Map<String, List<HandoverFact>> bySerial = new LinkedHashMap<>();
    Map<String, String> standing = new LinkedHashMap<>();
    for (HandoverFact fact : facts) {
      bySerial.computeIfAbsent(fact.serial(), key -> new ArrayList<>()).add(0, fact);
      standing.put(fact.controller(), fact.serial());
    }
    places.keySet().forEach(serial -> bySerial.computeIfAbsent(serial, key -> List.of()));
    List<KnownUnit> units = new ArrayList<>();
    bySerial.forEach(
        (serial, own) -> {
          Optional<Controller> at =
              own.stream().findFirst().flatMap(fact -> plan.controller(fact.controller()));
          units.add(
              new KnownUnit(
                  serial,
                  at.map(Controller::tag).orElse(""),
                  at.map(one -> plan.modelOf(one).title()).orElse(""),
                  at.map(one -> serial.equals(standing.get(one.id()))).orElse(false),
                  own.stream().map(fact -> event(plan, fact)).toList(),
                  places.getOrDefault(serial, "")));
        });
    return new Units(units);
  }

  private static UnitEvent event(Plan plan, HandoverFact fact) {
    String tag = plan.controller(fact.controller()).map(Controller::tag).orElse("a device");
    String what =
        switch (fact.kind()) {
          case BEGUN -> "giving %s begun";
          case GIVEN -> "given %s";
          case NOT_KEPT -> "given %s, not kept";
          case REFUSED -> "refused %s";
          case LOST -> "lost while %s was given";
          case DIFFERENT -> "had something else than %s";
          case REPLACED -> "came in place of another as %s";
        };
    return new UnitEvent(fact.at(), fact.by(), what.formatted(tag) + ", version " + fact.version());
  }
}
