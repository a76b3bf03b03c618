package hamper.standin;

import tools.jackson.databind.JsonNode;

/** What no device has room for, whatever it is told: it is refused before memory is taken. */
final class Limits {
  private static final long MOST_PIXELS = 1_000_000;
  private static final long MOST_UNIVERSES = 64_000;
  private static final long MOST_BYTES = 16L << 20;

  private Limits() {}

  static void check(JsonNode told) throws Device.RefusedException {
    long universes = 0;
    for (JsonNode input : told.path("inputs")) {
      long size = input.path("size").asLong(-1);
      universes += input.path("count").asLong(-1);
      if (size < 1 || size > MOST_BYTES || universes < 0 || universes > MOST_UNIVERSES) {
        throw refused("told.inputs", MOST_UNIVERSES + " universes");
      }
    }
    long pixels = 0;
    for (JsonNode output : told.path("outputs")) {
      for (JsonNode section : output.path("sections")) {
        long width = section.at("/matrix/width").asLong(1);
        long height = section.at("/matrix/height").asLong(1);
        long least =
            Math.min(
                Math.min(width, height), Math.min(some(section, "group"), some(section, "fold")));
        pixels +=
            Math.max(section.path("pixels").asLong(0), 0)
                + Math.max(section.path("nullPixels").asLong(0), 0)
                + Math.max(section.path("slots").asLong(0), 0);
        boolean wide = width > MOST_PIXELS || height > MOST_PIXELS || width * height > MOST_PIXELS;
        if (least < 1 || wide || pixels > MOST_PIXELS) {
          throw refused("told.outputs", MOST_PIXELS + " pixels");
        }
      }
    }
  }

  private static long some(JsonNode section, String field) {
    return section.path(field).asLong(1);
  }

  private static Device.RefusedException refused(String place, String most) {
    return new Device.RefusedException("%s: there is room for %s".formatted(place, most));
  }
}
