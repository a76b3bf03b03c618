package hamper.advise;

import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.catalog.DeviceModel;
import hamper.catalog.ProtocolSupport;
import hamper.check.Finding;
import hamper.display.Controller;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.facts.Facts;
import hamper.value.RecordShape;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Puts a setting of the controller right: what fits its outputs, its model and its source. */
final class SettingsAdviser implements Adviser {
  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    return finding.subjects().get(0).controller().map(facts.plan()::existingController).stream()
        .flatMap(
            controller ->
                changed(facts, finding.code(), controller)
                    .map(after -> EditsBetween.of(controller, after))
                    .filter(edits -> !edits.isEmpty())
                    .map(edits -> EditsBetween.together("Change " + controller.tag(), edits)));
  }

  private static Stream<Controller> changed(Facts facts, String code, Controller controller) {
    Optional<ProtocolSupport> support =
        facts.plan().modelOf(controller).support(controller.protocol());
    return switch (code) {
      case "inputs-short", "inputs-beyond-model" ->
          Stream.of(controller.withInputs(Optional.empty()));
      case "universe-size" ->
          Stream.concat(
              Stream.of(controller.withInputs(Optional.empty())),
              support.stream()
                  .flatMap(one -> one.universeSizes().stream().sorted())
                  .map(size -> withSize(controller, size)));
      case "transport" ->
          support.stream()
              .flatMap(one -> one.transports().stream().sorted())
              .map(transport -> withTransport(controller, transport));
      case "wifi-multicast" -> Stream.of(withTransport(controller, Transport.UNICAST));
      case "no-source" ->
          hosts(facts).stream()
              .map(
                  host ->
                      controller.withSettings(
                          controller.settings().withSource(Optional.of(host.id()))));
      case "two-sources" -> Stream.of(withBackup(controller, Optional.empty()));
      case "synchronization" -> Stream.of(withoutSynchronization(controller));
      default -> Stream.empty();
    };
  }

  private static List<Controller> hosts(Facts facts) {
    List<Controller> hosts = new ArrayList<>();
    for (Controller controller : facts.plan().display().controllers()) {
      DeviceModel model = facts.plan().modelOf(controller);
      if (model.hostOnly() && controller.protocol() == Protocol.NONE) {
        hosts.add(controller);
      }
    }
    return hosts;
  }

  /** Inputs set by hand go with the size that they had. */
  private static Controller withSize(Controller controller, int size) {
    return controller
        .withInputs(Optional.empty())
        .withSettings(controller.settings().withUniverseSize(size));
  }

  private static Controller withTransport(Controller controller, Transport transport) {
    return controller.withSettings(controller.settings().withTransport(transport));
  }

  private static Controller withBackup(Controller controller, Optional<String> backup) {
    return controller.withSending(RecordShape.with(controller.sending(), "backup", backup));
  }

  private static Controller withoutSynchronization(Controller controller) {
    return controller.withSending(
        RecordShape.with(controller.sending(), "synchronization", Optional.empty()));
  }
}
