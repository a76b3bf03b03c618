package hamper.server;

import hamper.catalog.Catalog;
import hamper.files.CatalogueFiles;
import hamper.files.Json;
import hamper.server.handover.Seasons;
import hamper.server.output.Ground;
import hamper.server.output.LiveGround;
import hamper.server.output.OutputSetting;
import hamper.server.output.StandInGround;
import hamper.server.output.YardProcess;
import hamper.server.store.CopyRounds;
import hamper.server.store.CrewKeyStore;
import hamper.server.store.DailyCopies;
import hamper.server.store.DisplayStore;
import hamper.server.store.DoorFiles;
import hamper.server.store.Engine;
import hamper.server.store.HandoverStore;
import hamper.server.store.MilestoneStore;
import hamper.server.store.Photos;
import hamper.server.store.ProgressStore;
import hamper.server.store.StoreException;
import hamper.server.store.TrialStore;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.context.support.GenericApplicationContext;

/** The server: H2 file, REST API and the interface's files. */
@SpringBootApplication
@Import({
  HandoverStore.class,
  MilestoneStore.class,
  TrialStore.class,
  ProgressStore.class,
  Photos.class,
  CrewKeyStore.class,
  DoorFiles.class,
  DisplayStore.class
})
public class Server {
  /**
   * Starts it.
   *
   * @param port 0 for any free one
   * @param data the folder that holds the database; made where it is missing
   * @throws StoreException where that folder cannot be used
   */
  public static ConfigurableApplicationContext start(int port, Path data) {
    return start(port, data, OutputSetting.standIns(data));
  }

  /**
   * Starts it.
   *
   * @param output where light is sent
   */
  public static ConfigurableApplicationContext start(int port, Path data, OutputSetting output) {
    // before everything else: trouble with it is said at once, in one sentence
    return start(port, Engine.open(data), output);
  }

  /**
   * Starts it on a database that is open, which it closes when it ends.
   *
   * @param port 0 for any free one
   */
  public static ConfigurableApplicationContext start(int port, Engine engine) {
    return start(port, engine, OutputSetting.standIns(engine.path()));
  }

  private static ConfigurableApplicationContext start(
      int port, Engine engine, OutputSetting output) {
    SpringApplication application = new SpringApplication(Server.class);
    application.setDefaultProperties(Map.of("server.port", port));
    application.addInitializers(
        context -> register(engine, output, (GenericApplicationContext) context));
    try {
      return application.run();
    } catch (RuntimeException e) {
      engine.close();
      throw e;
    }
  }

  private static void register(
      Engine engine, OutputSetting output, GenericApplicationContext context) {
    context.registerBean(Engine.class, () -> engine, bean -> bean.setLazyInit(false));
    context.registerBean(OutputSetting.class, () -> output);
  }

  /** The stand-ins end with a server that is stopped, not with one that is killed. */
  @Bean(destroyMethod = "end")
  YardProcess yard(OutputSetting setting) {
    return new YardProcess(setting.folder());
  }

  @Bean
  Ground ground(OutputSetting setting, YardProcess yard, Seasons seasons) {
    return setting.live()
        ? new LiveGround(setting.adapter())
        : new StandInGround(yard, seasons::knows);
  }

  @Bean
  CopyRounds copyRounds(Engine engine) {
    return new CopyRounds(engine, new DailyCopies(engine, Clock.systemDefaultZone()));
  }

  @Bean
  Catalog catalog() {
    return CatalogueFiles.shipped();
  }

  /** The API reads and writes values exactly as files do. */
  @Bean
  JsonMapperBuilderCustomizer valuesAsInFiles() {
    return Json::configure;
  }
}
