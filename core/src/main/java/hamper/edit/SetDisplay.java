package hamper.edit;

import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Plan;

/** Names the display and sets what holds for all of it. */
public record SetDisplay(String name, DisplaySettings settings) implements Edit {
  @Override
  public Display change(Plan plan) {
    return plan.display().withNameAndSettings(name, settings);
  }

  @Override
  public String label(Plan plan) {
    return plan.display().name().equals(name) ? "Change the display" : "Rename to " + name;
  }
}
