package hamper.capture;

import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;

/** Reads a file from its beginning or from a place in it, and knows at which byte it is. */
final class CountedInput {
  private final InputStream in;
  private long position;

  /**
   * @param position of the next byte in the file
   */
  CountedInput(InputStream in, long position) {
    this.in = in;
    this.position = position;
  }

  long position() {
    return position;
  }

  /**
   * Reads so many bytes, or as many as there are.
   *
   * @return how many
   */
  int read(byte[] to, int count) throws IOException {
    int read = in.readNBytes(to, 0, count);
    position += read;
    return read;
  }

  /**
   * @throws EOFException where the file ends before
   */
  void readFully(byte[] to, int count) throws IOException {
    if (read(to, count) < count) {
      throw new EOFException();
    }
  }

  /**
   * @throws EOFException where the file ends before
   */
  void skip(long count) throws IOException {
    try {
      in.skipNBytes(count);
    } finally {
      position += count;
    }
  }
}
