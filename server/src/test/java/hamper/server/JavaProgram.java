package hamper.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * Classes of the tests as programs of their own, which are started often and run shortly. Before
 * their own class path stands the program as it is packed, with its archive of loaded classes: a
 * start takes about half of what it takes from folders of classes. Where it is not packed, or older
 * than its classes, they start as they are, only later.
 */
public final class JavaProgram {
  private static final Path APP = Path.of("target", "app");
  private static final Path PACKED = APP.resolve("hamper-app.jar");
  private static final Path ARCHIVE = APP.resolve("hamper.jsa");
  private static final Path CLASSES = Path.of("target", "classes").toAbsolutePath();

  /** One compiler, and only the quick one: what it does for speed is hardly paid back. */
  private static final List<String> QUICK =
      List.of(java(), "-XX:TieredStopAtLevel=1", "-XX:CICompilerCount=1");

  private JavaProgram() {}

  /** The command that starts a program. */
  public static List<String> of(Class<?> program, String... arguments) {
    return of(List.of("-XX:+UseSerialGC"), program, arguments);
  }

  /**
   * @param options of the virtual machine: its collector, and what else is to be another
   */
  public static List<String> of(List<String> options, Class<?> program, String... arguments) {
    List<String> command = new ArrayList<>(QUICK);
    command.addAll(options);
    List<String> path = classPath();
    if (isPacked(path)) {
      command.add("-XX:SharedArchiveFile=" + ARCHIVE.toAbsolutePath());
      command.addAll(List.of("-Xlog:cds=off", "-Xlog:cds+dynamic=off"));
      path.removeIf(JavaProgram::isInIt);
      path.add(0, PACKED.toAbsolutePath().toString());
    }
    command.addAll(List.of("-cp", String.join(":", path), program.getName()));
    command.addAll(List.of(arguments));
    return command;
  }

  /** Where Java is. */
  public static String java() {
    return Path.of(System.getProperty("java.home"), "bin", "java").toString();
  }

  private static List<String> classPath() {
    String path =
        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
    return new ArrayList<>(List.of(path.split(":")));
  }

  private static boolean isPacked(List<String> path) {
    return Files.exists(ARCHIVE)
        && path.stream()
            .filter(JavaProgram::isInIt)
            .allMatch(entry -> newest(Path.of(entry)) <= modified(PACKED));
  }

  private static boolean isInIt(String entry) {
    return Path.of(entry).equals(CLASSES)
        || Files.exists(APP.resolve("lib").resolve(Path.of(entry).getFileName()));
  }

  private static long newest(Path entry) {
    try (Stream<Path> files = Files.walk(entry)) {
      return files.filter(Files::isRegularFile).mapToLong(JavaProgram::modified).max().orElse(0);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static long modified(Path path) {
    return path.toFile().lastModified();
  }
}
