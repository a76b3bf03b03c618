package hamper.server.cli;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** Files that commands write: refusals name the file and say what is wrong. */
final class OutputFile {
  private OutputFile() {}

  static void write(Path file, byte[] bytes) throws IOException {
    try {
      Files.write(file, bytes);
    } catch (NoSuchFileException e) {
      throw new Trouble("%s: there is no folder for it; make it first".formatted(file));
    } catch (IOException e) {
      throw Trouble.of(file, e);
    }
  }

  static void makeFolder(Path folder) throws IOException {
    try {
      Files.createDirectories(folder);
    } catch (FileAlreadyExistsException e) {
      throw new Trouble("%s: it is a file; name a folder with --out".formatted(folder));
    } catch (IOException e) {
      throw Trouble.of(folder, e);
    }
  }
}
