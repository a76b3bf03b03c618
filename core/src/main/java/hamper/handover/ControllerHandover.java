package hamper.handover;

import hamper.change.AddressAt;
import hamper.change.MovedAddress;
import hamper.change.ToldDifference;
import hamper.config.Configuration;
import hamper.config.Configurations;
import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.handover.HandoverFact.Kind;
import hamper.handover.HandoverFact.Means;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * How one device stands to the plan.
 *
 * @param controller its id
 * @param at when what made its state happened; empty where it was never given
 * @param by who did it; may be empty
 * @param means how it was given what it has
 * @param serial of the unit
 * @param why in words, where it was refused, lost or is different
 * @param differs what it has to be told otherwise than it was, in words; of a device that is
 *     different, what it has otherwise than it was given
 * @param movedStarts sections whose starts moved since it was given
 */
public record ControllerHandover(
    String controller,
    String tag,
    HandoverState state,
    Optional<Instant> at,
    String by,
    Optional<Means> means,
    Optional<String> serial,
    String why,
    List<String> differs,
    int movedStarts) {
  public ControllerHandover {
    differs = List.copyOf(differs);
  }

  /** Of all controllers that are no hosts, in list order. */
  public static List<ControllerHandover> of(Facts facts, Season season) {
    List<Controller> all = facts.plan().display().controllers();
    return IntStream.range(0, all.size())
        .filter(i -> !facts.plan().modelOf(all.get(i)).hostOnly())
        .parallel()
        .mapToObj(i -> of(facts, season, i))
        .toList();
  }

  /**
   * @param index of the controller in the list
   */
  public static ControllerHandover of(Facts facts, Season season, int index) {
    Controller controller = facts.plan().display().controllers().get(index);
    Optional<Handed> known = season.of(controller.id());
    if (known.isEmpty() || known.get().last().kind() == Kind.REPLACED) {
      return new ControllerHandover(
          controller.id(),
          controller.tag(),
          HandoverState.NEVER,
          known.map(one -> one.last().at()),
          known.map(one -> one.last().by()).orElse(""),
          Optional.empty(),
          Optional.empty(),
          known.map(one -> one.last().why()).orElse(""),
          List.of(),
          0);
    }
    Handed handed = known.get();
    Configuration now = Configurations.of(facts.plan(), facts.resolution(), index);
    List<String> differs = new ArrayList<>();
    if (handed.last().kind() == Kind.DIFFERENT) {
      handed
          .last()
          .told()
          .ifPresent(
              has ->
                  differs.addAll(ToldDifference.between(handed.told().orElse(now), has).lines()));
    } else {
      handed.told().ifPresent(told -> differs.addAll(ToldDifference.between(told, now).lines()));
    }
    List<AddressAt> addresses = AddressAt.of(facts.plan(), facts.resolution(), index);
    return new ControllerHandover(
        controller.id(),
        controller.tag(),
        state(handed, !differs.isEmpty()),
        Optional.of(handed.last().at()),
        handed.last().by(),
        handed.given().map(HandoverFact::means),
        handed.serial(),
        handed.last().why(),
        differs,
        (int)
            MovedAddress.between(handed.addresses(), addresses).stream()
                .filter(MovedAddress::startMoved)
                .count());
  }

  private static HandoverState state(Handed handed, boolean differs) {
    return switch (handed.last().kind()) {
      case GIVEN -> differs ? HandoverState.STALE : HandoverState.GIVEN;
      case NOT_KEPT -> differs ? HandoverState.STALE : HandoverState.NOT_KEPT;
      case REFUSED -> HandoverState.REFUSED;
      case BEGUN, LOST -> HandoverState.UNKNOWN;
      case DIFFERENT -> HandoverState.DIFFERENT;
      case REPLACED -> HandoverState.NEVER;
    };
  }

  /** Sections that moved since their controllers were given, over the whole display. */
  public static List<MovedAddress> moved(Facts facts, Season season) {
    List<AddressAt> before = new ArrayList<>();
    // what hung on two of them in turn stands where it was given last
    facts.plan().display().controllers().stream()
        .flatMap(one -> season.of(one.id()).flatMap(Handed::given).stream())
        .sorted(Comparator.comparing(HandoverFact::at))
        .forEach(one -> before.addAll(one.addresses()));
    return MovedAddress.between(before, AddressAt.of(facts.plan(), facts.resolution()));
  }
}
