package hamper.server.api;

import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.ModelFacts;
import hamper.catalog.PieceModel;
import hamper.catalog.PixelType;
import hamper.edit.AddToCatalogue;
import hamper.edit.Edit;
import hamper.files.CatalogueFiles;
import hamper.server.live.Displays;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What there is to plan with. */
@RestController
@Tag(name = "catalogue")
class CatalogueController {
  private final Catalog catalog;
  private final Displays displays;
  private final Publisher publisher;

  CatalogueController(Catalog catalog, Displays displays, Publisher publisher) {
    this.catalog = catalog;
    this.displays = displays;
    this.publisher = publisher;
  }

  /**
   * A device model.
   *
   * @param own whether the display brought it along
   * @param facts all it can and cannot do, in plain words; the same aspects for every model
   */
  record ModelView(DeviceModel model, String title, boolean own, List<ModelFacts.Fact> facts) {}

  /** Models and pixel types. */
  record CatalogueView(
      List<ModelView> models, List<PieceModel> pieceModels, List<PixelType> pixelTypes) {
    static CatalogueView of(Catalog catalog, Set<String> own) {
      return new CatalogueView(
          catalog.models().stream()
              .map(
                  model ->
                      new ModelView(
                          model, model.title(), own.contains(model.id()), ModelFacts.of(model)))
              .toList(),
          catalog.pieceModels(),
          catalog.pixelTypes());
    }
  }

  @GetMapping("/api/catalogue")
  @Operation(summary = "All device models and pixel types that ship with Hamper")
  CatalogueView all() {
    return CatalogueView.of(catalog, Set.of());
  }

  @GetMapping("/api/displays/{id}/catalogue")
  @Operation(summary = "What ships with Hamper, and what the display brought along")
  CatalogueView ofDisplay(@PathVariable String id) {
    var plan = displays.get(id).look().facts().plan();
    return CatalogueView.of(
        plan.catalog(),
        plan.display().models().stream().map(DeviceModel::id).collect(Collectors.toSet()));
  }

  @PostMapping("/api/displays/{id}/catalogue")
  @Operation(summary = "Add the models and pixel types of a catalogue file, sent as the body")
  @FileBody
  Delta add(@PathVariable String id, @RequestParam int version, HttpServletRequest request)
      throws IOException {
    CatalogueFiles.Content content = CatalogueFiles.read(Bodies.file(request));
    Edit edit = new AddToCatalogue(content.models(), content.pixelTypes());
    return publisher.publish(id, (live, before) -> live.editExactly(version, edit, before));
  }
}
