package hamper.files;

import hamper.files.AddressTable.Place;
import hamper.files.AddressTable.Row;
import hamper.files.AddressTable.Shared;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.node.ObjectNode;

/** Writes an address table as CSV or JSON. Format: docs/formats/addresses.md. */
public final class AddressFiles {
  private static final List<String> HEADER =
      List.of(
          "controller",
          "kind",
          "port",
          "position",
          "prop",
          "piece",
          "section",
          "pixels",
          "null pixels",
          "addresses",
          "channels",
          "controller start",
          "controller end",
          "display start",
          "display end",
          "start universe",
          "start channel",
          "end universe",
          "end channel",
          "device universe",
          "DDP offset",
          "DDP length",
          "held",
          "mirror",
          "overlaps with");

  private AddressFiles() {}

  public static String json(AddressTable table) {
    ObjectNode root = Json.MAPPER.createObjectNode();
    root.put("format", "hamper-addresses");
    root.put("formatVersion", 1);
    root.setAll((ObjectNode) Json.MAPPER.valueToTree(table));
    return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
  }

  public static String csv(AddressTable table) {
    return Csv.write(HEADER, rows(table));
  }

  public static byte[] xlsx(AddressTable table) {
    return Xlsx.write(List.of(page(table)));
  }

  static Xlsx.Page page(AddressTable table) {
    return new Xlsx.Page("Addresses", HEADER, rows(table));
  }

  private static List<List<?>> rows(AddressTable table) {
    Map<String, List<String>> overlaps = overlaps(table);
    List<List<?>> rows = new ArrayList<>();
    for (Row row : table.sections()) {
      rows.add(
          List.of(
              row.controller(),
              row.kind(),
              row.port(),
              row.position(),
              row.prop(),
              row.piece(),
              row.section(),
              row.pixels(),
              row.nullPixels(),
              row.addresses(),
              row.channels(),
              row.controllerStart(),
              row.controllerEnd(),
              row.displayStart(),
              row.displayEnd(),
              row.startUniverse(),
              row.startChannel(),
              row.endUniverse(),
              row.endChannel(),
              row.deviceUniverse(),
              row.offset(),
              row.length(),
              row.held(),
              row.mirror(),
              String.join(
                  "; ", overlaps.getOrDefault(key(row.pieceId(), row.section()), List.of()))));
    }
    return rows;
  }

  /** What each section overlaps with, in words. */
  private static Map<String, List<String>> overlaps(AddressTable table) {
    Map<String, List<String>> told = new HashMap<>();
    for (Shared shared : table.overlaps()) {
      tell(told, shared.a(), shared.b(), shared);
      tell(told, shared.b(), shared.a(), shared);
    }
    return told;
  }

  private static void tell(Map<String, List<String>> told, Place of, Place with, Shared shared) {
    told.computeIfAbsent(key(of.pieceId(), of.section()), key -> new ArrayList<>())
        .add(
            "%s-%s%d position %d, %d channels %s"
                .formatted(
                    with.controller(),
                    with.kind().mark(),
                    with.port(),
                    with.position(),
                    shared.channels(),
                    range(shared)));
  }

  private static String range(Shared shared) {
    return shared
        .first()
        .map(
            first ->
                "%d:%d to %d:%d"
                    .formatted(
                        first.get(0),
                        first.get(1),
                        shared.last().orElseThrow().get(0),
                        shared.last().orElseThrow().get(1)))
        .orElseGet(
            () ->
                "bytes %d to %d"
                    .formatted(
                        shared.firstOffset().orElseThrow(), shared.lastOffset().orElseThrow()));
  }

  private static String key(String piece, int section) {
    return piece + " " + section;
  }
}
