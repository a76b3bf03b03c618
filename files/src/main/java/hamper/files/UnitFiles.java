package hamper.files;

import hamper.display.LegAt;
import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.SerialDimmer;
import hamper.display.StripDecoder;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.node.ObjectNode;

/**
 * Documents of what is set at the piece itself: strip decoders and dimmer packs. Format:
 * docs/formats/unit.schema.json.
 */
public final class UnitFiles {
  private UnitFiles() {}

  /** The documents of all decoders and packs of a plan, by the ids of their pieces. */
  public static Map<String, String> all(Plan plan) {
    Map<String, String> documents = new LinkedHashMap<>();
    for (Prop prop : plan.display().props()) {
      for (Piece piece : prop.pieces()) {
        json(plan, plan.existingPiece(piece.id()))
            .ifPresent(text -> documents.put(piece.id(), text));
      }
    }
    return documents;
  }

  /** The document of a piece; empty where it is told nothing of its own. */
  public static Optional<String> json(Plan plan, PieceAt at) {
    return told(at.piece()).map(told -> document(plan, at, told));
  }

  private static Optional<ObjectNode> told(Piece piece) {
    ObjectNode told = Json.MAPPER.createObjectNode();
    if (piece instanceof StripDecoder decoder) {
      told.put("unit", "DECODER");
      told.put("slot", decoder.slot());
      told.put("pixels", decoder.pixels());
      told.put("ledsPerPixel", decoder.ledsPerPixel());
      told.put("channelsPerPixel", StripDecoder.CHANNELS_PER_PIXEL);
      return Optional.of(told);
    } else if (piece instanceof SerialDimmer dimmer) {
      told.put("unit", "DIMMER");
      told.put("number", dimmer.unit());
      told.put("circuits", dimmer.circuits());
      return Optional.of(told);
    }
    return Optional.empty();
  }

  private static String document(Plan plan, PieceAt at, ObjectNode told) {
    ObjectNode root = Json.MAPPER.createObjectNode();
    root.put("format", "hamper-unit");
    root.put("formatVersion", 1);
    root.put("fingerprint", ConfigurationDocument.fingerprint(told));
    ObjectNode about = root.putObject("about");
    about.put("display", plan.display().name());
    about.put("piece", at.piece().id());
    about.put("name", at.title());
    plan.leg(at.piece().id())
        .map(LegAt::port)
        .map(plan::written)
        .ifPresent(port -> about.put("port", port));
    root.set("told", told);
    return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
  }

  /** What its file is called: where it hangs, and its id. */
  public static String fileName(Plan plan, String piece) {
    String tag = plan.leg(piece).map(LegAt::port).map(plan::written).map(at -> at + "-").orElse("");
    return tag + piece + ".unit.json";
  }
}
