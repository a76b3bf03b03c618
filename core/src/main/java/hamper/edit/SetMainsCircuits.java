package hamper.edit;

import hamper.display.MainsCircuit;
import java.util.List;

/** Changes mains circuits. */
public record SetMainsCircuits(List<String> mains, MainsChange set)
    implements SetsFields<MainsCircuit> {
  public SetMainsCircuits {
    mains = Kind.named("mains", mains);
  }
}
