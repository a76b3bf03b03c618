package hamper.edit;

import hamper.display.Supply;
import java.util.List;

/** Changes supplies. */
public record SetSupplies(List<String> supplies, SupplyChange set) implements SetsFields<Supply> {
  public SetSupplies {
    supplies = Kind.named("supplies", supplies);
  }
}
