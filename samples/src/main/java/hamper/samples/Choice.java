package hamper.samples;

import hamper.display.Controller;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.value.RefusedException;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.Supplier;

/** What random planners choose. */
record Choice(Random random) {
  /**
   * @throws RefusedException where there is nothing to choose from
   */
  <T> T one(List<T> all) {
    if (all.isEmpty()) {
      throw new RefusedException("choice", "none", "there has to be something to choose from");
    }
    return all.get(random.nextInt(all.size()));
  }

  /** Something, every second time. */
  <T> Optional<T> maybe(Supplier<T> what) {
    return random.nextBoolean() ? Optional.of(what.get()) : Optional.empty();
  }

  Piece piece(Plan plan) {
    return one(one(plan.display().props()).pieces());
  }

  /**
   * @throws RefusedException where it happens to be something else
   */
  PixelString string(Plan plan) {
    if (piece(plan) instanceof PixelString string) {
      return string;
    }
    throw new RefusedException("piece", "something else", "a string is wanted");
  }

  Controller controller(Plan plan) {
    return one(plan.display().controllers());
  }

  /** One that is there already. */
  Leg leg(Plan plan) {
    return one(plan.leg(piece(plan).id()).stream().toList()).leg();
  }

  /** An id that is not taken, or hardly ever. */
  String id() {
    return "new-" + Integer.toHexString(random.nextInt());
  }
}
