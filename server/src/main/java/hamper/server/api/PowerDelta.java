package hamper.server.api;

import hamper.server.api.PowerView.InputView;
import hamper.server.api.PowerView.MainsView;
import hamper.server.api.PowerView.SupplyView;
import java.util.Optional;

/**
 * What changed of a PowerView: each of its lists, where any entry of it did.
 *
 * @param idleWatts of all patched pixels when dark, as they are now (W)
 */
public record PowerDelta(
    Optional<Entries<SupplyView>> supplies,
    Optional<Entries<MainsView>> mains,
    Optional<Entries<InputView>> inputs,
    double idleWatts) {
  static Optional<PowerDelta> between(PowerView was, PowerView is) {
    return was.equals(is)
        ? Optional.empty()
        : Optional.of(
            new PowerDelta(
                Entries.between(was.supplies(), is.supplies()),
                Entries.between(was.mains(), is.mains()),
                Entries.between(was.inputs(), is.inputs()),
                is.idleWatts()));
  }
}
