package hamper.server.trial;

import hamper.files.Json;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Takes a good document and spoils it a little, so that it gets past the first checks. */
final class HostileJson {
  private static final List<String> VALUES =
      List.of(
          "null",
          "true",
          "0",
          "-1",
          "1e308",
          "-1e308",
          "1e400",
          "4.9e-324",
          "2147483647",
          "2147483648",
          "9223372036854775807",
          "99999999999999999999999",
          "0.1",
          "1.5",
          "\"\"",
          "\" \"",
          "\"=1+1\"",
          "\"-5\"",
          "\"../../etc/passwd\"",
          "\"a\\u0000b\"",
          "\"\\u202Egnp\"",
          "\"a\\u200Bb\"",
          "\"<img src=x onerror=alert(1)>\"",
          "\"K1\"",
          "\"CON\"",
          "[]",
          "{}",
          "[[]]",
          "{\"a\":1}",
          "\"NaN\"",
          "NaN",
          "\"\\ud800\"",
          "512",
          "513",
          "64000",
          "\"AWG 18\"",
          "\"192.168.1.999\"",
          "\"string\"",
          "\"GRB\"",
          "10000000",
          "1000",
          "65");

  private final Random random;

  HostileJson(Random random) {
    this.random = random;
  }

  /** The document as text, spoilt in up to three places. */
  String spoil(String json) {
    JsonNode root = Json.MAPPER.readTree(json);
    int times = random.nextInt(4);
    String marker = "\"@@\"";
    List<String> values = new ArrayList<>();
    for (int i = 0; i < times; i++) {
      if (spoilOnce(root)) {
        values.add(value());
      }
    }
    String text = Json.MAPPER.writeValueAsString(root);
    for (String value : values) {
      text = text.replaceFirst(marker, java.util.regex.Matcher.quoteReplacement(value));
    }
    return switch (random.nextInt(40)) {
      case 0 -> text.substring(0, random.nextInt(text.length() + 1));
      case 1 -> text + text;
      case 2 -> text.replaceFirst("\"", "");
      case 3 -> text.replaceFirst(":", ":" + "[".repeat(5_000));
      default -> text;
    };
  }

  private String value() {
    return switch (random.nextInt(30)) {
      case 0 -> '"' + "x".repeat(401) + '"';
      case 1 -> '"' + "é".repeat(100_000) + '"';
      case 2 -> "[" + "1,".repeat(20_000) + "1]";
      default -> VALUES.get(random.nextInt(VALUES.size()));
    };
  }

  /** Puts a marker somewhere, or takes or repeats something; answers whether it put a marker. */
  private boolean spoilOnce(JsonNode root) {
    JsonNode at = root;
    while (true) {
      List<JsonNode> inner = new ArrayList<>();
      at.forEach(
          child -> {
            if (child.isContainer() && !child.isEmpty()) {
              inner.add(child);
            }
          });
      if (inner.isEmpty() || random.nextInt(3) == 0) {
        break;
      }
      at = inner.get(random.nextInt(inner.size()));
    }
    if (at instanceof ObjectNode object && !object.isEmpty()) {
      List<String> names = new ArrayList<>(object.propertyNames());
      String name = names.get(random.nextInt(names.size()));
      switch (random.nextInt(6)) {
        case 0 -> object.remove(name);
        case 1 -> object.set(name + "x", object.get(name));
        default -> {
          object.put(name, "@@");
          return true;
        }
      }
    } else if (at instanceof ArrayNode array && !array.isEmpty()) {
      int index = random.nextInt(array.size());
      switch (random.nextInt(4)) {
        case 0 -> array.remove(index);
        case 1 -> array.add(array.get(index));
        default -> {
          array.set(index, "@@");
          return true;
        }
      }
    }
    return false;
  }
}
