package hamper.server.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Optional;

/**
 * What a new folder begins with: a database with all its tables and nothing in them. It is made by
 * the same steps that lead earlier ones to today's tables, once, when the program is built.
 */
final class EmptyDatabase {
  private static final String NAME = "/db/empty.mv.db";

  private EmptyDatabase() {}

  /** Missing in a program that was not built by Maven. */
  static Optional<InputStream> open() {
    return Optional.ofNullable(EmptyDatabase.class.getResourceAsStream(NAME));
  }

  /**
   * Makes it; called by the build.
   *
   * @param args the folder of classes that it is put into
   */
  public static void main(String[] args) throws IOException {
    Path made = Path.of(args[0] + NAME);
    Files.deleteIfExists(made);
    Path folder = Files.createTempDirectory("hamper-empty");
    Engine engine = Engine.open(folder);
    Path file = engine.folder().database();
    engine.close();
    Files.move(file, made, StandardCopyOption.REPLACE_EXISTING);
    try (var left = Files.walk(folder)) {
      for (Path one : left.sorted((a, b) -> b.compareTo(a)).toList()) {
        Files.delete(one);
      }
    }
  }
}
