package hamper.files;

import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.PieceModel;
import hamper.catalog.PixelType;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** The catalogue that ships with Hamper, and catalogue files of users. */
public final class CatalogueFiles {
  private static final List<String> SHIPPED =
      List.of(
          "ostrand",
          "velmo",
          "quillby",
          "pelloway",
          "tarn-and-hythe",
          "brackwater",
          "hosts",
          "pixel-types");

  private CatalogueFiles() {}

  /** The content of one catalogue file. */
  public record Content(
      String format,
      int formatVersion,
      List<DeviceModel> models,
      List<PieceModel> pieceModels,
      List<PixelType> pixelTypes) {}

  /** It never changes while the program runs, so it is read once, by who asks first. */
  private static final class Shipped {
    private static final Catalog CATALOG = read();

    private Shipped() {}

    private static Catalog read() {
      List<DeviceModel> models = new ArrayList<>();
      List<PieceModel> pieceModels = new ArrayList<>();
      List<PixelType> pixelTypes = new ArrayList<>();
      for (String name : SHIPPED) {
        Content content = CatalogueFiles.read(bytes("/hamper/catalogue/" + name + ".json"));
        models.addAll(content.models());
        pieceModels.addAll(content.pieceModels());
        pixelTypes.addAll(content.pixelTypes());
      }
      return Catalog.of(models, pixelTypes).withPieceModels(pieceModels);
    }
  }

  /** What all shipped files say. */
  public static Catalog shipped() {
    return Shipped.CATALOG;
  }

  /**
   * @throws BadFileException with every reason and its place
   */
  public static Content read(byte[] bytes) {
    return DisplayFile.bind(Formats.read(bytes, "catalogue"), Content.class);
  }

  /** A model as its entry of a catalogue file. */
  public static JsonNode entry(DeviceModel model) {
    return Json.MAPPER.valueToTree(model);
  }

  private static byte[] bytes(String resource) {
    try (InputStream in = CatalogueFiles.class.getResourceAsStream(resource)) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
