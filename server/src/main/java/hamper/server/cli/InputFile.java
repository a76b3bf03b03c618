package hamper.server.cli;

import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import picocli.CommandLine.Parameters;

/** The display file that a command works on. */
final class InputFile {
  @Parameters(paramLabel = "FILE", description = "a display file (*.hamper.json)")
  private Path file;

  Facts read() throws IOException {
    return Facts.of(contents().plan());
  }

  /** With its milestones. */
  DisplayFile.Contents contents() throws IOException {
    return contents(file);
  }

  static DisplayFile.Contents contents(Path file) throws IOException {
    if (!Files.isRegularFile(file)) {
      throw new Trouble(
          Files.exists(file)
              ? "%s: it is not a file".formatted(file)
              : "%s: there is no such file".formatted(file));
    }
    try (InputStream in = Files.newInputStream(file)) {
      // one byte more than is allowed is enough to refuse it
      byte[] bytes = in.readNBytes(DisplayFile.MOST_BYTES + 1);
      return DisplayFile.open(bytes, CatalogueFiles.shipped());
    } catch (IOException e) {
      throw Trouble.of(file, e);
    }
  }
}
