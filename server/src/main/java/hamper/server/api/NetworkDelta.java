package hamper.server.api;

import hamper.display.Link;
import hamper.network.AddressLine;
import hamper.network.Flow;
import hamper.network.Occupant;
import hamper.server.api.NetworkView.EnclosureView;
import java.util.Optional;

/** What changed of a NetworkView: each of its lists, where any entry of it did. */
public record NetworkDelta(
    Optional<Entries<AddressLine>> lines,
    Optional<Entries<Occupant>> outside,
    Optional<Entries<Flow>> flows,
    Optional<Entries<EnclosureView>> enclosures,
    Optional<Entries<Link>> links) {
  static Optional<NetworkDelta> between(NetworkView was, NetworkView is) {
    return was.equals(is)
        ? Optional.empty()
        : Optional.of(
            new NetworkDelta(
                Entries.between(was.lines(), is.lines()),
                Entries.between(was.outside(), is.outside()),
                Entries.between(was.flows(), is.flows()),
                Entries.between(was.enclosures(), is.enclosures()),
                Entries.between(was.links(), is.links())));
  }
}
