package hamper.edit;

import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Plan;

/** Names the display and sets what holds for all of it. */
public record SetDisplay(String name, DisplaySettings settings) implements Edit {
  @Override
  public Display change(Plan plan) {
    Display display = plan.display();
    return new Display(
        name,
        settings,
        display.models(),
        display.pixelTypes(),
        display.zones(),
        display.props(),
        display.controllers());
  }

  @Override
  public String label(Plan plan) {
    return plan.display().name().equals(name) ? "Change the display" : "Rename to " + name;
  }
}
