package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.PoweredInput;
import hamper.display.Supply;
import java.util.List;
import java.util.Optional;

/**
 * Says which supply feeds a power input of a controller.
 *
 * @param bank of the box that has the input; left out: the controller itself has it
 * @param input its number, or that of the box
 * @param supply left out: nobody says
 */
public record PowerInput(
    String controller, Optional<Integer> bank, int input, Optional<String> supply) implements Edit {
  @Override
  public Display change(Plan plan) {
    supply.ifPresent(plan::existingSupply);
    return Runs.change(plan.display(), controller, this::changed);
  }

  private Controller changed(Controller before) {
    PoweredInput.Socket socket = new PoweredInput.Socket(bank, input);
    List<PoweredInput> others =
        before.powered().stream().filter(one -> !one.socket().equals(socket)).toList();
    Controller without = before.withPowered(others);
    return supply.map(id -> without.withSupply(socket, id)).orElse(without);
  }

  @Override
  public String label(Plan plan) {
    String what =
        "%s of %s"
            .formatted(
                new PoweredInput.Socket(bank, input).title(),
                plan.existingController(controller).tag());
    return supply
        .map(plan::existingSupply)
        .map(Supply::name)
        .map(name -> "Feed %s by %s".formatted(what, name))
        .orElse("Name no supply for " + what);
  }
}
