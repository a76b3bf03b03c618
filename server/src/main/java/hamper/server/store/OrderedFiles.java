package hamper.server.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import org.h2.store.fs.FileBase;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * The file system that the engine writes through: it keeps the order in which things reach the
 * disk.
 *
 * <p>The engine writes its file in chunks, each with a header in front and a footer at its end, and
 * now and then names the newest chunk at the very beginning of the file. It tells a whole chunk by
 * header and footer alone. A disk that loses its power may have written a footer and not what
 * stands before it, or the name of a chunk and not the chunk. So everything before a footer is
 * forced onto the disk before the footer is written, and everything before the beginning of the
 * file is changed.
 */
public final class OrderedFiles extends FilePathWrapper {
  static final String SCHEME = "ordered";

  /** The beginning of the file, which names the newest chunk (bytes). */
  private static final int BEGINNING = 2 * 4096;

  /** What a disk writes as a whole; the footer stands in the last one (bytes). */
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

  private static final class Ordered extends FileBase {
    private final FileChannel file;

    Ordered(FileChannel file) {
      this.file = file;
    }

    @Override
    public synchronized int write(ByteBuffer source, long position) throws IOException {
      int begin = source.position();
      if (position < BEGINNING) {
        file.force(false);
      } else if (source.remaining() > SECTOR) {
        ByteBuffer body = source.duplicate();
        body.limit(body.limit() - SECTOR);
        writeFully(body, position);
        file.force(false);
        source.position(body.position());
      }
      writeFully(source, position + source.position() - begin);
      return source.position() - begin;
    }

    private void writeFully(ByteBuffer source, long position) throws IOException {
      long at = position;
      while (source.hasRemaining()) {
        at += file.write(source, at);
      }
    }

    @Override
    public synchronized int write(ByteBuffer source) throws IOException {
      long position = file.position();
      int count = write(source, position);
      file.position(position + count);
      return count;
    }

    @Override
    public FileChannel truncate(long size) throws IOException {
      file.truncate(size);
      return this;
    }

    @Override
    public void force(boolean metaData) throws IOException {
      file.force(metaData);
    }

    @Override
    public int read(ByteBuffer target, long position) throws IOException {
      return file.read(target, position);
    }

    @Override
    public int read(ByteBuffer target) throws IOException {
      return file.read(target);
    }

    @Override
    public long position() throws IOException {
      return file.position();
    }

    @Override
    public FileChannel position(long position) throws IOException {
      file.position(position);
      return this;
    }

    @Override
    public long size() throws IOException {
      return file.size();
    }

    @Override
    public FileLock tryLock(long position, long size, boolean shared) throws IOException {
      return file.tryLock(position, size, shared);
    }

    @Override
    protected void implCloseChannel() throws IOException {
      file.close();
    }
  }
}
