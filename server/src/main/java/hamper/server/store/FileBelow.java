package hamper.server.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import org.h2.store.fs.FileBase;

/** A file of a layer: what the layer does not do otherwise is done by the file below it. */
public abstract class FileBelow extends FileBase {
  protected final FileChannel file;

  protected FileBelow(FileChannel file) {
    this.file = file;
  }

  @Override
  public abstract int write(ByteBuffer source, long position) throws IOException;

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
