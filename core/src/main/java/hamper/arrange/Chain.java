package hamper.arrange;

import hamper.catalog.Banks;
import hamper.display.BankCable;
import hamper.display.Controller;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The remote boxes of one bank while things are hung on them. A box stands where the first piece on
 * it is, and reaches the zones of all pieces that somebody hung on it; the next one in the chain
 * may stand somewhere else.
 */
final class Chain {
  /**
   * A box for a piece.
   *
   * @param box from 1
   * @param metres of cable to it that are not there yet (m), where both zones have a place
   * @param fresh whether nothing hangs on it so far
   */
  record Spot(int box, Optional<Double> metres, boolean fresh) {}

  private final Yardstick measured;
  private final Optional<String> controllerZone;
  private final Banks banks;
  private final int bank;
  private final List<Double> entered = new ArrayList<>();

  /** The zones of the pieces on each box, in the order of hanging. */
  private final List<List<Optional<String>>> zones = new ArrayList<>();

  Chain(
      Yardstick measured,
      Controller controller,
      Optional<String> controllerZone,
      Banks banks,
      int bank) {
    this.measured = measured;
    this.controllerZone = controllerZone;
    this.banks = banks;
    this.bank = bank;
    for (int box = 1; box <= banks.mostBoxes(); box++) {
      int number = box;
      zones.add(new ArrayList<>());
      entered.add(
          controller.cables().stream()
              .filter(cable -> cable.bank() == bank && cable.box() == number)
              .mapToDouble(BankCable::metres)
              .findFirst()
              .orElse(-1));
    }
  }

  int bank() {
    return bank;
  }

  void hang(int box, Optional<String> zone) {
    if (box <= zones.size()) {
      zones.get(box - 1).add(zone);
    }
  }

  void takeOff(int box, Optional<String> zone) {
    if (box <= zones.size()) {
      List<Optional<String>> there = zones.get(box - 1);
      there.remove(there.lastIndexOf(zone));
    }
  }

  /**
   * The box for a piece: the nearest to the controller that stands in its zone, else one more.
   *
   * @param least the box on which the wire ends: it goes on, and never back
   * @return none where all boxes stand elsewhere, or the cable would be too long
   */
  Optional<Spot> spot(int least, Optional<String> zone) {
    Optional<String> stands = controllerZone;
    double sum = 0;
    for (int box = 1; box <= zones.size(); box++) {
      List<Optional<String>> there = zones.get(box - 1);
      if (there.isEmpty()) {
        if (box < least) {
          continue;
        }
        Optional<Double> metres = measured.metres(stands, zone);
        double whole = sum + cable(box, metres.orElse(0.0));
        return whole > banks.cableMetres()
            ? Optional.empty()
            : Optional.of(new Spot(box, metres, true));
      }
      Optional<String> here = there.get(0);
      if (box >= least && (zone.isEmpty() || there.contains(zone))) {
        return Optional.of(new Spot(box, Optional.of(0.0), false));
      }
      sum += cable(box, measured.metres(stands, here).orElse(0.0));
      stands = here;
    }
    return Optional.empty();
  }

  /** A box that somebody chose: as far as the way there from the last one before it. */
  Spot on(int box, Optional<String> zone) {
    boolean fresh = box > zones.size() || zones.get(box - 1).isEmpty();
    if (!fresh) {
      return new Spot(box, Optional.of(0.0), false);
    }
    Optional<String> stands = controllerZone;
    for (int before = Math.min(box - 1, zones.size()); before >= 1; before--) {
      if (!zones.get(before - 1).isEmpty()) {
        stands = zones.get(before - 1).get(0);
        break;
      }
    }
    return new Spot(box, measured.metres(stands, zone), true);
  }

  /** As somebody entered it, else as it is estimated (m). */
  private double cable(int box, double estimated) {
    return entered.get(box - 1) >= 0 ? entered.get(box - 1) : estimated;
  }
}
