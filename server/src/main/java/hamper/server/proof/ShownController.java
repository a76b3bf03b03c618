package hamper.server.proof;

import hamper.display.Controller;
import hamper.display.Plan;
import hamper.send.MeantPort;
import hamper.standin.Place;
import java.util.ArrayList;
import java.util.Base64;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntUnaryOperator;
import tools.jackson.databind.JsonNode;

/** What a controller is meant to show beside what its stand-in says that it shows. */
final class ShownController {
  /** What stands before the id of a strip decoder. */
  private static final String DECODER = "decoder ";

  private final Controller controller;
  private final String model;
  private final Map<String, MeantPort> meant = new HashMap<>();
  private final Map<String, BitSet> wrong = new HashMap<>();
  private final List<ProofReport.WrongPixel> examples = new ArrayList<>();
  private final long pixels;
  private Place place = Place.own("");
  private String refused = "";

  /**
   * @param decoders what strip decoders on its lines are meant to show, by the id of the piece
   */
  ShownController(
      Controller controller, String model, List<MeantPort> ports, Map<String, MeantPort> decoders) {
    this.controller = controller;
    this.model = model;
    ports.forEach(port -> meant.put(named(port), port));
    decoders.forEach((piece, own) -> meant.put(DECODER + piece, own));
    pixels = ports.stream().mapToLong(port -> port.places().length / port.width()).sum();
  }

  /** As the state of a stand-in names its ports. */
  private static String named(MeantPort port) {
    return port.port().kind() + " " + port.port().port();
  }

  String id() {
    return controller.id();
  }

  Place place() {
    return place;
  }

  void standsAt(Place newPlace) {
    place = newPlace;
  }

  void refusedFor(String why) {
    refused = why;
  }

  /** The first of its wrong pixels; none where all are wrong for one reason. */
  List<ProofReport.WrongPixel> examples() {
    return refused.isEmpty() ? examples : List.of();
  }

  /**
   * @param state of the stand-in
   * @param frame levels that it was sent
   */
  void compare(JsonNode state, byte[] frame, Plan plan) {
    Map<String, byte[]> shown = new HashMap<>();
    for (JsonNode port : state.path("ports")) {
      shown.put(
          port.get("port").asString(), Base64.getDecoder().decode(port.get("shown").asString()));
    }
    for (JsonNode unit : state.path("units")) {
      shown.put(
          DECODER + unit.get("piece").asString(),
          Base64.getDecoder().decode(unit.get("shown").asString()));
    }
    meant.forEach(
        (name, port) -> compare(name, port, shown.getOrDefault(name, new byte[0]), frame, plan));
    shown.forEach(
        (name, bytes) -> {
          if (!meant.containsKey(name)) {
            for (int i = 0; i < bytes.length; i++) {
              if (bytes[i] != 0) {
                mark(name, i, controller.tag() + " " + name, List.of(0), List.of(bytes[i] & 255));
              }
            }
          }
        });
  }

  private void compare(String name, MeantPort port, byte[] bytes, byte[] frame, Plan plan) {
    int width = port.width();
    int longest = Math.max(port.places().length, bytes.length) / width;
    for (int pixel = 0; pixel < longest; pixel++) {
      boolean same = true;
      for (int b = pixel * width; b < (pixel + 1) * width && same; b++) {
        same = meantAt(port, frame, b) == shownAt(bytes, b);
      }
      if (!same) {
        mark(
            name,
            pixel,
            written(name, port, plan),
            levels(width, pixel, at -> meantAt(port, frame, at)),
            levels(width, pixel, at -> shownAt(bytes, at)));
      }
    }
  }

  private static String written(String name, MeantPort port, Plan plan) {
    String at = plan.written(port.port());
    return name.startsWith(DECODER)
        ? at + " " + plan.existingPiece(name.substring(DECODER.length())).title()
        : at;
  }

  private static List<Integer> levels(int width, int pixel, IntUnaryOperator level) {
    List<Integer> levels = new ArrayList<>();
    for (int b = 0; b < width; b++) {
      levels.add(level.applyAsInt(pixel * width + b));
    }
    return levels;
  }

  private static int meantAt(MeantPort port, byte[] frame, int at) {
    return at < port.places().length ? port.shown(frame, at) : 0;
  }

  /** −1 where there is no such pixel. */
  private static int shownAt(byte[] bytes, int at) {
    return at < bytes.length ? bytes[at] & 255 : -1;
  }

  private void mark(
      String name, int pixel, String written, List<Integer> should, List<Integer> shows) {
    BitSet seen = wrong.computeIfAbsent(name, key -> new BitSet());
    if (!seen.get(pixel)) {
      seen.set(pixel);
      if (examples.size() < ProofReport.MOST_EXAMPLES) {
        examples.add(
            new ProofReport.WrongPixel(controller.tag(), written, pixel + 1, should, shows));
      }
    }
  }

  ProofReport.ControllerProof proof(long packets) {
    long all = wrong.values().stream().mapToLong(BitSet::cardinality).sum();
    return new ProofReport.ControllerProof(
        controller.id(), controller.tag(), model, place.toString(), pixels, packets, all, refused);
  }
}
