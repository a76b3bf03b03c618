package hamper.server.trial;

import hamper.server.trial.RecordedFiles.Cut;
import hamper.server.trial.RecordedFiles.Event;
import hamper.server.trial.RecordedFiles.Written;
import java.util.Arrays;
import java.util.Random;

/** What is on a disk: what was forced for certain, of the rest whatever the disk liked to write. */
final class Disk {
  /** What a disk writes as a whole (bytes). */
  private static final int SECTOR = 512;

  private byte[] bytes;
  private int size;

  Disk(byte[] begin) {
    bytes = begin;
    size = begin.length;
  }

  Disk copy() {
    Disk copy = new Disk(Arrays.copyOf(bytes, bytes.length));
    copy.size = size;
    return copy;
  }

  byte[] content() {
    return Arrays.copyOf(bytes, size);
  }

  /** It got there. */
  void take(Event event) {
    if (event instanceof Written written) {
      put(written.position(), written.bytes(), 0, written.bytes().length);
    } else if (event instanceof Cut cut) {
      size = (int) cut.size();
    }
  }

  /** It was being written. */
  void takeBeginning(Event event, Random random) {
    if (event instanceof Written written) {
      put(written.position(), written.bytes(), 0, random.nextInt(written.bytes().length + 1));
    } else if (random.nextBoolean()) {
      take(event);
    }
  }

  /** It was on its way: all of it got there, nothing, its beginning, or any of its sectors. */
  void takePerhaps(Event event, Random random) {
    int luck = random.nextInt(4);
    if (luck == 0) {
      take(event);
    } else if (luck > 1 && event instanceof Written written) {
      int sectors = (written.bytes().length + SECTOR - 1) / SECTOR;
      int beginning = random.nextInt(sectors + 1);
      for (int i = 0; i < sectors; i++) {
        if (luck == 2 ? i < beginning : random.nextBoolean()) {
          int from = i * SECTOR;
          put(
              written.position(),
              written.bytes(),
              from,
              Math.min(from + SECTOR, written.bytes().length));
        }
      }
    }
  }

  private void put(long position, byte[] source, int from, int to) {
    int end = (int) position + to;
    if (end > bytes.length) {
      bytes = Arrays.copyOf(bytes, Math.max(end, bytes.length * 3 / 2));
    }
    if (end > size) {
      Arrays.fill(bytes, size, end, (byte) 0);
      size = end;
    }
    System.arraycopy(source, from, bytes, (int) position + from, to - from);
  }
}
