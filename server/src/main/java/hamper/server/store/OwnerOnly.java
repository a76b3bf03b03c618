package hamper.server.store;

import java.io.IOException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermissions;

/** What somebody plans is nobody else's business: folders and files that only their owner reads. */
final class OwnerOnly {
  /** Whether files have owners, groups and others here. */
  static final boolean POSIX =
      FileSystems.getDefault().supportedFileAttributeViews().contains("posix");

  private OwnerOnly() {}

  /** Makes a folder, and those above it that are missing. */
  static void makeFolder(Path folder) throws IOException {
    Files.createDirectories(folder, attributes("rwx------"));
  }

  static FileAttribute<?>[] forFile() {
    return attributes("rw-------");
  }

  /** Takes the rights of others away; where the file system has none, nothing happens. */
  static void narrow(Path path) throws IOException {
    if (POSIX) {
      String rights = Files.isDirectory(path) ? "rwx------" : "rw-------";
      Files.setPosixFilePermissions(path, PosixFilePermissions.fromString(rights));
    }
  }

  private static FileAttribute<?>[] attributes(String rights) {
    return POSIX
        ? new FileAttribute<?>[] {
          PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString(rights))
        }
        : new FileAttribute<?>[0];
  }
}
