package hamper.edit;

import hamper.display.Display;
import hamper.display.MainsCircuit;
import hamper.display.Plan;
import java.util.List;

/** Adds a mains circuit at the end. */
public record PutMainsCircuit(MainsCircuit mains) implements Edit {
  @Override
  public Display change(Plan plan) {
    return Kind.MAINS.adding(plan, List.of(mains));
  }

  @Override
  public String label(Plan plan) {
    return "Add mains circuit " + mains.name();
  }
}
