package hamper.server.api;

import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.PieceModel;
import hamper.catalog.PixelType;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The catalogue that ships with Hamper. */
@RestController
@RequestMapping("/api/catalogue")
@Tag(name = "catalogue")
class CatalogueController {
  private final Catalog catalog;

  CatalogueController(Catalog catalog) {
    this.catalog = catalog;
  }

  /** Models and pixel types. */
  record CatalogueView(
      List<DeviceModel> models, List<PieceModel> pieceModels, List<PixelType> pixelTypes) {}

  @GetMapping
  @Operation(summary = "All device models and pixel types that ship with Hamper")
  CatalogueView all() {
    return new CatalogueView(catalog.models(), catalog.pieceModels(), catalog.pixelTypes());
  }
}
