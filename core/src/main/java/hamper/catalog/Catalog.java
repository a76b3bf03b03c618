package hamper.catalog;

import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Device models and pixel types by id. Immutable. */
public final class Catalog {
  private final Map<String, DeviceModel> models;
  private final Map<String, PixelType> pixelTypes;
  private final List<PieceModel> pieceModels;

  private Catalog(
      Map<String, DeviceModel> models,
      Map<String, PixelType> pixelTypes,
      List<PieceModel> pieceModels) {
    this.models = models;
    this.pixelTypes = pixelTypes;
    this.pieceModels = List.copyOf(pieceModels);
  }

  /**
   * @throws RefusedException where two have one id
   */
  public static Catalog of(List<DeviceModel> models, List<PixelType> pixelTypes) {
    return new Catalog(Map.of(), Map.of(), List.of()).with(models, pixelTypes);
  }

  /**
   * This catalogue and more: what ships, and what a display brings along.
   *
   * @throws RefusedException where an id is taken
   */
  public Catalog with(List<DeviceModel> moreModels, List<PixelType> morePixelTypes) {
    Map<String, DeviceModel> allModels = new LinkedHashMap<>(models);
    for (int i = 0; i < moreModels.size(); i++) {
      DeviceModel model = moreModels.get(i);
      put(allModels, model.id(), model, "models[%d].id".formatted(i));
    }
    Map<String, PixelType> allTypes = new LinkedHashMap<>(pixelTypes);
    for (int i = 0; i < morePixelTypes.size(); i++) {
      PixelType type = morePixelTypes.get(i);
      put(allTypes, type.id(), type, "pixelTypes[%d].id".formatted(i));
    }
    return new Catalog(allModels, allTypes, pieceModels);
  }

  /** This catalogue with these small devices behind ports. */
  public Catalog withPieceModels(List<PieceModel> all) {
    return new Catalog(models, pixelTypes, all);
  }

  /** Small devices that hang on a port: strip decoders and serial dimmers. */
  public List<PieceModel> pieceModels() {
    return pieceModels;
  }

  public Optional<DeviceModel> model(String id) {
    return Optional.ofNullable(models.get(id));
  }

  /**
   * @param place of the id, as it is told where there is none
   * @throws RefusedException where there is none
   */
  public DeviceModel existingModel(String place, String id) {
    return model(id)
        .orElseThrow(
            () ->
                new RefusedException(
                    place,
                    Require.quoted(id),
                    "no device model has this id; the catalogue lists them"));
  }

  public Optional<PixelType> pixelType(String id) {
    return Optional.ofNullable(pixelTypes.get(id));
  }

  /** All models, shipped ones first. */
  public List<DeviceModel> models() {
    return new ArrayList<>(models.values());
  }

  public List<PixelType> pixelTypes() {
    return new ArrayList<>(pixelTypes.values());
  }

  private static <T> void put(Map<String, T> all, String id, T entry, String place) {
    if (all.putIfAbsent(id, entry) != null) {
      throw new RefusedException(place, '"' + id + '"', "this id is taken; choose another");
    }
  }
}
