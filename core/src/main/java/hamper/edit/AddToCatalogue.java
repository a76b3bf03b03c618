package hamper.edit;

import hamper.catalog.DeviceModel;
import hamper.catalog.PixelType;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.Listed;
import hamper.value.Require;
import java.util.List;

/**
 * Adds device models and pixel types that do not ship with Hamper, or puts them in the place of the
 * display's own ones with their ids. They travel with the display.
 */
public record AddToCatalogue(List<DeviceModel> models, List<PixelType> pixelTypes) implements Edit {
  public AddToCatalogue {
    models = List.copyOf(models);
    pixelTypes = List.copyOf(pixelTypes);
    Require.inRange("models", models.size() + pixelTypes.size(), 1, 500);
  }

  @Override
  public Display change(Plan plan) {
    Display display = plan.display();
    return display
        .withModels(new Listed<>("model", display.models()).putting(models))
        .withPixelTypes(new Listed<>("pixel type", display.pixelTypes()).putting(pixelTypes));
  }

  @Override
  public String label(Plan plan) {
    int count = models.size() + pixelTypes.size();
    String what = models.isEmpty() ? pixelTypes.get(0).name() : models.get(0).title();
    return count == 1
        ? "Add %s to the catalogue".formatted(what)
        : "Add %d entries to the catalogue".formatted(count);
  }
}
