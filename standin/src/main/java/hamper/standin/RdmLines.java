package hamper.standin;

import hamper.wire.ArtNet;
import hamper.wire.ArtRdm;
import hamper.wire.Rdm;
import hamper.wire.Uid;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;

/** The DMX lines of a bridge with the fixtures on them, as Art-Net asks for them. */
final class RdmLines {
  private static final int MOST_FIXTURES = 512;

  /** A line: what hangs on it, and what the bridge knows of that. */
  private static final class Line implements RdmSearch.Line {
    final List<Responder> all = new ArrayList<>();
    final Set<Uid> silenced = new HashSet<>();
    List<Uid> table;

    @Override
    public byte[] hear(long low, long high) {
      byte[] heard = null;
      for (Responder one : all) {
        Uid uid = one.uid();
        if (!silenced.contains(uid) && uid.bits() >= low && uid.bits() <= high) {
          byte[] answer = RdmSearch.encoded(uid);
          heard = heard == null ? answer : collided(heard, answer);
        }
      }
      return heard;
    }

    /** Two that speak at once: each pulls the line its way, and ones win here. */
    private static byte[] collided(byte[] heard, byte[] answer) {
      byte[] both = heard.clone();
      for (int i = 0; i < both.length; i++) {
        both[i] |= answer[i];
      }
      return both;
    }

    @Override
    public boolean silence(Uid uid) {
      return all.stream().anyMatch(one -> one.uid().equals(uid)) && silenced.add(uid);
    }

    @Override
    public void unsilenceAll() {
      silenced.clear();
    }

    List<Uid> table() {
      if (table == null) {
        table = RdmSearch.of(this);
      }
      return table;
    }
  }

  /** By the name of the port, such as "DMX 2". */
  private final Map<String, Line> lines = new TreeMap<>();

  /**
   * Hangs fixtures on a line, in place of those before.
   *
   * @throws Device.RefusedException where they are none
   */
  void hang(String line, JsonNode told) throws Device.RefusedException {
    Line hung = new Line();
    try {
      for (JsonNode one : told.path("fixtures")) {
        hung.all.add(Responder.read(one));
      }
    } catch (IllegalArgumentException e) {
      throw new Device.RefusedException("fixtures: " + e.getMessage());
    }
    if (hung.all.size() > MOST_FIXTURES) {
      throw new Device.RefusedException(
          "fixtures: at most %d hang on a line".formatted(MOST_FIXTURES));
    }
    lines.put(line, hung);
  }

  ArrayNode told(String line) {
    ArrayNode told = Device.JSON.createArrayNode();
    Line hung = lines.get(line);
    if (hung != null) {
      hung.all.forEach(one -> told.add(one.told()));
    }
    return told;
  }

  /** Whether a packet is one of those that are answered here. */
  static boolean is(byte[] packet, int length) {
    if (!ArtNet.is(packet, length)) {
      return false;
    }
    int opcode = ArtNet.opcode(packet);
    return opcode == ArtRdm.TOD_REQUEST || opcode == ArtRdm.TOD_CONTROL || opcode == ArtRdm.MESSAGE;
  }

  /**
   * Answers a packet.
   *
   * @param named lines by their Port-Address, such as "DMX 2"
   */
  List<byte[]> answer(byte[] packet, int length, Map<Integer, String> named) {
    List<byte[]> answers = new ArrayList<>();
    switch (ArtNet.opcode(packet)) {
      case ArtRdm.TOD_REQUEST -> {
        if (ArtRdm.refuseTodRequest(packet, length) == null) {
          for (int address : ArtRdm.asked(packet)) {
            table(address, named, answers);
          }
        }
      }
      case ArtRdm.TOD_CONTROL -> {
        if (ArtRdm.refuseTodControl(packet, length) == null) {
          Line line = lineAt(named.get(ArtRdm.portAddress(packet)));
          if (line != null && ArtRdm.command(packet) == ArtRdm.FLUSH) {
            line.table = null;
          }
          table(ArtRdm.portAddress(packet), named, answers);
        }
      }
      default -> {
        if (ArtRdm.refuseRdm(packet, length) == null) {
          message(packet, length, named).ifPresent(answers::add);
        }
      }
    }
    return answers;
  }

  /** A tree of names has none for nothing. */
  private Line lineAt(String name) {
    return name == null ? null : lines.get(name);
  }

  private void table(int address, Map<Integer, String> named, List<byte[]> answers) {
    String name = named.get(address);
    if (name == null) {
      return;
    }
    Line line = lines.getOrDefault(name, new Line());
    int number = Integer.parseInt(name.substring(name.indexOf(' ') + 1));
    for (ArtRdm.TodData part : ArtRdm.table(address, number, 1, line.table())) {
      byte[] bytes = new byte[part.size()];
      part.write(bytes);
      answers.add(bytes);
    }
  }

  /** A message goes to whoever has its UID; what is for all is answered by nobody. */
  private Optional<byte[]> message(byte[] packet, int length, Map<Integer, String> named) {
    Rdm asked = ArtRdm.readRdm(packet, length);
    int address = ArtRdm.portAddress(packet);
    Line line = lineAt(named.get(address));
    if (line == null) {
      return Optional.empty();
    }
    return line.all.stream()
        .filter(one -> one.uid().equals(asked.to()))
        .findFirst()
        .map(
            one -> {
              byte[] bytes = new byte[ArtRdm.MOST_SIZE];
              int size = ArtRdm.writeRdm(bytes, address, one.answer(asked));
              return Arrays.copyOf(bytes, size);
            });
  }
}
