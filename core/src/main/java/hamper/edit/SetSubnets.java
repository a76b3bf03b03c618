package hamper.edit;

import hamper.display.Subnet;
import java.util.List;

/** Changes subnets. */
public record SetSubnets(List<String> subnets, SubnetChange set) implements SetsFields<Subnet> {
  public SetSubnets {
    subnets = Kind.named("subnets", subnets);
  }
}
