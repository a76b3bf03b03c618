package hamper.capture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.IpAddress;
import hamper.samples.CaptureWriter;
import hamper.samples.CaptureWriter.Framing;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Captures are read whatever link, byte order and clock they have; damaged ones say where. */
class CaptureReaderTest {
  private static final long FROM = new IpAddress("198.51.100.7").bits();
  private static final long TO = new IpAddress("239.255.0.12").bits();
  private static final long BEGIN = 1_764_000_000_123_456L;

  @TempDir Path folder;

  /** Five datagrams, half a second apart. */
  private static byte[] five(Framing framing, ByteOrder order, boolean nanos) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    CaptureWriter writer = new CaptureWriter(out, framing, order, nanos);
    for (int i = 0; i < 5; i++) {
      writer.take(BEGIN + i * 500_000L, FROM, 4_000 + i, TO, 5568, new byte[] {1, 2, (byte) i}, 3);
    }
    return out.toByteArray();
  }

  private static List<String> five() {
    List<String> told = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      told.add(
          "%d 198.51.100.7:%d 239.255.0.12:5568 [1, 2, %d]"
              .formatted(BEGIN + i * 500_000L, 4_000 + i, i));
    }
    return told;
  }

  private static CaptureReader reader(byte[] file) throws IOException, CaptureException {
    return CaptureReader.open(new ByteArrayInputStream(file));
  }

  private static List<String> read(CaptureReader reader) throws IOException {
    List<String> told = new ArrayList<>();
    boolean more = true;
    while (more) {
      more =
          reader.next(
              (micros, from, fromPort, to, toPort, bytes, length) ->
                  told.add(
                      "%d %s:%d %s:%d %s"
                          .formatted(
                              micros,
                              IpAddress.ofBits(from),
                              fromPort,
                              IpAddress.ofBits(to),
                              toPort,
                              Arrays.toString(Arrays.copyOf(bytes, length)))));
    }
    return told;
  }

  @ParameterizedTest
  @EnumSource(Framing.class)
  void everyLinkIsReadInBothByteOrdersAndWithBothClocks(Framing framing) throws Exception {
    for (ByteOrder order : List.of(ByteOrder.BIG_ENDIAN, ByteOrder.LITTLE_ENDIAN)) {
      for (boolean nanos : new boolean[] {false, true}) {
        CaptureReader reader = reader(five(framing, order, nanos));
        assertThat(read(reader)).isEqualTo(five());
        assertThat(reader.summary().format()).isEqualTo("pcap");
        assertThat(reader.summary().frames()).isEqualTo(5);
        assertThat(reader.summary().ended()).isEmpty();
      }
    }
  }

  /** Written anew by a program of others, in every format that it writes. */
  @ParameterizedTest
  @EnumSource(Framing.class)
  void whatOtherProgramsWriteIsRead(Framing framing) throws Exception {
    Assumptions.assumeTrue(Files.isExecutable(Path.of("/usr/bin/editcap")), "editcap is not here");
    byte[] pcap = five(framing, ByteOrder.LITTLE_ENDIAN, false);
    Path from = Files.write(folder.resolve("from.pcap"), pcap);
    for (String format : List.of("pcap", "nsecpcap", "pcapng")) {
      Path to = folder.resolve("to." + format);
      Process process =
          new ProcessBuilder("editcap", "-F", format, from.toString(), to.toString())
              .redirectErrorStream(true)
              .start();
      String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      assertThat(process.waitFor()).as(said).isZero();
      CaptureReader reader = reader(Files.readAllBytes(to));
      assertThat(read(reader)).as(format).isEqualTo(five());
      assertThat(reader.summary().ended()).isEmpty();
    }
  }

  @Test
  void itIsReadOnFromAMark() throws Exception {
    byte[] file = five(Framing.ETHERNET, ByteOrder.LITTLE_ENDIAN, false);
    CaptureReader reader = reader(file);
    reader.next((micros, from, fromPort, to, toPort, bytes, length) -> {});
    reader.next((micros, from, fromPort, to, toPort, bytes, length) -> {});
    CaptureReader.Mark mark = reader.mark();
    int at = (int) mark.position();
    CaptureReader again =
        CaptureReader.from(new ByteArrayInputStream(file, at, file.length - at), mark);
    assertThat(read(again)).isEqualTo(five().subList(2, 5));
  }

  @Test
  void whatIsNoCaptureIsRefusedInOneSentence() throws Exception {
    refused(new byte[0], "It is empty: a capture is a file of pcap or pcapng.");
    refused(
        "PK\3\4 a zip".getBytes(StandardCharsets.US_ASCII), "It begins with the bytes 50 4b 03 04");
    refused(new byte[] {1}, "It begins with the bytes 01: that is neither pcap nor pcapng");
    byte[] pcap = five(Framing.ETHERNET, ByteOrder.LITTLE_ENDIAN, false);
    refused(Arrays.copyOf(pcap, 20), "It ends within the 24 bytes of pcap's header.");
    byte[] radio = pcap.clone();
    radio[20] = 127;
    refused(radio, "Its frames are of link type 127, which is not read");
    refused(new byte[] {10, 13, 13, 10, 0, 0}, "It ends within the first block of pcapng.");
    refused(
        new byte[] {10, 13, 13, 10, 0, 0, 0, 28, 1, 2, 3, 4}, "Byte 8 on is no byte-order magic");
    refused(
        new byte[] {10, 13, 13, 10, -1, -1, -1, -1, 0x1a, 0x2b, 0x3c, 0x4d},
        "The first block of pcapng says that it has 4294967295 bytes.");
  }

  private static void refused(byte[] file, String told) {
    assertThatThrownBy(() -> reader(file))
        .isInstanceOf(CaptureException.class)
        .hasMessageStartingWith(told)
        .satisfies(e -> assertThat(e.getMessage()).endsWith(".").doesNotContain("\n"));
  }

  @Test
  void oneThatIsCutIsReadUpToThere() throws Exception {
    byte[] file = five(Framing.ETHERNET, ByteOrder.BIG_ENDIAN, false);
    CaptureReader reader = reader(Arrays.copyOf(file, file.length - 7));
    assertThat(read(reader)).isEqualTo(five().subList(0, 4));
    assertThat(reader.summary().ended())
        .contains(
            "It ends in the middle of frame 5, which begins at byte 268; what is before it was read.");
  }

  @Test
  void aLengthThatCannotBeIsTakenForDamage() throws Exception {
    byte[] file = five(Framing.ETHERNET, ByteOrder.BIG_ENDIAN, false);
    int second = 24 + 16 + 45;
    Arrays.fill(file, second + 8, second + 12, (byte) 0xff);
    CaptureReader reader = reader(file);
    assertThat(read(reader)).hasSize(1);
    assertThat(reader.summary().ended())
        .contains(
            "Frame 2 at byte 85 says that it has 4294967295 bytes, where 262144 are the most;"
                + " what is before it was read.");
  }

  @Test
  void fragmentsAndShortenedFramesAreCountedAndNotRead() throws Exception {
    byte[] file = five(Framing.ETHERNET, ByteOrder.BIG_ENDIAN, false);
    file[24 + 16 + 14 + 6] = 0x20; // more fragments follow
    file[85 + 16 + 14 + 20 + 5] = 60; // a datagram longer than what was kept
    CaptureReader reader = reader(file);
    assertThat(read(reader)).isEqualTo(five().subList(2, 5));
    assertThat(reader.summary().fragments()).isEqualTo(1);
    assertThat(reader.summary().shortened()).isEqualTo(1);
  }

  /** Whatever a byte is changed to, reading ends, and with a sentence if it ends early. */
  @Test
  void damageNeverDoesMoreThanEndIt() throws Exception {
    Random random = new Random(7);
    List<byte[]> files = new ArrayList<>();
    files.add(five(Framing.SLL2, ByteOrder.LITTLE_ENDIAN, false));
    files.add(sections());
    for (int i = 0; i < 20_000; i++) {
      byte[] file = files.get(i % files.size()).clone();
      for (int k = 0; k <= i % 3; k++) {
        file[random.nextInt(file.length)] = (byte) random.nextInt(256);
      }
      byte[] cut = Arrays.copyOf(file, i % 5 == 0 ? random.nextInt(file.length) : file.length);
      try {
        CaptureReader reader = reader(cut);
        read(reader);
        reader.summary().ended().ifPresent(told -> assertThat(told).endsWith("."));
      } catch (CaptureException e) {
        assertThat(e.getMessage()).endsWith(".");
      }
    }
  }

  /** pcapng of two sections, of either byte order, with a simple packet and an unknown block. */
  private static byte[] sections() {
    var out = new ByteArrayOutputStream();
    for (ByteOrder order : List.of(ByteOrder.BIG_ENDIAN, ByteOrder.LITTLE_ENDIAN)) {
      block(out, order, 0x0a0d0d0a, b -> b.putInt(0x1a2b3c4d).putInt(1 << 16).putLong(-1));
      block(
          out,
          order,
          1,
          b -> {
            b.putShort((short) 101).putShort((short) 0).putInt(0);
            b.putShort((short) 9).putShort((short) 1).put((byte) 9).put(new byte[3]).putInt(0);
          });
      block(out, order, 5, b -> b.putInt(7));
      byte[] frame =
          CaptureWriter.frame(Framing.RAW, FROM, 4_000, TO, 5568, new byte[] {1, 2, 0}, 3);
      long nanos = BEGIN * 1_000;
      block(
          out,
          order,
          6,
          b -> {
            b.putInt(0).putInt((int) (nanos >>> 32)).putInt((int) nanos);
            b.putInt(frame.length).putInt(frame.length).put(frame).put((byte) 0);
          });
      block(out, order, 3, b -> b.putInt(frame.length).put(frame).put((byte) 0));
    }
    return out.toByteArray();
  }

  private static void block(
      ByteArrayOutputStream out, ByteOrder order, int type, Consumer<ByteBuffer> body) {
    ByteBuffer bytes = ByteBuffer.allocate(200).order(order);
    body.accept(bytes);
    int length = bytes.position();
    ByteBuffer head = ByteBuffer.allocate(8).order(order);
    out.writeBytes(head.putInt(type).putInt(length + 12).array());
    out.writeBytes(Arrays.copyOf(bytes.array(), length));
    out.writeBytes(ByteBuffer.allocate(4).order(order).putInt(length + 12).array());
  }

  @Test
  void sectionsOfEitherByteOrderFollowEachOther() throws Exception {
    CaptureReader reader = reader(sections());
    List<String> told = read(reader);
    assertThat(reader.summary().ended()).isEmpty();
    assertThat(told).hasSize(4);
    assertThat(told.get(0)).isEqualTo(five().get(0));
    assertThat(told.get(2)).isEqualTo(five().get(0));
    assertThat(told.get(1)).as("a simple packet has no time").startsWith("0 198.51.100.7:4000");
  }
}
