package hamper.server;

import hamper.catalog.Catalog;
import hamper.files.CatalogueFiles;
import hamper.files.Json;
import hamper.server.store.CopyRounds;
import hamper.server.store.DailyCopies;
import hamper.server.store.DisplayStore;
import hamper.server.store.Engine;
import hamper.server.store.StoreException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.support.GenericApplicationContext;

/** The server: H2 file, REST API and the interface's files. */
@SpringBootApplication
public class Server {
  /**
   * Starts it.
   *
   * @param port 0 for any free one
   * @param data the folder that holds the database; made where it is missing
   * @throws StoreException where that folder cannot be used
   */
  public static ConfigurableApplicationContext start(int port, Path data) {
    // before everything else: trouble with it is said at once, in one sentence
    return start(port, Engine.open(data));
  }

  /**
   * Starts it on a database that is open, which it closes when it ends.
   *
   * @param port 0 for any free one
   */
  public static ConfigurableApplicationContext start(int port, Engine engine) {
    SpringApplication application = new SpringApplication(Server.class);
    application.setDefaultProperties(Map.of("server.port", port));
    application.addInitializers(context -> register(engine, (GenericApplicationContext) context));
    try {
      return application.run();
    } catch (RuntimeException e) {
      engine.close();
      throw e;
    }
  }

  private static void register(Engine engine, GenericApplicationContext context) {
    context.registerBean(Engine.class, () -> engine, bean -> bean.setLazyInit(false));
  }

  @Bean
  DisplayStore store(Engine engine) {
    return new DisplayStore(engine);
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
