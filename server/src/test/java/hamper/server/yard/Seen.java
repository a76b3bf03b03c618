package hamper.server.yard;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** A packet of a capture, as the dissector reads it. */
record Seen(Map<String, String> fields) {
  /** Of the frame, of E1.31 and of Art-Net; where a field comes twice its first is taken. */
  private static final List<String> FIELDS =
      List.of(
          "ip.src",
          "ip.dst",
          "ip.ttl",
          "ip.proto",
          "udp.srcport",
          "udp.dstport",
          "udp.payload",
          "acn.preamble_size",
          "acn.postamble_size",
          "acn.cid",
          "acn.dmx_vector",
          "acn.dmx.source_name",
          "acn.dmx.priority",
          "acn.dmx.seq_number",
          "acn.dmx.options",
          "acn.dmx.universe",
          "acn.dmx.first_property_address",
          "acn.dmx.increment",
          "acn.dmx.count",
          "acn.dmx.start_code2",
          "artnet.header.id",
          "artnet.header.opcode",
          "artnet.header.protver",
          "artnet.output.sequence",
          "artnet.output.physical",
          "artnet.output.universe",
          "artnet.output.length",
          "artnet.poll.diag_priority",
          "artnet.poll_reply.ip_address",
          "artnet.poll_reply.port_nr",
          "artnet.poll_reply.netswitch",
          "artnet.poll_reply.subswitch",
          "artnet.poll_reply.short_name",
          "artnet.poll_reply.long_name",
          "artnet.poll_reply.num_ports",
          "artnet.poll_reply.bind_index",
          "artnet.poll_reply.style",
          "_ws.malformed");

  /** All packets of a capture. */
  static List<Seen> all(Path capture) throws IOException, InterruptedException {
    List<String> command =
        new ArrayList<>(
            List.of(
                "tshark",
                "-r",
                capture.toString(),
                "--enable-heuristic",
                "acn",
                // or a source port that is another protocol's by chance decides what it is
                "-o",
                "udp.try_heuristic_first:TRUE",
                "-o",
                "acn.dmx_enable:TRUE",
                "-T",
                "fields",
                "-E",
                "separator=|",
                "-E",
                "occurrence=f"));
    FIELDS.forEach(field -> command.addAll(List.of("-e", field)));
    Process process =
        new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
    List<Seen> all = new ArrayList<>();
    String text = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    for (String line : text.split("\n")) {
      String[] values = line.split("\\|", -1);
      Map<String, String> fields = new TreeMap<>();
      for (int i = 0; i < values.length; i++) {
        if (!values[i].isEmpty()) {
          fields.put(FIELDS.get(i), values[i]);
        }
      }
      all.add(new Seen(fields));
    }
    process.waitFor();
    return all;
  }

  String text(String field) {
    return fields.getOrDefault(field, "");
  }

  int number(String field) {
    return Integer.decode(text(field));
  }

  boolean has(String field) {
    return fields.containsKey(field);
  }

  byte[] payload() {
    return HexFormat.of().parseHex(text("udp.payload").replace(":", ""));
  }
}
