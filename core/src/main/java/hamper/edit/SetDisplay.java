package hamper.edit;

import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Plan;
import java.util.Optional;

/** Names the display and changes what holds for all of it. */
public record SetDisplay(Change<String> name, Optional<DisplaySettingsChange> settings)
    implements Edit {
  @Override
  public Display change(Plan plan) {
    Display display = plan.display();
    DisplaySettings now = display.settings();
    return display.withNameAndSettings(
        name.over("name", display.name()), settings.map(change -> change.over(now)).orElse(now));
  }

  @Override
  public String label(Plan plan) {
    return name.value().isPresent()
        ? "Rename to " + name.value().get()
        : Told.of(plan, "the display", this);
  }
}
