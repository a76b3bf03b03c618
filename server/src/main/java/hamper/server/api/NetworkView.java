package hamper.server.api;

import hamper.facts.Facts;
import hamper.network.AddressLine;
import hamper.network.Flow;
import hamper.network.Flows;
import hamper.network.Occupant;
import java.util.List;

/**
 * The show network.
 *
 * @param lines one for each subnet
 * @param outside devices whose address lies in no subnet
 * @param flows who sends to whom, in list order
 */
public record NetworkView(List<AddressLine> lines, List<Occupant> outside, List<Flow> flows) {
  static NetworkView of(Facts facts) {
    var display = facts.plan().display();
    return new NetworkView(
        AddressLine.of(display),
        AddressLine.outside(display),
        Flows.of(facts.plan(), facts.resolution()));
  }
}
