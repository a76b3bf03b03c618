package hamper.server.trial;

import hamper.server.store.FileBelow;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * A file system below the engine that notes in which order a database is written, cut and forced.
 * What was not forced may be on the disk or not when the power goes.
 */
public final class RecordedFiles extends FilePathWrapper {
  static final String SCHEME = "recorded";

  /** Something that happened to the file. */
  sealed interface Event {}

  record Written(long position, byte[] bytes) implements Event {}

  record Cut(long size) implements Event {}

  record Forced() implements Event {}

  /** A version was acknowledged to somebody. */
  record Acknowledged(int version) implements Event {}

  private static final List<Event> EVENTS = new ArrayList<>();
  private static byte[] begin;

  /** Begins anew. */
  static synchronized void record() {
    FilePath.register(new RecordedFiles());
    EVENTS.clear();
    begin = null;
  }

  static synchronized void acknowledge(int version) {
    EVENTS.add(new Acknowledged(version));
  }

  /** All that happened since the database was opened. */
  static synchronized List<Event> events() {
    return List.copyOf(EVENTS);
  }

  /** The file as it was when it was opened. */
  static synchronized byte[] begin() {
    return begin.clone();
  }

  private static synchronized void add(Event event) {
    EVENTS.add(event);
  }

  @Override
  public String getScheme() {
    return SCHEME;
  }

  @Override
  public FileChannel open(String mode) throws IOException {
    FileChannel file = super.open(mode);
    if (!name.endsWith("hamper.mv.db")) {
      return file;
    }
    synchronized (RecordedFiles.class) {
      begin = Files.readAllBytes(Path.of(unwrap().toString()));
      EVENTS.clear();
    }
    return new Recorded(file);
  }

  private static final class Recorded extends FileBelow {
    Recorded(FileChannel file) {
      super(file);
    }

    @Override
    public synchronized int write(ByteBuffer source, long position) throws IOException {
      byte[] bytes = new byte[source.remaining()];
      source.duplicate().get(bytes);
      int count = file.write(source, position);
      if (count != bytes.length) {
        throw new IOException("written in parts, which is not recorded");
      }
      add(new Written(position, bytes));
      return count;
    }

    @Override
    public synchronized FileChannel truncate(long size) throws IOException {
      file.truncate(size);
      add(new Cut(size));
      return this;
    }

    @Override
    public synchronized void force(boolean metaData) throws IOException {
      file.force(metaData);
      add(new Forced());
    }
  }
}
