package hamper.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What fails is closed, and what others do at the same time does not fail with it. */
class EngineTest {
  private static final int SECONDS = 30;

  @TempDir Path folder;

  private Engine engine;
  private JdbcClient db;

  @BeforeEach
  void open() {
    engine = Engine.open(folder);
    db = JdbcClient.create(engine.source());
    engine.write(() -> db.sql("create table word (text varchar)").update());
  }

  @AfterEach
  void close() {
    engine.close();
  }

  private int words() {
    return engine.read(() -> db.sql("select count(*) from word").query(Integer.class).single());
  }

  private void add(String word) {
    engine.write(() -> db.sql("insert into word values (?)").param(word).update());
  }

  private int failing() {
    return db.sql("select count(*) from nowhere").query(Integer.class).single();
  }

  @Test
  void whatOthersAreInTheMidstOfComesToItsEndBeforeItIsClosed() throws Exception {
    CountDownLatch begun = new CountDownLatch(1);
    CountDownLatch failed = new CountDownLatch(1);
    CompletableFuture<Void> other =
        CompletableFuture.runAsync(
            () ->
                engine.write(
                    () -> {
                      db.sql("insert into word values ('first')").update();
                      begun.countDown();
                      await(failed);
                      db.sql("insert into word values ('second')").update();
                    }));
    await(begun);
    CompletableFuture<Void> failing =
        CompletableFuture.runAsync(
            () ->
                engine.write(
                    () -> {
                      try {
                        failing();
                      } finally {
                        failed.countDown();
                      }
                    }));
    assertThatThrownBy(() -> failing.get(SECONDS, TimeUnit.SECONDS))
        .hasCauseInstanceOf(StorageFailedException.class);
    other.get(SECONDS, TimeUnit.SECONDS);
    assertThat(words()).isEqualTo(2);
    add("third");
    assertThat(words()).isEqualTo(3);
  }

  @Test
  void whoeverComesMeanwhileFindsItOpenAgain() {
    for (int i = 0; i < 20; i++) {
      CompletableFuture<?> failing =
          CompletableFuture.runAsync(() -> engine.read(this::failing)).exceptionally(e -> null);
      add("again");
      assertThat(words()).isEqualTo(i + 1);
      failing.join();
    }
  }

  @Test
  void aFailureWithinIsTheFailureOfTheWholeAndHoldsNobodyUp() {
    assertThatThrownBy(() -> engine.write(() -> engine.read(this::failing)))
        .isInstanceOf(StorageFailedException.class);
    add("then");
    assertThat(words()).isEqualTo(1);
  }

  private static void await(CountDownLatch latch) {
    try {
      assertThat(latch.await(SECONDS, TimeUnit.SECONDS)).isTrue();
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }
}
