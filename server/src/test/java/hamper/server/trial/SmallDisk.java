package hamper.server.trial;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;

/** A small file system of its own for one process, which can be filled up and made empty again. */
final class SmallDisk {
  private static final boolean ROOT = "root".equals(System.getProperty("user.name"));

  private SmallDisk() {}

  /**
   * What to put before a command, so that it finds a disk of its own at a folder.
   *
   * @param megabytes that it holds
   * @param prepare what a shell does there first
   */
  static List<String> at(Path folder, int megabytes, String prepare) {
    String script =
        "mount -t tmpfs -o size=%dm tmpfs \"$0\" && cd \"$0\" && %s && cd / && exec \"$@\""
            .formatted(megabytes, prepare);
    return List.of("unshare", ROOT ? "-m" : "-rm", "bash", "-c", script, folder.toString());
  }

  /** The folder as the process sees it. */
  static Path seenBy(long pid, Path folder) {
    return Path.of("/proc/" + pid + "/root" + folder.toAbsolutePath());
  }

  /** Takes all space that is left. */
  /** Fills what is free; once more, what has become free since. */
  static void fill(Path folder) throws IOException {
    Path filler = folder.resolve("filler");
    try (OutputStream out =
        Files.newOutputStream(filler, StandardOpenOption.CREATE, StandardOpenOption.APPEND)) {
      byte[] block = new byte[4096];
      while (true) {
        out.write(block);
      }
    } catch (IOException e) {
      if (!String.valueOf(e.getMessage()).contains("No space")) {
        throw e;
      }
    }
  }

  static void empty(Path folder) throws IOException {
    Files.delete(folder.resolve("filler"));
  }
}
