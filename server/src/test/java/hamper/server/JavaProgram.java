package hamper.server;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.spi.ToolProvider;
import java.util.stream.Stream;

/**
 * Classes of the tests as programs of their own, which are started often and run shortly. Their
 * class path is of archives only, with the loaded classes of a server kept beside them: a start
 * takes about half of what it takes from folders of classes. Where that cannot be made they start
 * as they are, only later.
 */
public final class JavaProgram {
  private static final Path FOLDER = Path.of("target", "programs");
  private static final Path ARCHIVE = FOLDER.resolve("loaded.jsa");
  private static final int PATIENCE = 120;

  /** One compiler, and only the quick one: what it does for speed is hardly paid back. */
  private static final List<String> QUICK =
      List.of(java(), "-XX:TieredStopAtLevel=1", "-XX:CICompilerCount=1");

  private static List<String> prepared;

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
    command.addAll(prepared());
    command.add(program.getName());
    command.addAll(List.of(arguments));
    return command;
  }

  /** Where Java is. */
  public static String java() {
    return Path.of(System.getProperty("java.home"), "bin", "java").toString();
  }

  /** Class path, and the archive of what a server loads. */
  private static synchronized List<String> prepared() {
    if (prepared == null) {
      List<String> entries =
          List.of(
              System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"))
                  .split(":"));
      try {
        prepared = prepare(entries);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return prepared;
  }

  /** Made once for all tests that run side by side; who comes second waits, and finds it. */
  private static List<String> prepare(List<String> entries) throws IOException {
    Files.createDirectories(FOLDER);
    try (RandomAccessFile file = new RandomAccessFile(FOLDER.resolve("lock").toFile(), "rw")) {
      file.getChannel().lock(); // until it is closed
      String made = entries + " of " + newest(entries);
      Path stamp = FOLDER.resolve("made");
      boolean current = Files.exists(stamp) && Files.readString(stamp).equals(made);
      String path = String.join(":", packed(entries, current));
      if (!current) {
        Files.deleteIfExists(ARCHIVE);
        archive(path);
        Files.writeString(stamp, made);
      }
      List<String> options = new ArrayList<>();
      if (Files.exists(ARCHIVE)) {
        options.add("-XX:SharedArchiveFile=" + ARCHIVE.toAbsolutePath());
        options.addAll(List.of("-Xlog:cds=off", "-Xlog:cds+dynamic=off"));
      }
      options.addAll(List.of("-cp", path));
      return options;
    }
  }

  private static long newest(List<String> entries) throws IOException {
    long newest = 0;
    for (String entry : entries) {
      try (Stream<Path> all = Files.walk(Path.of(entry))) {
        newest =
            Math.max(newest, all.mapToLong(one -> one.toFile().lastModified()).max().orElse(0));
      }
    }
    return newest;
  }

  private static List<String> packed(List<String> entries, boolean current) {
    List<String> packed = new ArrayList<>();
    for (String entry : entries) {
      if (Files.isDirectory(Path.of(entry))) {
        Path jar = FOLDER.resolve("classes-" + packed.size() + ".jar").toAbsolutePath();
        if (!current) {
          ToolProvider.findFirst("jar")
              .orElseThrow()
              .run(
                  System.out,
                  System.err,
                  "--create",
                  "--no-compress",
                  "--file",
                  "" + jar,
                  "-C",
                  entry,
                  ".");
        }
        packed.add(jar.toString());
      } else {
        packed.add(entry);
      }
    }
    return packed;
  }

  /** Starts a server with the demo, which ends as soon as it is up, and keeps what it loaded. */
  private static void archive(String path) throws IOException {
    Path data = Files.createTempDirectory(FOLDER.toAbsolutePath(), "data");
    List<String> command = new ArrayList<>(QUICK);
    command.addAll(
        List.of(
            "-XX:+UseSerialGC",
            "-XX:ArchiveClassesAtExit=" + ARCHIVE.toAbsolutePath(),
            "-Dspring.context.exit=onRefresh",
            "-cp",
            path,
            hamper.server.cli.Hamper.class.getName(),
            "demo",
            "--port",
            "0",
            "--data",
            data.toString()));
    Process process =
        new ProcessBuilder(command)
            .redirectErrorStream(true)
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .start();
    try {
      if (!process.waitFor(PATIENCE, TimeUnit.SECONDS)) {
        process.destroyForcibly();
      }
    } catch (InterruptedException e) {
      throw new IOException(e);
    }
    try (Stream<Path> all = Files.walk(data)) {
      all.sorted((a, b) -> b.compareTo(a)).forEach(one -> one.toFile().delete());
    }
  }
}
