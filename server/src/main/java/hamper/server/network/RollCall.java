package hamper.server.network;

import hamper.address.IpAddress;
import hamper.address.MulticastGroup;
import hamper.facts.Facts;
import hamper.server.output.Asking;
import hamper.standin.Place;
import hamper.value.Foreign;
import hamper.who.Answer;
import hamper.who.Way;
import hamper.wire.ArtNet;
import hamper.wire.ArtPollReply;
import hamper.wire.Ddp;
import hamper.wire.E131;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.nio.ByteBuffer;
import java.nio.channels.DatagramChannel;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tools.jackson.databind.JsonNode;

/** Asks everybody at once who he is: doors, ArtPoll, DDP status, and who says what he sends. */
final class RollCall {
  private static final Logger LOG = LoggerFactory.getLogger(RollCall.class);

  /** Doors open within so long, or nobody is there (ms). */
  private static final long KNOCK_MILLIS = 1_500;

  /** Stand-ins answer within so long; ArtPollReply may wait a second (ms). */
  private static final long REPLY_MILLIS = 1_600;

  /** Packets are lost: it is asked so often, a second apart. */
  private static final int TIMES = 2;

  /** Sources of E1.31 say what they send every ten seconds. Source: E1.31, discovery interval. */
  private static final long ANNOUNCED_MILLIS = 10_500;

  private static final int MOST_TEXT = 80;
  private static final int QUERY = 0x42;

  /** Told of what is known so far. */
  interface Told {
    void of(List<Answer> answers, int percent);
  }

  private record Key(Way way, IpAddress at, Optional<String> seat) {}

  private final Asking asking;
  private final Facts facts;
  private final Told told;
  private final Map<Key, Answer> answers = new LinkedHashMap<>();
  private final DdpReplies ddpReplies = new DdpReplies();

  RollCall(Asking asking, Facts facts, Told told) {
    this.asking = asking;
    this.facts = facts;
    this.told = told;
  }

  /** Asks, and waits for all answers. */
  List<Answer> call() throws IOException, InterruptedException {
    try (Ears ears = new Ears();
        DoorAnswers doors = new DoorAnswers()) {
      ExecutorService beside = Executors.newSingleThreadExecutor();
      try {
        Future<?> knocked = beside.submit(() -> knock(doors));
        packets(ears);
        knocked.get();
      } catch (ExecutionException e) {
        LOG.debug("Doors were not all tried", e.getCause());
      } finally {
        beside.shutdownNow();
      }
      return all();
    }
  }

  private synchronized void add(Answer answer) {
    answers.putIfAbsent(new Key(answer.way(), answer.at(), answer.seat()), answer);
  }

  private synchronized List<Answer> all() {
    return List.copyOf(answers.values());
  }

  private Void knock(DoorAnswers doors) throws IOException, InterruptedException {
    for (Asking.From from : asking.from()) {
      Map<Place, Place> open = new LinkedHashMap<>();
      OpenDoors.of(asking, from, KNOCK_MILLIS).forEach(place -> open.put(place, place));
      doors.get(open, "identity").forEach(this::identity);
    }
    return null;
  }

  private void identity(Place place, JsonNode told) {
    if (!told.path("format").asString("").equals("hamper-giving")) {
      return; // something else has its door there
    }
    String says = text(told, "address");
    add(
        new Answer(
            Way.GIVING,
            at(place),
            asking.seat(place),
            Optional.of(text(told, "model")).filter(id -> !id.isEmpty()),
            (text(told, "maker") + " " + text(told, "name")).strip(),
            text(told, "ownName"),
            Optional.of(text(told, "serial")).filter(serial -> !serial.isEmpty()),
            saysAddress(place, says),
            List.of()));
  }

  private static String text(JsonNode told, String field) {
    return Foreign.line(told.path(field).asString(""), MOST_TEXT);
  }

  /** A stand-in says its own address, which is not the planned one; anything else is told. */
  private Optional<IpAddress> saysAddress(Place place, String says) {
    if (says.isEmpty() || !asking.live() && says.equals(place.address())) {
      return Optional.empty();
    }
    try {
      return Optional.of(new IpAddress(says));
    } catch (RuntimeException e) {
      return Optional.empty();
    }
  }

  /** Where somebody is: of a stand-in the planned address of what it stands in for. */
  private IpAddress at(Place place) {
    return asking
        .seat(place)
        .flatMap(id -> facts.plan().existingController(id).address())
        .orElseGet(() -> asking.addressOf(place));
  }

  /** Everything that is asked and heard by packets. */
  private void packets(Ears ears) throws IOException {
    List<Runnable> questions = new ArrayList<>();
    for (Asking.From from : asking.from()) {
      artPoll(ears, from, questions);
      ddpStatus(ears, from, questions);
      if (asking.live()) {
        announced(ears, from);
      }
    }
    long begin = System.nanoTime();
    long millis = asking.live() ? ANNOUNCED_MILLIS : REPLY_MILLIS;
    for (int i = 0; i < 10; i++) {
      if (i < TIMES) {
        questions.forEach(Runnable::run);
      }
      long until = begin + TimeUnit.MILLISECONDS.toNanos(millis * (i + 1) / 10);
      ears.hear(until, this::heard);
      told.of(all(), (i + 1) * 10);
    }
  }

  /** Asks from the port of the protocol, since answers go there; silent where it is taken. */
  private void artPoll(Ears ears, Asking.From from, List<Runnable> questions) {
    byte[] poll = new byte[22];
    int length = ArtNet.writePoll(poll, ArtNet.Poll.everybody());
    try {
      DatagramChannel channel = ears.at(from.own(), ArtNet.PORT);
      if (from.broadcast().isPresent()) {
        InetAddress all = from.broadcast().get();
        ears.everybody(all, ArtNet.PORT); // older nodes answer to all
        questions.add(() -> send(channel, poll, length, asking.to(all, ArtNet.PORT)));
      } else {
        from.doors()
            .forEach(
                place ->
                    questions.add(() -> send(channel, poll, length, to(place, place.artNet()))));
      }
    } catch (IOException e) {
      LOG.info("Nobody is asked by ArtPoll from {}: {}", from.own(), e.getMessage());
    }
  }

  private void ddpStatus(Ears ears, Asking.From from, List<Runnable> questions) throws IOException {
    byte[] query = new byte[Ddp.size(0)];
    int length = Ddp.writeHeader(query, QUERY, 0, 0, Ddp.STATUS, 0, 0, -1);
    DatagramChannel channel = ears.at(from.own(), 0);
    from.broadcast()
        .ifPresent(
            all -> questions.add(() -> send(channel, query, length, asking.to(all, Ddp.PORT))));
    for (Place place : from.doors()) {
      boolean planned =
          !asking.live()
              || facts.plan().display().controllers().stream()
                  .anyMatch(
                      one ->
                          one.address().map(IpAddress::text).equals(Optional.of(place.address())));
      if (planned) {
        questions.add(() -> send(channel, query, length, to(place, place.ddp())));
      }
    }
  }

  private InetSocketAddress to(Place place, int port) {
    try {
      return asking.to(InetAddress.getByName(place.address()), port);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void send(
      DatagramChannel channel, byte[] packet, int length, InetSocketAddress to) {
    try {
      channel.send(ByteBuffer.wrap(packet, 0, length), to);
    } catch (IOException e) {
      LOG.debug("{} is not asked", to, e);
    }
  }

  private static void announced(Ears ears, Asking.From from) throws IOException {
    InetAddress group = InetAddress.getByName(MulticastGroup.of(E131.DISCOVERY_UNIVERSE));
    long to = Ears.bits(group);
    ears.join(
        group, E131.PORT, NetworkInterface.getByInetAddress(from.own()), (packet, length) -> to);
  }

  private void heard(
      long micros, long from, int fromPort, long to, int toPort, byte[] bytes, int length) {
    IpAddress sender = IpAddress.ofBits(from);
    if (toPort == E131.PORT) {
      source(sender, bytes, length);
      return;
    }
    InetSocketAddress socket = new InetSocketAddress(sender.text(), fromPort);
    Optional<Place> place = asking.standInAt(socket);
    if (!asking.live() && place.isEmpty()) {
      return; // nobody that was asked
    }
    IpAddress at = place.map(this::at).orElse(sender);
    Optional<String> seat = place.flatMap(asking::seat);
    if (toPort == ArtNet.PORT) {
      node(at, seat, place, bytes, length);
    } else {
      ddpReplies
          .take(socket, bytes, length)
          .ifPresent(product -> add(answer(Way.DDP, at, seat, product, "", List.of())));
    }
  }

  private static Answer answer(
      Way way,
      IpAddress at,
      Optional<String> seat,
      String product,
      String ownName,
      List<Integer> universes) {
    return new Answer(
        way,
        at,
        seat,
        Optional.empty(),
        product,
        ownName,
        Optional.empty(),
        Optional.empty(),
        universes);
  }

  private void node(
      IpAddress at, Optional<String> seat, Optional<Place> place, byte[] bytes, int length) {
    if (ArtPollReply.refuse(bytes, length, false) != null) {
      return;
    }
    ArtPollReply reply = ArtPollReply.read(bytes, length);
    String product = Foreign.line(reply.longName(), MOST_TEXT);
    String name = Foreign.line(reply.shortName(), MOST_TEXT);
    String ownName = name.isEmpty() || product.contains(name) ? "" : name;
    Answer plain = answer(Way.ARTNET, at, seat, product, ownName, List.of());
    String says =
        "%d.%d.%d.%d"
            .formatted(
                reply.ip()[0] & 255, reply.ip()[1] & 255, reply.ip()[2] & 255, reply.ip()[3] & 255);
    Optional<IpAddress> address =
        place.isPresent()
            ? saysAddress(place.get(), says)
            : Optional.of(new IpAddress(says)).filter(one -> one.bits() != 0);
    add(
        new Answer(
            plain.way(),
            plain.at(),
            plain.seat(),
            plain.model(),
            plain.product(),
            plain.ownName(),
            plain.serial(),
            address,
            plain.universes()));
  }

  private void source(IpAddress from, byte[] bytes, int length) {
    if (!E131.isExtended(bytes, length)
        || E131.refuseDiscovery(bytes, length, false) != null
        || asking.own().contains(from)) {
      return;
    }
    List<Integer> universes = new ArrayList<>();
    for (int i = 0; i < E131.listed(bytes); i++) {
      universes.add(E131.listed(bytes, i));
    }
    add(
        answer(
            Way.E131,
            from,
            Optional.empty(),
            "",
            Foreign.line(E131.name(bytes), MOST_TEXT),
            universes));
  }
}
