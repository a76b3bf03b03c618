package hamper.files;

import hamper.value.RefusedException;
import tools.jackson.core.JacksonException;

/** Turns what a JSON library says into a refusal with its place. */
public final class Refusals {
  private Refusals() {}

  /** The refusal inside, with the path to it put before; or one in words of ours. */
  public static RefusedException of(JacksonException e) {
    String path = path(e);
    for (Throwable cause = e; cause != null; cause = cause.getCause()) {
      if (cause instanceof RefusedException refused) {
        return path.isEmpty() || path.endsWith(refused.place()) ? refused : refused.within(path);
      }
    }
    JsonWords.Words words = JsonWords.unsuitable(e);
    return new RefusedException(path.isEmpty() ? "body" : path, words.found(), words.allowed());
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
