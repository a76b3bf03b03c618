package hamper.files;

import hamper.value.RefusedException;
import java.util.Locale;
import tools.jackson.core.JacksonException;

/** Turns what a JSON library says into a refusal with its place. */
public final class Refusals {
  private Refusals() {}

  /** The refusal inside, with the path to it put before; or one made of the library's words. */
  public static RefusedException of(JacksonException e) {
    String path = path(e);
    for (Throwable cause = e; cause != null; cause = cause.getCause()) {
      if (cause instanceof RefusedException refused) {
        return path.isEmpty() || path.endsWith(refused.place()) ? refused : refused.within(path);
      }
    }
    String place = path.isEmpty() ? "body" : path;
    // the library's words for a field that is not there
    if (String.valueOf(e.getOriginalMessage()).toLowerCase(Locale.ROOT).contains("null")) {
      return new RefusedException(place, "nothing", "this field has to be there");
    }
    return new RefusedException(place, "what stands there", e.getOriginalMessage());
  }

  private static String path(JacksonException e) {
    StringBuilder path = new StringBuilder();
    for (JacksonException.Reference step : e.getPath()) {
      if (step.getIndex() >= 0) {
        path.append('[').append(step.getIndex()).append(']');
      } else if (step.getPropertyName() != null) {
        path.append(path.isEmpty() ? "" : ".").append(step.getPropertyName());
      }
    }
    return path.toString();
  }
}
