package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.Identified;
import hamper.value.RecordShape;
import java.util.List;

/** Adds the thing that it carries, as it is, at the end of the list of its kind. */
sealed interface AddsOne<T extends Record & Identified> extends Edit
    permits PutController, PutZone, PutSubnet, PutSupply, PutMainsCircuit, PutEnclosure, PutLink {
  /** Its only field. */
  @SuppressWarnings("unchecked") // which each names in its type
  private T thing() {
    return (T) RecordShape.of(getClass()).value((Record) this, 0);
  }

  @Override
  default Display change(Plan plan) {
    return Kind.of(thing()).adding(plan, List.of(thing()));
  }

  @Override
  default String label(Plan plan) {
    return "Add " + Kind.of(thing()).called(thing());
  }
}
