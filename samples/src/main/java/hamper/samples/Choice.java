package hamper.samples;

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

  /** An id that is not taken, or hardly ever. */
  String id() {
    return "new-" + Integer.toHexString(random.nextInt());
  }
}
