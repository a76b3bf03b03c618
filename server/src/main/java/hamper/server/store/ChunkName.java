package hamper.server.store;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import org.h2.mvstore.DataUtils;
import org.h2.mvstore.MVStoreException;

/**
 * What the beginning of the engine's file says of the newest chunk. It stands there twice, in a
 * block each, as a line of names and hexadecimal values that ends with a checksum.
 *
 * @param chunk number of the chunk
 * @param block where it begins, in blocks
 * @param version of the store that it completes
 */
record ChunkName(long chunk, long block, long version) {
  private static final int BLOCK = 4096;

  /** The longest line that a chunk begins with (bytes). */
  private static final int LONGEST = 1024;

  private static final String CHUNK = "chunk:";
  private static final String CHECKSUM = "fletcher";

  /** Whether what is about to be written is a chunk. */
  static boolean isChunk(ByteBuffer written) {
    byte[] begin = new byte[Math.min(CHUNK.length(), written.remaining())];
    written.duplicate().get(begin);
    return new String(begin, StandardCharsets.ISO_8859_1).equals(CHUNK);
  }

  /** Of a chunk as it is about to be written. */
  static ChunkName of(ByteBuffer chunk, long position) {
    byte[] begin = new byte[Math.min(LONGEST, chunk.remaining())];
    chunk.get(begin);
    Map<String, String> line = DataUtils.parseMap(lineOf(begin, 0));
    return new ChunkName(number(line, "chunk"), position / BLOCK, number(line, "version"));
  }

  /** The beginning of a file with this chunk named in it; empty where a newer one is already. */
  byte[] in(byte[] beginning) {
    for (int at = 0; at < beginning.length; at += BLOCK) {
      String line = lineOf(beginning, at);
      int checked = line.lastIndexOf("," + CHECKSUM + ":");
      if (checked > 0 && isWhole(line, checked)) {
        return in(DataUtils.parseMap(line.substring(0, checked)));
      }
    }
    // the engine itself writes a new one
    return new byte[0];
  }

  private byte[] in(HashMap<String, String> line) {
    if (number(line, "version") >= version) {
      return new byte[0];
    }
    line.put("chunk", Long.toHexString(chunk));
    line.put("block", Long.toHexString(block));
    line.put("version", Long.toHexString(version));
    line.remove("clean");
    StringBuilder text = new StringBuilder();
    DataUtils.appendMap(text, line);
    DataUtils.appendMap(text, CHECKSUM, checksum(text.toString()));
    byte[] bytes = text.append('\n').toString().getBytes(StandardCharsets.ISO_8859_1);
    byte[] twice = new byte[2 * BLOCK];
    System.arraycopy(bytes, 0, twice, 0, bytes.length);
    System.arraycopy(bytes, 0, twice, BLOCK, bytes.length);
    return twice;
  }

  private static boolean isWhole(String line, int checked) {
    try {
      String told = DataUtils.parseMap(line).get(CHECKSUM);
      return (int) Long.parseLong(told, 16) == checksum(line.substring(0, checked));
    } catch (MVStoreException | NumberFormatException e) {
      return false;
    }
  }

  private static int checksum(String text) {
    byte[] bytes = text.getBytes(StandardCharsets.ISO_8859_1);
    return DataUtils.getFletcher32(bytes, 0, bytes.length);
  }

  private static String lineOf(byte[] bytes, int from) {
    byte[] block = Arrays.copyOfRange(bytes, from, Math.min(bytes.length, from + LONGEST));
    String text = new String(block, StandardCharsets.ISO_8859_1);
    int end = text.indexOf('\n');
    return end < 0 ? "" : text.substring(0, end).stripTrailing();
  }

  private static long number(Map<String, String> line, String name) {
    return Long.parseLong(line.getOrDefault(name, "0"), 16);
  }
}
