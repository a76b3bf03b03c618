package hamper.edit;

import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.Identified;
import hamper.value.RecordShape;
import java.util.Optional;

/**
 * Something that goes, and a display in which less and less refers to it.
 *
 * @param field that names it, in whatever refers to it
 * @param id of what goes
 * @param display so far
 */
record Forgotten(Plan plan, String field, String id, Display display) {
  Forgotten(Plan plan, String field, String id) {
    this(plan, field, id, plan.display());
  }

  /** Things of one kind refer to nothing where they referred to it. */
  <T extends Record & Identified> Forgotten by(Kind<T> kind) {
    return new Forgotten(plan, field, id, kind.each(plan, display, this::without));
  }

  @SuppressWarnings("unchecked") // a controller stays one
  private <T extends Record> T without(T one) {
    if (one instanceof Controller controller) {
      ControllerSettings settings = without(controller.settings());
      return settings == controller.settings() ? one : (T) controller.withSettings(settings);
    }
    RecordShape shape = RecordShape.of(one.getClass());
    return shape.value(one, shape.places().get(field)).equals(Optional.of(id))
        ? RecordShape.with(one, field, Optional.empty())
        : one;
  }
}
