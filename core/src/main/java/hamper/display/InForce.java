package hamper.display;

import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.StartsPer;
import hamper.catalog.DeviceModel;

/**
 * How a controller lays channels, once it is known what its settings leave to its model.
 *
 * @param packing contiguous on DDP, which has no universes
 * @param portStart at the next channel on DDP
 * @param universeSize channels of a universe of the flowing part; 0 on DDP
 */
public record InForce(
    DeviceModel model,
    Packing packing,
    PortStart portStart,
    StartsPer startsPer,
    int universeSize) {
  static InForce of(DeviceModel model, Controller controller) {
    var dialect = model.dialect();
    if (!controller.protocol().usesUniverses()) {
      return new InForce(model, Packing.CONTIGUOUS, PortStart.NEXT_CHANNEL, dialect.startsPer(), 0);
    }
    return new InForce(
        model,
        controller.packing().orElse(dialect.packing()),
        controller.portStart().orElse(dialect.portStart()),
        dialect.startsPer(),
        controller.settings().universeSize());
  }

  /** How the device packs: as planned where it can be told so, else as it always does. */
  public Packing devicePacking() {
    return universeSize == 0 || model.dialect().packingTold() ? packing : model.dialect().packing();
  }

  public boolean usesUniverses() {
    return universeSize > 0;
  }
}
