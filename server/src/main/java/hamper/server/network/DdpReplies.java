package hamper.server.network;

import hamper.server.output.Door;
import hamper.value.Foreign;
import hamper.wire.Ddp;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** Puts answers to DDP status queries together, which may come in several packets. */
final class DdpReplies {
  /** Longest answer that is read (bytes), and most that are begun at a time. */
  private static final int MOST_BYTES = 65_536;

  private static final int MOST_BEGUN = 2_000;
  private static final int MOST_NAME = 80;

  private final Map<InetSocketAddress, byte[]> begun = new HashMap<>();

  /**
   * @return what a device says that it is, once all of its answer is there
   */
  Optional<String> take(InetSocketAddress sender, byte[] packet, int length) {
    boolean reply =
        Ddp.refuse(packet, length, false) == null
            && Ddp.is(packet, Ddp.REPLY)
            && Ddp.destination(packet) == Ddp.STATUS;
    long end = reply ? Ddp.offset(packet) + Ddp.length(packet) : 0;
    if (!reply || end > MOST_BYTES || begun.size() > MOST_BEGUN) {
      return Optional.empty();
    }
    byte[] text = begun.getOrDefault(sender, new byte[0]);
    if (text.length < end) {
      text = Arrays.copyOf(text, (int) end);
    }
    System.arraycopy(
        packet, Ddp.dataAt(packet), text, (int) Ddp.offset(packet), Ddp.length(packet));
    begun.put(sender, text);
    if (!Ddp.is(packet, Ddp.PUSH)) {
      return Optional.empty();
    }
    begun.remove(sender);
    return Optional.of(product(text));
  }

  /** Maker and model, read leniently: all of it may be left out. */
  private static String product(byte[] text) {
    try {
      JsonNode status = Door.JSON.readTree(new String(text, StandardCharsets.UTF_8)).path("status");
      String told = status.path("man").asString("") + " " + status.path("mod").asString("");
      return Foreign.line(told, MOST_NAME);
    } catch (JacksonException e) {
      return "";
    }
  }
}
