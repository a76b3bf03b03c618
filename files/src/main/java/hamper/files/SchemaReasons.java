package hamper.files;

import com.networknt.schema.Error;
import hamper.files.BadFileException.Reason;
import hamper.value.Require;
import tools.jackson.databind.JsonNode;

/** Words a schema error for people: the place as a path, the value, and what is allowed. */
final class SchemaReasons {
  private SchemaReasons() {}

  static Reason reason(Error error, JsonNode root) {
    String pointer = error.getInstanceLocation().toString();
    JsonNode found = pointer.isEmpty() ? root : root.at(pointer);
    String place = path(pointer);
    boolean aboutMember =
        error.getKeyword().equals("required") || error.getKeyword().equals("additionalProperties");
    String value = aboutMember || found.isContainer() ? "" : shown(found) + " ";
    return new Reason(place.isEmpty() ? "file" : place, value + error.getMessage());
  }

  /** {@code /controllers/2/runs/0} as {@code controllers[2].runs[0]}. */
  private static String path(String pointer) {
    StringBuilder path = new StringBuilder();
    for (String part : pointer.split("/")) {
      if (part.matches("\\d+")) {
        path.append('[').append(part).append(']');
      } else if (!part.isEmpty()) {
        path.append(path.isEmpty() ? "" : ".").append(part);
      }
    }
    return path.toString();
  }

  private static String shown(JsonNode found) {
    return found.isString() ? Require.quoted(found.asString()) : found.toString();
  }
}
