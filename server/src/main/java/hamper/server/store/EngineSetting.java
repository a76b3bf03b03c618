package hamper.server.store;

import java.nio.file.Path;

/**
 * How the engine writes. Production knows one setting; tests have others, to see in seconds what
 * otherwise takes hours.
 *
 * @param scheme of the file system that the engine writes through
 * @param retentionMillis how long space stays untouched after what was in it has been replaced (ms)
 */
public record EngineSetting(String scheme, int retentionMillis) {
  /** Why these values: docs/decisions/9. */
  public static final EngineSetting PRODUCTION = new EngineSetting(OrderedFiles.SCHEME, 45_000);

  static {
    OrderedFiles.register();
  }

  /**
   * The address of a database. What was committed is in the file (no write delay), and on the disk
   * once it has been forced there; space is used again; nothing is moved about when it is closed
   * (packing is ours); nothing is written beside it.
   *
   * @param name its path without the ending {@code .mv.db}
   */
  String url(Path name) {
    return url(name, 0);
  }

  /**
   * The address of a database that is being made, and which nobody uses before it is whole: what is
   * committed may wait for the file, since all of it is forced there once, at the end. Making the
   * tables takes a quarter of the time so.
   *
   * @param name its path without the ending {@code .mv.db}
   */
  String draftUrl(Path name) {
    return url(name, 500);
  }

  private String url(Path name, int writeDelayMillis) {
    return ("jdbc:h2:%s:%s;WRITE_DELAY=%d;RETENTION_TIME=%d;REUSE_SPACE=TRUE;MAX_COMPACT_TIME=0"
            + ";DB_CLOSE_ON_EXIT=FALSE;TRACE_LEVEL_FILE=0")
        .formatted(scheme, name.toAbsolutePath(), writeDelayMillis, retentionMillis);
  }
}
