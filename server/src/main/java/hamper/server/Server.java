package hamper.server;

import hamper.catalog.Catalog;
import hamper.files.CatalogueFiles;
import hamper.files.Json;
import hamper.server.store.StoreFile;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;

/** The server: H2 file, REST API and the interface's files. */
@SpringBootApplication
public class Server {
  /**
   * Starts it.
   *
   * @param port 0 for any free one
   * @param data the folder that holds the database; made where it is missing
   */
  public static ConfigurableApplicationContext start(int port, Path data) {
    SpringApplication application = new SpringApplication(Server.class);
    Map<String, Object> properties = new LinkedHashMap<>();
    properties.put("server.port", port);
    properties.put("spring.datasource.url", StoreFile.url(data));
    application.setDefaultProperties(properties);
    return application.run();
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
