package hamper.edit;

import hamper.address.IpAddress;
import hamper.display.Adapter;
import hamper.display.BankCable;
import hamper.display.Controller;
import hamper.display.InputRange;
import hamper.display.PoweredInput;
import java.util.List;
import java.util.Optional;

/**
 * What changes of a controller. What hangs on it, its mode and its model have edits of their own.
 */
public record ControllerChange(
    Change<String> tag,
    Change<String> name,
    Optional<SettingsChange> settings,
    Optional<SendingChange> sending,
    Change<List<InputRange>> inputs,
    Change<List<Adapter>> adapters,
    Change<List<BankCable>> cables,
    Change<List<PoweredInput>> powered)
    implements ChangeOf<Controller> {
  @Override
  public Controller over(Controller value) {
    Controller changed = Fields.over(value, this);
    return adapters.said() ? changed : withFollowing(value, changed);
  }

  /** An adapter that has the controller's address is the controller itself: both change at once. */
  private static Controller withFollowing(Controller before, Controller changed) {
    Optional<IpAddress> address = changed.address();
    if (address.isEmpty() || before.address().isEmpty() || address.equals(before.address())) {
      return changed;
    }
    return changed.withAdapters(
        changed.adapters().stream()
            .map(
                adapter ->
                    adapter.address().equals(before.address().get())
                        ? new Adapter(adapter.name(), address.get())
                        : adapter)
            .toList());
  }
}
