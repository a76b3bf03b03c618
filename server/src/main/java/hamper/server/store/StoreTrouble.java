package hamper.server.store;

import java.io.IOException;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Path;
import java.nio.file.ReadOnlyFileSystemException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.h2.mvstore.DataUtils;
import org.h2.mvstore.MVStoreException;

/** What went wrong with files, told from the errors of the system and of the engine. */
public enum StoreTrouble {
  FULL("the disk is full; make space there"),
  READ_ONLY("it cannot be written; check its permissions and that its disk is not read-only"),
  IN_USE("it is in use by another Hamper; stop that, or name another folder with --data"),
  DAMAGED("it is damaged"),
  OTHER("it cannot be read or written");

  private final String words;

  StoreTrouble(String words) {
    this.words = words;
  }

  /** What is wrong, and what helps; without the name of the place. */
  String words() {
    return words;
  }

  /** One sentence of the place and its trouble. */
  public static String sentence(Path place, Throwable e) {
    StoreTrouble trouble = of(e);
    String detail = trouble == OTHER ? " (" + innermost(e) + ")" : "";
    return "%s: %s%s".formatted(place, trouble.words, detail);
  }

  static StoreTrouble of(Throwable e) {
    for (Throwable cause : chain(e)) {
      String message = String.valueOf(cause.getMessage()).toLowerCase(Locale.ROOT);
      if (message.contains("no space left") || message.contains("quota exceeded")) {
        return FULL;
      }
      if (cause instanceof ReadOnlyFileSystemException
          || cause instanceof AccessDeniedException
          || message.contains("read-only file system")
          || message.contains("read only")
          || message.contains("permission denied")
          || message.contains("operation not permitted")) {
        return READ_ONLY;
      }
      if (cause instanceof OverlappingFileLockException
          || message.contains("may be already in use")
          || hasCode(cause, DataUtils.ERROR_FILE_LOCKED)) {
        return IN_USE;
      }
    }
    return chain(e).stream().anyMatch(StoreTrouble::saysDamaged) ? DAMAGED : OTHER;
  }

  private static boolean saysDamaged(Throwable cause) {
    return hasCode(cause, DataUtils.ERROR_FILE_CORRUPT)
        || hasCode(cause, DataUtils.ERROR_CHUNK_NOT_FOUND)
        || String.valueOf(cause.getMessage()).contains("File corrupted");
  }

  private static boolean hasCode(Throwable cause, int code) {
    return cause instanceof MVStoreException engine && engine.getErrorCode() == code;
  }

  /** What the system itself said, for what nobody foresaw. */
  private static String innermost(Throwable e) {
    List<Throwable> chain = chain(e);
    Throwable last = chain.get(chain.size() - 1);
    String message =
        last instanceof FileSystemException file ? file.getReason() : last.getMessage();
    if (message == null) {
      // all that these say is a path
      return last.getClass().getSimpleName().replaceAll("(?<=[a-z])(?=[A-Z])", " ").toLowerCase();
    }
    return message.lines().findFirst().orElse("").replaceAll(" \\[[0-9.\\-/]+]$", "");
  }

  /** What hides an error of the file system in one of the engine's is followed too. */
  private static List<Throwable> chain(Throwable e) {
    List<Throwable> chain = new ArrayList<>();
    for (Throwable cause = e; cause != null && chain.size() < 20; cause = cause.getCause()) {
      chain.add(cause);
    }
    return chain;
  }

  /** Something that works with files. */
  interface FileWork<T> {
    T run() throws IOException;
  }

  /**
   * @param place that it works on, for the sentence
   * @throws StoreException where the file system refuses
   */
  static <T> T told(Path place, FileWork<T> work) {
    try {
      return work.run();
    } catch (IOException | ReadOnlyFileSystemException e) {
      throw new StoreException(sentence(place, e), e);
    }
  }
}
