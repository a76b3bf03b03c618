package hamper.files;

import hamper.files.BadFileException.Reason;
import hamper.value.Decimals;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Finds numbers that are larger than anything a format counts or measures. */
final class NumberSizes {
  private static final double MOST = 1e15;

  private final List<Reason> reasons = new ArrayList<>();

  private NumberSizes() {}

  /** A reason for each of the first of them. */
  static List<Reason> tooLarge(JsonNode root, int most) {
    NumberSizes sizes = new NumberSizes();
    sizes.look(root, "", most);
    return List.copyOf(sizes.reasons);
  }

  private void look(JsonNode node, String place, int most) {
    if (reasons.size() == most) {
      return;
    }
    if (node.isNumber()) {
      // not so that what is no number at all would pass
      if (!(Math.abs(node.doubleValue()) <= MOST)) {
        reasons.add(
            new Reason(
                place.isEmpty() ? "file" : place,
                "%s; allowed are numbers up to %s".formatted(node, Decimals.grouped(MOST, 0))));
      }
    } else if (node.isArray()) {
      for (int i = 0; i < node.size(); i++) {
        look(node.get(i), "%s[%d]".formatted(place, i), most);
      }
    } else {
      for (Map.Entry<String, JsonNode> field : node.properties()) {
        look(field.getValue(), (place.isEmpty() ? "" : place + ".") + field.getKey(), most);
      }
    }
  }
}
