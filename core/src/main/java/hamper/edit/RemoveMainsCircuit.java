package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;

/** Removes a mains circuit; what hung on it hangs on none that is known afterwards. */
public record RemoveMainsCircuit(String mains) implements RemovesOne {
  @Override
  public Kind<?> kind() {
    return Kind.MAINS;
  }

  @Override
  public Display letGo(Plan plan) {
    return new Forgotten(plan, "mains", mains).by(Kind.SUPPLIES).by(Kind.ENCLOSURES).display();
  }
}
