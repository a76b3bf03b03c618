package hamper.catalog;

import hamper.value.Require;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * All ports of one kind on a device model.
 *
 * @param modes at least one; the first is how the device comes
 * @param fuseAmps the fuse of each socket (A), where it has one
 * @param banks how the ports are gathered in banks with remote boxes, where they are
 * @param driver of the data lines of pixel ports, where the maker tells it; left out: as buffered
 * @param plug that a DMX line leaves by, where the maker tells it
 * @param pins the board's names of the outputs, where it names them by pin; as many as the largest
 *     mode has ports
 */
public record PortGroup(
    PortKind kind,
    List<PortMode> modes,
    Optional<Double> fuseAmps,
    Optional<Banks> banks,
    Optional<Driver> driver,
    Optional<Plug> plug,
    List<String> pins) {
  /** Without banks, of a driver that nobody told. */
  public PortGroup(
      PortKind kind, List<PortMode> modes, Optional<Double> fuseAmps, List<String> pins) {
    this(kind, modes, fuseAmps, Optional.empty(), Optional.empty(), Optional.empty(), pins);
  }

  public PortGroup {
    modes = List.copyOf(modes);
    pins = List.copyOf(pins);
    Require.that(!modes.isEmpty(), "modes", "none", "a group of ports has at least one mode");
    Set<String> names = new HashSet<>();
    for (PortMode mode : modes) {
      Require.that(names.add(mode.name()), "modes", mode.name(), "a mode's name is used once");
    }
    fuseAmps.ifPresent(amps -> Require.inRange("fuseAmps", amps, 0.1, 1000));
    Require.that(
        driver.isEmpty() || kind == PortKind.PIXEL,
        "driver",
        driver.map(Driver::title).orElse(""),
        "only pixel ports have drivers; leave it out");
    Require.that(
        plug.isEmpty() || kind == PortKind.DMX,
        "plug",
        plug.map(Plug::title).orElse(""),
        "only DMX lines have one; leave it out");
    int most = modes.stream().mapToInt(PortMode::ports).max().orElseThrow();
    Require.that(
        pins.isEmpty() || pins.size() >= most,
        "pins",
        pins.size() + " names",
        "name each of the %d outputs, or none".formatted(most));
  }

  /** Of its data lines; buffered where nobody told. */
  public Driver driverOrUsual() {
    return driver.orElse(Driver.BUFFERED);
  }

  /** The mode of that name. */
  public Optional<PortMode> mode(String name) {
    return modes.stream().filter(mode -> mode.name().equals(name)).findFirst();
  }

  /** The mode of that name, or the first where the name is of another group of ports. */
  public PortMode modeOrFirst(Optional<String> name) {
    return name.flatMap(this::mode).orElse(modes.get(0));
  }

  /** The most ports that any mode has. */
  public int mostPorts() {
    return modes.stream().mapToInt(PortMode::ports).max().orElseThrow();
  }
}
