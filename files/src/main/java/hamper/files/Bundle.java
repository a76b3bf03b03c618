package hamper.files;

import hamper.catalog.HandoverWay;
import hamper.config.Configuration;
import hamper.config.SendList;
import hamper.facts.Facts;
import hamper.sheet.SettingSheet;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Everything there is to hand over, in one ZIP with a list of what is in it; what goes on a card
 * lies in a folder of its own. Format: docs/formats/bundle.md.
 */
public final class Bundle {
  private Bundle() {}

  /**
   * The same plan gives the same bytes.
   *
   * @param version of the display
   */
  public static byte[] zip(Facts facts, int version) {
    List<Configuration> configurations = facts.configurations();
    Map<String, String> names = ConfigurationFiles.fileNames(configurations);
    Map<String, byte[]> files = new LinkedHashMap<>();
    ObjectNode manifest = Json.MAPPER.createObjectNode();
    manifest.put("format", "hamper-bundle");
    manifest.put("formatVersion", 1);
    manifest.put("display", facts.plan().display().name());
    manifest.put("version", version);
    ArrayNode listed = manifest.putArray("controllers");
    for (Configuration one : configurations) {
      String name = "configurations/" + names.get(one.controller());
      files.put(name, ConfigurationFiles.bytes(ConfigurationFiles.json(one)));
      ObjectNode entry = listed.addObject();
      entry.put("tag", one.tag());
      entry.put("name", one.name());
      entry.put("model", one.model());
      entry.put("file", name);
      entry.put("fingerprint", ConfigurationFiles.fingerprint(one));
      String sheet = "sheets/" + names.get(one.controller()).replace(".configuration.json", ".txt");
      files.put(
          sheet,
          ConfigurationFiles.bytes(SheetFiles.text(SettingSheet.of(facts.plan(), one), version)));
      entry.put("sheet", sheet);
      if (takesCard(facts, one)) {
        String card = "cards/" + names.get(one.controller());
        files.put(card, files.get(name));
        entry.put("card", card);
      }
    }
    ArrayNode units = manifest.putArray("cards");
    UnitFiles.all(facts.plan())
        .forEach(
            (piece, json) -> {
              String name = "cards/" + UnitFiles.fileName(facts.plan(), piece);
              files.put(name, ConfigurationFiles.bytes(json));
              units
                  .addObject()
                  .put("title", facts.plan().existingPiece(piece).title())
                  .put("file", name);
            });
    var lines = SendList.of(facts.plan(), facts.resolution());
    files.put(
        "send-list.json",
        ConfigurationFiles.bytes(
            ConfigurationFiles.sendListJson(facts.plan().display().name(), lines)));
    files.put("send-list.csv", ConfigurationFiles.bytes(ConfigurationFiles.sendListCsv(lines)));
    String listing =
        Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(manifest) + "\n";
    return zip(listing, files);
  }

  private static boolean takesCard(Facts facts, Configuration one) {
    return facts
        .plan()
        .modelOf(facts.plan().existingController(one.controller()))
        .handover()
        .contains(HandoverWay.FILE_ON_CARD);
  }

  private static byte[] zip(String manifest, Map<String, byte[]> files) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      entry(zip, "manifest.json", ConfigurationFiles.bytes(manifest));
      for (Map.Entry<String, byte[]> file : files.entrySet()) {
        entry(zip, file.getKey(), file.getValue());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  private static void entry(ZipOutputStream zip, String name, byte[] content) throws IOException {
    ZipEntry entry = new ZipEntry(name);
    entry.setTime(0);
    zip.putNextEntry(entry);
    zip.write(content);
    zip.closeEntry();
  }
}
