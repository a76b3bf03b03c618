package hamper.server.output;

import hamper.display.HungLeg;
import hamper.display.PortRef;
import hamper.display.SlotPiece;
import hamper.display.StripDecoder;
import hamper.standin.Place;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.CRC32;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Fixtures on the line of a stand-in, which answer RDM. */
final class StandInFixtures {
  /** The maker's half of a UID that no maker has. */
  private static final String MAKER = "7FF0";

  private StandInFixtures() {}

  static void hang(Door door, Place at, PortRef port, List<HungLeg> legs)
      throws IOException, InterruptedException {
    String what = "fixtures/DMX/" + port.port();
    Map<String, JsonNode> hung = new HashMap<>();
    ObjectNode root = Door.JSON.createObjectNode();
    ArrayNode fixtures = root.putArray("fixtures");
    for (JsonNode one : door.get(at, what).body().path("fixtures")) {
      String piece = one.path("piece").asString("");
      if (piece.isEmpty()) {
        fixtures.add(one); // somebody hung it there that is not planned
      }
      hung.put(piece, one);
    }
    for (HungLeg leg : legs) {
      if (leg.at().piece() instanceof SlotPiece piece) {
        JsonNode before = hung.get(piece.id());
        boolean same = before != null && before.path("footprint").asInt(0) == piece.channels();
        fixtures.add(same ? before : planned(piece));
      }
    }
    door.put(at, what, Door.JSON.writeValueAsBytes(root));
  }

  private static ObjectNode planned(SlotPiece piece) {
    boolean decoder = piece instanceof StripDecoder;
    return Door.JSON
        .createObjectNode()
        .put("uid", uid(piece.id()))
        .put("piece", piece.id())
        .put("maker", decoder ? "Tarn & Hythe" : "Any maker")
        .put("model", decoder ? "Strip Decoder" : piece.channels() + " slots")
        .put("slot", piece.slot())
        .put("footprint", piece.channels())
        .put("personality", 1)
        .put("personalities", 1);
  }

  private static String uid(String piece) {
    CRC32 sum = new CRC32();
    sum.update(piece.getBytes(StandardCharsets.UTF_8));
    return "%s:%08X".formatted(MAKER, sum.getValue());
  }
}
