package hamper.handover;

import hamper.change.AddressAt;
import hamper.config.Configuration;
import java.util.List;
import java.util.Optional;

/**
 * What is known of one device: the last thing that happened, and what it was given last.
 *
 * @param last what happened last
 * @param given the fact of what it has been given last, as far as anybody knows
 */
public record Handed(HandoverFact last, Optional<HandoverFact> given) {
  /** What follows from one more fact of the same controller. */
  public static Handed after(Optional<Handed> before, HandoverFact fact) {
    Optional<HandoverFact> given =
        switch (fact.kind()) {
          case GIVEN, NOT_KEPT -> Optional.of(fact);
          case REPLACED -> Optional.empty();
          case BEGUN, REFUSED, LOST, DIFFERENT -> before.flatMap(Handed::given);
        };
    // a refusal leaves a device as it was; that nobody knew how stays so
    return new Handed(fact, given);
  }

  /** What it was told, as far as anybody knows. */
  public Optional<Configuration> told() {
    return given.flatMap(HandoverFact::told);
  }

  /** Where what hangs on it stood when it was given. */
  public List<AddressAt> addresses() {
    return given.map(HandoverFact::addresses).orElse(List.of());
  }

  /** Serial number of the unit, where it is known. */
  public Optional<String> serial() {
    return given.map(HandoverFact::serial).filter(serial -> !serial.isEmpty());
  }
}
