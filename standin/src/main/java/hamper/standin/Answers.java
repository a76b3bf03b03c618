package hamper.standin;

import hamper.wire.ArtNet;
import hamper.wire.ArtPollReply;
import hamper.wire.Ddp;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a device answers to those who look for it: ArtPollReply, status and configuration on DDP.
 */
final class Answers {
  private static final int PORTS = 4;
  private static final int OUTPUT = 0x80;
  private static final int NO_OEM = 0x00ff;

  /** It has a web page, and takes 15 bits of Port-Address. Source: Art-Net 4, Status2. */
  private static final int STATUS_2 = 0x09;

  private static final int NORMAL = 0xc0;

  private Answers() {}

  /**
   * One reply for each four universes whose upper bits agree; one without any where it listens to
   * none.
   *
   * @param universes that it listens to on Art-Net
   * @param count of replies before
   */
  static List<byte[]> toPoll(String address, Label label, Set<Integer> universes, int count) {
    List<List<Integer>> fours = new ArrayList<>();
    TreeMap<Integer, List<Integer>> byUpper = new TreeMap<>();
    for (int universe : new TreeSet<>(universes)) {
      List<Integer> four = byUpper.computeIfAbsent(universe >> 4, key -> new ArrayList<>());
      four.add(universe);
      if (four.size() == PORTS) {
        fours.add(byUpper.remove(universe >> 4));
      }
    }
    fours.addAll(byUpper.values());
    if (fours.isEmpty()) {
      fours.add(List.of());
    }
    List<byte[]> replies = new ArrayList<>();
    for (List<Integer> four : fours) {
      byte[] packet = new byte[ArtPollReply.SIZE];
      reply(address, label, four, replies.size() + 1, count).write(packet);
      replies.add(packet);
    }
    return replies;
  }

  private static ArtPollReply reply(
      String address, Label label, List<Integer> four, int bind, int count) {
    byte[] ip = bytes(address);
    byte[] types = new byte[PORTS];
    byte[] swOut = new byte[PORTS];
    for (int i = 0; i < four.size(); i++) {
      types[i] = (byte) OUTPUT;
      swOut[i] = (byte) (four.get(i) & 15);
    }
    int upper = four.isEmpty() ? 0 : four.get(0) >> 4;
    String shortName = label.ownName().isEmpty() ? label.product() : label.ownName();
    byte[] none = new byte[PORTS];
    return new ArtPollReply(
        ip,
        1,
        upper >> 4,
        upper & 15,
        NO_OEM,
        0,
        NORMAL,
        0,
        cut(shortName, 17),
        cut(label.maker() + " " + label.product(), 63),
        "#0001 [%04d] ready".formatted(count % 10_000),
        four.size(),
        types,
        none,
        four.isEmpty() ? none : types.clone(),
        none,
        swOut,
        0,
        0,
        0,
        0,
        new byte[6],
        ip,
        bind,
        STATUS_2,
        none,
        0,
        new byte[6],
        0,
        44,
        0);
  }

  private static String cut(String text, int most) {
    return text.length() > most ? text.substring(0, most) : text;
  }

  private static byte[] bytes(String address) {
    try {
      return InetAddress.getByName(address).getAddress();
    } catch (UnknownHostException e) {
      throw new IllegalArgumentException(e);
    }
  }

  /**
   * The answer to a query on DDP; none where it is not of what a display answers.
   *
   * @param ports of its document
   */
  static List<byte[]> toQuery(
      byte[] query, String address, Label label, JsonNode model, List<Port> ports) {
    int asked = Ddp.destination(query);
    ObjectNode root = Device.JSON.createObjectNode();
    if (asked == Ddp.STATUS) {
      root.putObject("status")
          .put("man", label.maker())
          .put("mod", label.product())
          .put("ver", model.path("revision").asString("1"));
    } else if (asked == Ddp.CONFIGURATION) {
      var list = root.putObject("config").put("ip", address).putArray("ports");
      int next = 0;
      for (int i = 0; i < ports.size(); i++) {
        int bytes = ports.get(i).places().length;
        list.addObject().put("port", i).put("ts", 1).put("l", bytes).put("ss", next);
        next += bytes;
      }
    } else {
      return List.of();
    }
    return split(root.toString().getBytes(StandardCharsets.UTF_8), asked);
  }

  private static List<byte[]> split(byte[] text, int from) {
    List<byte[]> packets = new ArrayList<>();
    int count = Ddp.packets(text.length);
    for (int i = 0; i < count; i++) {
      int offset = i * Ddp.MOST_DATA;
      int data = Math.min(Ddp.MOST_DATA, text.length - offset);
      byte[] packet = new byte[Ddp.size(data)];
      int flags = Ddp.REPLY | (i == count - 1 ? Ddp.PUSH : 0);
      int head = Ddp.writeHeader(packet, flags, 0, 0, from, offset, data, -1);
      System.arraycopy(text, offset, packet, head, data);
      packets.add(packet);
    }
    return packets;
  }

  /** Whether a poll asks for any of the universes, or for everybody. */
  static boolean isAsked(byte[] poll, int length, Set<Integer> universes) {
    if ((ArtNet.pollFlags(poll) & ArtNet.TARGETED) == 0) {
      return true;
    }
    int bottom = ArtNet.targetBottom(poll, length);
    int top = ArtNet.targetTop(poll, length);
    return universes.stream().anyMatch(universe -> universe >= bottom && universe <= top);
  }
}
