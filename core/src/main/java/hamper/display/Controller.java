package hamper.display;

import hamper.address.IpAddress;
import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.catalog.PortKind;
import hamper.value.Identified;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * One device on site. Its settings stand in their own record, so that a run can change without
 * naming them all.
 *
 * @param tag short, unique, and independent of the place in the list, such as K1
 * @param model the id of its device model
 * @param inputs set by hand; left out: as the outputs need
 * @param sending how it gets its levels
 * @param adapters of a host
 * @param cables to its remote boxes
 * @param powered which supplies feed its power inputs, where somebody said so; by input
 * @param runs at most one a port, kept by kind and number
 */
public record Controller(
    String id,
    String tag,
    String name,
    String model,
    ControllerSettings settings,
    Optional<List<InputRange>> inputs,
    Sending sending,
    List<Adapter> adapters,
    List<BankCable> cables,
    List<PoweredInput> powered,
    List<Run> runs)
    implements Identified {
  private static final Comparator<Run> BY_PORT =
      Comparator.comparing(Run::kind).thenComparingInt(Run::port);

  private static final Comparator<PoweredInput> BY_INPUT =
      Comparator.<PoweredInput>comparingInt(one -> one.bank().orElse(0))
          .thenComparingInt(PoweredInput::input);

  public Controller {
    Require.id("id", id);
    Require.that(
        tag != null && tag.matches("[A-Za-z][A-Za-z0-9]{0,7}"),
        "tag",
        Require.quoted(tag),
        "a tag has 1 to 8 letters and digits, a letter first, such as K1");
    Require.name("name", name);
    Require.id("model", model);
    inputs = inputs.map(List::copyOf);
    adapters = List.copyOf(adapters);
    cables = List.copyOf(cables);
    powered = powered.stream().sorted(BY_INPUT).toList();
    Set<PoweredInput.Socket> sockets = new HashSet<>();
    for (PoweredInput one : powered) {
      if (!sockets.add(one.socket())) {
        throw new RefusedException(
            "powered", one.socket().title(), "one supply feeds a power input");
      }
    }
    runs = runs.stream().sorted(BY_PORT).toList();
    Set<PortRef> ports = new HashSet<>();
    for (Run run : runs) {
      PortRef port = new PortRef(id, run.kind(), run.port());
      if (!ports.add(port)) {
        throw new RefusedException("runs", port.written(tag), "a port has one run; join them");
      }
    }
  }

  /** Live, without adapters and boxes. */
  public Controller(
      String id,
      String tag,
      String name,
      String model,
      ControllerSettings settings,
      Optional<List<InputRange>> inputs,
      List<Run> runs) {
    this(
        id,
        tag,
        name,
        model,
        settings,
        inputs,
        Sending.live(),
        List.of(),
        List.of(),
        List.of(),
        runs);
  }

  /** The supply that feeds one of its power inputs, if somebody said so; its id. */
  public Optional<String> supplyOf(PoweredInput.Socket socket) {
    return powered.stream()
        .filter(one -> one.socket().equals(socket))
        .map(PoweredInput::supply)
        .findFirst();
  }

  /** The same controller with a power input on a supply. */
  public Controller withSupply(PoweredInput.Socket socket, String supply) {
    List<PoweredInput> changed = new ArrayList<>(powered);
    changed.removeIf(one -> one.socket().equals(socket));
    changed.add(new PoweredInput(socket.bank(), socket.input(), supply));
    return withPowered(changed);
  }

  /** The run of a port, if anything hangs there or is set for it. */
  public Optional<Run> run(PortKind kind, int port) {
    return runs.stream().filter(run -> run.kind() == kind && run.port() == port).findFirst();
  }

  /** The same controller with this run in place of the port's former one. */
  public Controller withRun(Run run) {
    List<Run> kept =
        new ArrayList<>(
            runs.stream()
                .filter(other -> other.kind() != run.kind() || other.port() != run.port())
                .toList());
    if (!run.blank()) {
      kept.add(run);
    }
    return withRuns(kept);
  }

  public Controller withRuns(List<Run> newRuns) {
    return new Controller(
        id, tag, name, model, settings, inputs, sending, adapters, cables, powered, newRuns);
  }

  public Controller withSettings(ControllerSettings newSettings) {
    return new Controller(
        id, tag, name, model, newSettings, inputs, sending, adapters, cables, powered, runs);
  }

  public Controller withInputs(Optional<List<InputRange>> newInputs) {
    return new Controller(
        id, tag, name, model, settings, newInputs, sending, adapters, cables, powered, runs);
  }

  public Controller withSending(Sending newSending) {
    return new Controller(
        id, tag, name, model, settings, inputs, newSending, adapters, cables, powered, runs);
  }

  public Controller withAdapters(List<Adapter> newAdapters) {
    return new Controller(
        id, tag, name, model, settings, inputs, sending, newAdapters, cables, powered, runs);
  }

  public Controller withPowered(List<PoweredInput> newPowered) {
    return new Controller(
        id, tag, name, model, settings, inputs, sending, adapters, cables, newPowered, runs);
  }

  public Controller withFirstUniverse(Optional<Integer> first) {
    return withSettings(settings.withFirstUniverse(first));
  }

  public Protocol protocol() {
    return settings.protocol();
  }

  public Transport transport() {
    return settings.transport();
  }

  public Optional<IpAddress> address() {
    return settings.address();
  }

  /** All that it has, its own first and then those of its adapters; each once. */
  public List<IpAddress> addresses() {
    return Stream.concat(address().stream(), adapters.stream().map(Adapter::address))
        .distinct()
        .toList();
  }

  public Optional<Packing> packing() {
    return settings.packing();
  }

  public Optional<PortStart> portStart() {
    return settings.portStart();
  }
}
