package hamper.display;

import hamper.catalog.PortKind;
import hamper.value.RecordShape;
import hamper.value.Require;
import java.util.Optional;

/**
 * LED panels or a screen used as pixels of three channels. Its resolution comes from its panels, or
 * is named, or follows from size and pitch.
 *
 * @param order in which its pixels are addressed
 * @param panels where it is made of panels
 * @param resolution where it is named
 * @param size of a screen
 * @param pitchMillimetres from pixel to pixel (mm)
 * @param hold its start address, where it is kept; a wall should have one, so that nothing pushes
 *     it
 */
public record Wall(
    String id,
    String name,
    GridOrder order,
    Optional<Panels> panels,
    Optional<Resolution> resolution,
    Optional<Size> size,
    Optional<Double> pitchMillimetres,
    Optional<Hold> hold)
    implements Piece {
  /** Red, green and blue. */
  public static final int CHANNELS_PER_PIXEL = 3;

  /** Pixels across and down. */
  public record Resolution(int width, int height) {
    public Resolution {
      Require.inRange("width", width, 1, 10_000);
      Require.inRange("height", height, 1, 10_000);
    }
  }

  /** Of the lit surface (mm). */
  public record Size(double widthMillimetres, double heightMillimetres) {
    public Size {
      Require.inRange("widthMillimetres", widthMillimetres, 1, 1_000_000);
      Require.inRange("heightMillimetres", heightMillimetres, 1, 1_000_000);
    }
  }

  public Wall {
    Require.id("id", id);
    Require.name("name", name);
    pitchMillimetres.ifPresent(pitch -> Require.inRange("pitchMillimetres", pitch, 0.1, 10_000));
    Require.that(
        panels.isPresent()
            || resolution.isPresent()
            || size.isPresent() && pitchMillimetres.isPresent(),
        "resolution",
        "nothing",
        "a wall has panels, or a resolution, or a size and a pitch");
    Require.that(
        panels.isEmpty() || resolution.isEmpty(),
        "resolution",
        "panels and a resolution",
        "panels make the resolution; leave it out");
  }

  /** The same wall, its size told another way. */
  public Wall remade(
      Optional<Panels> newPanels,
      Optional<Resolution> newResolution,
      Optional<Size> newSize,
      Optional<Double> newPitch) {
    return new Wall(id, name, order, newPanels, newResolution, newSize, newPitch, hold);
  }

  public Wall withHold(Optional<Hold> newHold) {
    return RecordShape.with(this, "hold", newHold);
  }

  @Override
  public Wall withoutHolds() {
    return withHold(Optional.empty());
  }

  /** A screen whose pixels are as many as fit on it. */
  public static Wall screen(String id, String name, Size size, double pitchMillimetres) {
    return new Wall(
        id,
        name,
        GridOrder.reading(),
        Optional.empty(),
        Optional.empty(),
        Optional.of(size),
        Optional.of(pitchMillimetres),
        Optional.empty());
  }

  /** Pixels across. */
  public int width() {
    return panels
        .map(Panels::width)
        .or(() -> resolution.map(Resolution::width))
        .orElseGet(() -> fitting(size.orElseThrow().widthMillimetres()));
  }

  /** Pixels down. */
  public int height() {
    return panels
        .map(Panels::height)
        .or(() -> resolution.map(Resolution::height))
        .orElseGet(() -> fitting(size.orElseThrow().heightMillimetres()));
  }

  private int fitting(double millimetres) {
    // a hair's breadth short of a pixel is a pixel: 1.2 m at 6 mm are 200
    return Math.max(1, (int) Math.floor(millimetres / pitchMillimetres.orElseThrow() + 1e-9));
  }

  public int pixels() {
    return Math.multiplyExact(width(), height());
  }

  public int channels() {
    return Math.multiplyExact(pixels(), CHANNELS_PER_PIXEL);
  }

  /** Universes of so many channels that it needs, rounded up. */
  public int universes(int universeSize) {
    return (channels() + universeSize - 1) / universeSize;
  }

  @Override
  public PortKind portKind() {
    return PortKind.PANEL;
  }
}
