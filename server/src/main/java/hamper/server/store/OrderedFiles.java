package hamper.server.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * The file system that the engine writes through: it keeps the order in which things reach the disk
 * (docs/decisions/9).
 *
 * <p>The engine writes its file in chunks, each with a header in front and a footer at its end, and
 * tells a whole chunk by these alone. A disk that loses its power may have written a footer and not
 * what stands before it. So all of a chunk is forced onto the disk before its footer is written.
 *
 * <p>Now and then the engine names the newest chunk at the beginning of the file, and finds later
 * ones by following each to the next. Where space is used again, one on the way may be overwritten
 * before the beginning is. So each chunk is named there, once it is on the disk, before anybody can
 * be told that it is stored.
 */
public final class OrderedFiles extends FilePathWrapper {
  static final String SCHEME = "ordered";

  /** The beginning of the file, which names the newest chunk (bytes). */
  private static final int BEGINNING = 2 * 4096;

  /** What a disk writes as a whole; the footer stands in the last one of a chunk (bytes). */
  private static final int SECTOR = 512;

  /** Makes the scheme known to the engine. */
  static void register() {
    FilePath.register(new OrderedFiles());
  }

  @Override
  public String getScheme() {
    return SCHEME;
  }

  @Override
  public FileChannel open(String mode) throws IOException {
    return new Ordered(super.open(mode));
  }

  private static final class Ordered extends FileBelow {
    Ordered(FileChannel file) {
      super(file);
    }

    @Override
    public synchronized int write(ByteBuffer source, long position) throws IOException {
      int length = source.remaining();
      if (position < BEGINNING || length <= SECTOR || !ChunkName.isChunk(source)) {
        file.force(false);
        writeFully(source, position);
      } else {
        ChunkName chunk = ChunkName.of(source.duplicate(), position);
        ByteBuffer body = source.duplicate();
        body.limit(body.limit() - SECTOR);
        writeFully(body, position);
        file.force(false);
        source.position(body.position());
        writeFully(source, position + length - SECTOR);
        file.force(false);
        name(chunk);
      }
      return length;
    }

    private void name(ChunkName chunk) throws IOException {
      ByteBuffer beginning = ByteBuffer.allocate(BEGINNING);
      while (beginning.hasRemaining() && file.read(beginning, beginning.position()) > 0) {
        // until it is full
      }
      byte[] named = chunk.in(beginning.array());
      if (named.length > 0) {
        writeFully(ByteBuffer.wrap(named), 0);
      }
    }

    private void writeFully(ByteBuffer source, long position) throws IOException {
      long at = position;
      while (source.hasRemaining()) {
        at += file.write(source, at);
      }
    }
  }
}
