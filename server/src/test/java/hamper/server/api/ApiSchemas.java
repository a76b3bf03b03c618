package hamper.server.api;

import hamper.address.ColourOrder;
import hamper.address.IpAddress;
import hamper.catalog.Gauge;
import hamper.display.Circuit;
import hamper.display.Fixture;
import hamper.display.PixelString;
import hamper.display.SerialDimmer;
import hamper.display.StripDecoder;
import hamper.display.Wall;
import hamper.edit.Change;
import hamper.edit.CircuitChange;
import hamper.edit.DecoderChange;
import hamper.edit.DimmerChange;
import hamper.edit.Edit;
import hamper.edit.FixtureChange;
import hamper.edit.StringChange;
import hamper.edit.WallChange;
import hamper.handover.Units;
import hamper.locate.Locator;
import hamper.server.crew.CrewDoor;
import hamper.server.handover.GivingRun;
import hamper.server.live.Replugged;
import hamper.server.network.CaptureView;
import hamper.server.network.Captures;
import hamper.server.network.LineRuns;
import hamper.server.network.Listening;
import hamper.server.network.WhoRuns;
import hamper.server.output.MachineAdapter;
import hamper.server.output.OutputState;
import hamper.server.proof.ProofRuns;
import hamper.server.store.DisplayStore;
import hamper.server.store.MilestoneStore;
import hamper.server.trial.StandInSwitches;
import hamper.server.trial.TrialLook;
import hamper.who.LineEntry;
import hamper.why.Question;
import hamper.why.Why;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.stereotype.Component;

/**
 * Tells the generated OpenAPI document what the records say and it does not see: which fields are
 * always there, which values are written as plain text, and by which field kinds are told apart.
 */
@Component
class ApiSchemas implements OpenApiCustomizer {
  private static final List<Class<?>> ROOTS =
      List.of(
          DisplayView.class,
          Delta.class,
          Preview.class,
          DisplayStore.Listed.class,
          DisplaysController.NewDisplay.class,
          DisplaysController.EditRequest.class,
          DisplaysController.PreviewRequest.class,
          DisplaysController.VersionRequest.class,
          HandoverController.HandoverView.class,
          HandoverController.HandoverNow.class,
          HandoverController.HandoverSheet.class,
          GivingController.GiveRequest.class,
          GivingController.ShownByDevice.class,
          GivingController.HandComparison.class,
          GivingController.TypedCells.class,
          GivingRun.class,
          TakingController.DeviceView.class,
          TakingController.TakeRequest.class,
          RescueController.RescueView.class,
          ArrangeController.MissingView.class,
          CrewViews.CrewYard.class,
          CrewViews.CrewStrings.class,
          CrewViews.CrewPage.class,
          CrewController.CrewEnter.class,
          CrewClaims.CrewClaimed.class,
          CrewClaims.CrewVerdict.class,
          CrewLight.CrewLightWanted.class,
          CrewLight.CrewLit.class,
          CrewLight.CrewHeld.class,
          CrewHelp.CrewRescues.class,
          CrewHelp.CrewRescueTaken.class,
          CrewHelp.CrewVersion.class,
          Replugged.Moves.class,
          DoorController.DoorState.class,
          DoorController.CrewKeyView.class,
          DoorController.NewCrewKey.class,
          DoorController.MadeCrewKey.class,
          CrewDoor.Opening.class,
          LogController.LogPage.class,
          LogController.HistoryView.class,
          LogController.Then.class,
          MilestonesController.ComparisonView.class,
          MilestonesController.NewMilestone.class,
          MilestonesController.Shadows.class,
          MilestoneStore.MilestoneHead.class,
          CatalogueController.CatalogueView.class,
          MachineAdapter.class,
          PaperController.PaperView.class,
          PaperController.TagsView.class,
          PaperController.ShoppingView.class,
          SheetView.class,
          ArrangeController.ArrangeRequest.class,
          ArrangeController.ArrangeView.class,
          Units.class,
          PaperController.UnitPlaceRequest.class,
          ProgressController.ProgressView.class,
          ProgressController.StageRequest.class,
          ProgressController.TroubleRequest.class,
          ProgressController.SettledRequest.class,
          ProgressController.StoredRequest.class,
          ProgressController.StringEvent.class,
          ProgressController.PhotoName.class,
          WhoRuns.WhoRun.class,
          NetworkLookController.StrangersRequest.class,
          Listening.class,
          CaptureView.class,
          Captures.CaptureMoment.class,
          LineRuns.LineRun.class,
          LinesController.AskLine.class,
          LinesController.SlotRequest.class,
          LinesController.IdentifyRequest.class,
          LineEntry.class,
          PowerController.RunRequest.class,
          PowerController.RunView.class,
          PowerController.FeedPlanView.class,
          PropRowsController.RowsView.class,
          PlanSheetController.PlanSheetView.class,
          AddressesController.GridView.class,
          AddressesController.SeenTable.class,
          Locator.Slot.class,
          Why.class,
          Question.class,
          ProofRuns.ProofRun.class,
          OutputState.class,
          OutputController.HoldRequest.class,
          OutputController.OutputGround.class,
          OutputController.OutputRequest.class,
          OutputController.PatternView.class,
          TrialLook.class,
          StandInSwitches.MisbehaviourKind.class,
          TrialPlaceController.MisbehaviourRequest.class,
          TrialPlaceController.TestRequest.class,
          TrialPlaceController.RestartRequest.class,
          MarksController.TrialMarks.class,
          MarksController.MarkRequest.class,
          GuidesController.GuideHead.class,
          GuidesController.GuideRequest.class,
          GuidesController.GuideView.class,
          GuidesController.GuideRead.class,
          RemediesController.RemediesRequest.class,
          RemediesController.RemedyView.class);
  private static final Map<Class<?>, String> KINDS =
      Map.of(
          PixelString.class, "string",
          Circuit.class, "circuit",
          Fixture.class, "fixture",
          StripDecoder.class, "decoder",
          SerialDimmer.class, "dimmer",
          Wall.class, "wall");
  private static final Map<Class<?>, String> CHANGE_KINDS =
      Map.of(
          StringChange.class, "string",
          CircuitChange.class, "circuit",
          FixtureChange.class, "fixture",
          DecoderChange.class, "decoder",
          DimmerChange.class, "dimmer",
          WallChange.class, "wall");

  @Override
  public void customise(OpenAPI api) {
    @SuppressWarnings("rawtypes")
    Map<String, Schema> schemas = api.getComponents().getSchemas();
    api.setServers(List.of()); // the document is the same wherever it is served
    Map<String, Class<?>> records = new LinkedHashMap<>();
    ROOTS.forEach(root -> collect(root, records));
    records.forEach((name, type) -> complete(schemas, name, type));
    schemas.values().forEach(schema -> onlyRecords(schema, records.keySet()));
    schemas.keySet().removeIf(name -> !records.containsKey(name) && isInBetween(schemas.get(name)));
    schemas.put(ColourOrder.class.getSimpleName(), new StringSchema().example("GRB"));
    schemas.put(Gauge.class.getSimpleName(), new StringSchema().example("AWG 18"));
    schemas.put(IpAddress.class.getSimpleName(), new StringSchema().example("198.51.100.11"));
  }

  private static void complete(
      @SuppressWarnings("rawtypes") Map<String, Schema> schemas, String name, Class<?> type) {
    Schema<?> schema = ownProperties(schemas.get(name));
    if (schema == null) {
      return;
    }
    schemas.put(name, schema);
    for (RecordComponent component : type.getRecordComponents()) {
      if (component.getType() != Optional.class && component.getType() != Change.class) {
        schema.addRequiredItem(component.getName());
      }
    }
    if (Edit.class.isAssignableFrom(type)) {
      tellApart(schema, "type", name);
    } else if (KINDS.containsKey(type)) {
      tellApart(schema, "kind", KINDS.get(type));
    } else if (CHANGE_KINDS.containsKey(type)) {
      tellApart(schema, "kind", CHANGE_KINDS.get(type));
    }
  }

  /** Of a type that extends another, the part with its own properties. */
  private static Schema<?> ownProperties(Schema<?> schema) {
    if (schema == null || schema.getAllOf() == null) {
      return schema;
    }
    return schema.getAllOf().stream()
        .filter(part -> part.getProperties() != null)
        .findFirst()
        .orElse(schema);
  }

  /** A choice names what can be sent, and not the interfaces in between. */
  private static void onlyRecords(Schema<?> schema, Set<String> records) {
    if (schema.getOneOf() != null) {
      schema
          .getOneOf()
          .removeIf(
              choice ->
                  choice.get$ref() != null
                      && !records.contains(
                          choice.get$ref().substring(choice.get$ref().lastIndexOf('/') + 1)));
    }
    if (schema.getItems() != null) {
      onlyRecords(schema.getItems(), records);
    }
    if (schema.getProperties() != null) {
      schema.getProperties().values().forEach(property -> onlyRecords(property, records));
    }
  }

  /** Whether nothing is said but what another schema says: an interface in between. */
  private static boolean isInBetween(Schema<?> schema) {
    return schema.getAllOf() != null
        && schema.getAllOf().stream().allMatch(part -> part.get$ref() != null);
  }

  private static void tellApart(Schema<?> schema, String field, String value) {
    schema.addProperty(field, new StringSchema().addEnumItem(value));
    schema.addRequiredItem(field);
  }

  private static void collect(Type type, Map<String, Class<?>> records) {
    if (type instanceof ParameterizedType generic) {
      for (Type argument : generic.getActualTypeArguments()) {
        collect(argument, records);
        if (generic.getRawType() == Entries.class) {
          records.put("Entries" + ((Class<?>) argument).getSimpleName(), Entries.class);
        }
      }
    } else if (type instanceof Class<?> one && one.isSealed()) {
      for (Class<?> permitted : one.getPermittedSubclasses()) {
        collect(permitted, records);
      }
    } else if (type instanceof Class<?> one
        && one.isRecord()
        && one != Change.class
        && records.putIfAbsent(one.getSimpleName(), one) == null) {
      for (RecordComponent component : one.getRecordComponents()) {
        collect(component.getGenericType(), records);
      }
    }
  }
}
