package hamper.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.display.Display;
import java.nio.file.Path;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What was removed is kept for its time, and forgotten for good after it. */
class ForgottenDisplaysTest {
  @TempDir Path folder;

  @Test
  void onlyWhatWasRemovedLongAgoIsForgotten() {
    try (Engine engine = Engine.open(folder)) {
      DisplayStore store = new DisplayStore(engine);
      store.add("old", Display.empty("Old"));
      store.add("new", Display.empty("New"));
      store.setRemoved("old", true);
      assertThat(store.forget(Instant.now().minus(DisplayStore.KEPT))).isZero();
      assertThat(store.removed()).extracting(DisplayStore.Listed::id).containsExactly("old");
      assertThat(store.forget(Instant.now().plusSeconds(1))).isEqualTo(1);
      assertThat(store.removed()).isEmpty();
      assertThat(store.list()).extracting(DisplayStore.Listed::id).containsExactly("new");
    }
  }
}
