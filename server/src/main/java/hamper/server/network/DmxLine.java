package hamper.server.network;

import hamper.server.output.Asking;
import hamper.standin.Place;
import hamper.value.Foreign;
import hamper.who.LineDevice;
import hamper.wire.ArtNet;
import hamper.wire.ArtRdm;
import hamper.wire.Rdm;
import hamper.wire.Uid;
import java.io.Closeable;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.ByteBuffer;
import java.nio.channels.DatagramChannel;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import java.util.function.IntConsumer;

/** Asks the fixtures of one DMX line by RDM, through the Art-Net node that feeds it. */
final class DmxLine implements Closeable {
  /** A node that has to search its line first takes its time (ms). */
  private static final long TABLE_MILLIS = 6_000;

  /** The table is whole when nothing of it came for so long (ms). */
  private static final long QUIET_MILLIS = 400;

  private static final long ANSWER_MILLIS = 500;
  private static final int TIMES = 3;
  private static final int MOST_TEXT = 32;

  /** Where each stands in the answer to DEVICE_INFO. Source: ANSI E1.20, DEVICE_INFO. */
  private static final int FOOTPRINT_AT = 10;

  private static final int PERSONALITY_AT = 12;
  private static final int START_AT = 14;
  private static final int INFO_SIZE = 19;

  private static final long MAKER = 0x7FF0L;

  private final Ears ears = new Ears();
  private final DatagramChannel channel;
  private final InetSocketAddress to;
  private final int portAddress;
  private final Uid own;
  private int transaction;

  /**
   * @param node that feeds the line
   * @param portAddress of the line
   * @throws IOException where the port of Art-Net is taken
   */
  DmxLine(Asking asking, Place node, int portAddress) throws IOException {
    this.portAddress = portAddress;
    InetAddress at = InetAddress.getByName(node.address());
    Asking.From from =
        asking.from().stream()
            .filter(one -> one.doors().contains(node))
            .findFirst()
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "no adapter of this computer reaches " + node.address()));
    to = asking.to(at, node.artNet());
    own = new Uid(MAKER << 32 | ThreadLocalRandom.current().nextLong(1L << 32));
    try {
      channel = ears.at(from.own(), ArtNet.PORT);
    } catch (IOException e) {
      ears.close();
      throw new IOException(
          "another program of this computer keeps Art-Net's port to itself; end it first", e);
    }
  }

  private void send(byte[] packet, int length) throws IOException {
    channel.send(ByteBuffer.wrap(packet, 0, length), to);
  }

  /**
   * Everybody on the line.
   *
   * @param anew whether the node is to search its line again
   * @param percent told now and then
   * @throws IOException where the node does not answer
   */
  List<LineDevice> all(boolean anew, IntConsumer percent) throws IOException {
    List<LineDevice> all = new ArrayList<>();
    List<Uid> table = table(anew);
    percent.accept(20);
    for (Uid uid : table) {
      device(uid).ifPresent(all::add);
      percent.accept(20 + 80 * (all.size() + 1) / (table.size() + 1));
    }
    return all;
  }

  private List<Uid> table(boolean anew) throws IOException {
    byte[] request = new byte[ArtRdm.TOD_REQUEST_SIZE];
    int length =
        anew
            ? ArtRdm.writeTodControl(request, portAddress, ArtRdm.FLUSH)
            : ArtRdm.writeTodRequest(request, portAddress);
    TreeSet<Uid> found = new TreeSet<>();
    int[] total = {-1};
    long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(TABLE_MILLIS);
    long quiet = until;
    while (System.nanoTime() - until < 0 && (total[0] < 0 || found.size() < total[0])) {
      if (total[0] < 0) {
        send(request, length);
      } else if (System.nanoTime() - quiet > 0) {
        break;
      }
      int before = found.size();
      boolean known = total[0] >= 0;
      ears.hear(
          System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(known ? 50 : ANSWER_MILLIS / 5),
          (micros, from, fromPort, receiver, toPort, bytes, size) -> {
            if (ArtRdm.refuseTodData(bytes, size) == null) {
              ArtRdm.TodData part = ArtRdm.readTodData(bytes);
              if (part.portAddress() == portAddress) {
                total[0] = part.total();
                found.addAll(part.uids());
              }
            }
          });
      if (found.size() > before || !known) {
        quiet = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(QUIET_MILLIS);
      }
    }
    if (total[0] < 0) {
      throw new IOException("the node at %s knows no such line".formatted(to.getHostString()));
    }
    return List.copyOf(found);
  }

  /** Who somebody is; empty where he does not say it. */
  private Optional<LineDevice> device(Uid uid) throws IOException {
    Optional<Rdm> info = ask(uid, Rdm.GET, Rdm.DEVICE_INFO);
    if (info.isEmpty() || info.get().data().length < INFO_SIZE) {
      return Optional.empty();
    }
    Rdm told = info.get();
    byte[] data = told.data();
    boolean identifying =
        ask(uid, Rdm.GET, Rdm.IDENTIFY)
            .map(Rdm::data)
            .filter(bytes -> bytes.length > 0 && bytes[0] != 0)
            .isPresent();
    return Optional.of(
        new LineDevice(
            uid.toString(),
            text(uid, Rdm.MAKER),
            text(uid, Rdm.MODEL),
            told.number(START_AT),
            told.number(FOOTPRINT_AT),
            Optional.of(data[PERSONALITY_AT] & 255),
            Optional.of(data[PERSONALITY_AT + 1] & 255),
            identifying,
            false));
  }

  private String text(Uid uid, int parameter) throws IOException {
    return ask(uid, Rdm.GET, parameter)
        .filter(answer -> answer.type() == Rdm.ACK)
        .map(answer -> Foreign.line(answer.text(), MOST_TEXT))
        .orElse("");
  }

  /**
   * Sets a start slot, and reads it back.
   *
   * @return the slot that it says it has
   * @throws IOException where it does not take it, or does not answer
   */
  int setSlot(Uid uid, int slot) throws IOException {
    order(uid, Rdm.START_ADDRESS, (byte) (slot >> 8), (byte) slot);
    return ask(uid, Rdm.GET, Rdm.START_ADDRESS)
        .filter(answer -> answer.type() == Rdm.ACK)
        .map(answer -> answer.number(0))
        .orElseThrow(() -> new IOException("it does not say which slot it has now"));
  }

  /** Lets it blink, or not any more. */
  void identify(Uid uid, boolean on) throws IOException {
    order(uid, Rdm.IDENTIFY, (byte) (on ? 1 : 0));
  }

  private void order(Uid uid, int parameter, byte... data) throws IOException {
    Rdm answer =
        ask(uid, Rdm.SET, parameter, data)
            .orElseThrow(() -> new IOException(uid + " does not answer"));
    if (answer.type() != Rdm.ACK) {
      throw new IOException(
          "%s does not take it (reason %d of RDM)".formatted(uid, answer.number(0)));
    }
  }

  private Optional<Rdm> ask(Uid uid, int command, int parameter, byte... data) throws IOException {
    Rdm message = Rdm.ask(uid, own, ++transaction, command, parameter, data);
    byte[] packet = new byte[ArtRdm.MOST_SIZE];
    int length = ArtRdm.writeRdm(packet, portAddress, message);
    Rdm[] answer = {null};
    for (int i = 0; i < TIMES && answer[0] == null; i++) {
      send(packet, length);
      ears.hearUntil(
          System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(ANSWER_MILLIS),
          () -> answer[0] != null,
          (micros, from, fromPort, receiver, toPort, bytes, size) -> {
            if (ArtRdm.refuseRdm(bytes, size) == null) {
              Rdm read = ArtRdm.readRdm(bytes, size);
              answer[0] = message.isAnsweredBy(read) ? read : answer[0];
            }
          });
    }
    return Optional.ofNullable(answer[0]);
  }

  @Override
  public void close() throws IOException {
    ears.close();
  }
}
