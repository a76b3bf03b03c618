package hamper.listen;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.samples.PlayedAir;
import hamper.samples.RandomYards;
import hamper.wire.E131;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What differs between a plan and what is heard is said as what it is, and nothing else is. */
class AirReportTest {
  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");
  private static final long STRANGER = new IpAddress("198.51.100.77").bits();
  private static final Vantage EVERYWHERE = new Vantage(Set.of(), true);

  private final Facts demo = demo();
  private final Air air = new Air();

  private static Facts demo() {
    try {
      return Facts.of(DisplayFile.read(Files.readAllBytes(DEMO), CatalogueFiles.shipped()));
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  private AirReport report() {
    return AirReport.of(demo, air.streams(), EVERYWHERE);
  }

  private void play(Datagrams to) {
    new PlayedAir(demo).play(4, to);
  }

  private static boolean isE131(int port, byte[] bytes, int length) {
    return port == E131.PORT && E131.refuseData(bytes, length, false) == null;
  }

  /** The first universe of E1.31 that goes to a group. */
  private int group() {
    return PlannedStream.of(demo).stream()
        .filter(one -> one.protocol() == Protocol.E131 && one.transport() == Transport.MULTICAST)
        .findFirst()
        .orElseThrow()
        .universe();
  }

  @Test
  void nothingIsSaidOfAPlanThatIsSentAsItIsPlanned() {
    for (int seed = 0; seed < 50; seed++) {
      Facts facts = Facts.of(RandomYards.of(CatalogueFiles.shipped(), seed));
      Air heard = new Air();
      new PlayedAir(facts).play(4, heard);
      AirReport report = AirReport.of(facts, heard.streams(), EVERYWHERE);
      List<AirFinding> beside =
          report.findings().stream().filter(one -> !isWithoutAddress(facts, one)).toList();
      assertThat(beside).as("seed %d", seed).isEmpty();
      assertThat(report.lines()).as("seed %d", seed).hasSize(PlannedStream.of(facts).size());
    }
  }

  /** Nobody can send to a controller without an address; the plan itself says so. */
  private static boolean isWithoutAddress(Facts facts, AirFinding one) {
    return one.kind() == AirFinding.Kind.NOT_HEARD
        && one.controllers().stream()
            .map(facts.plan()::existingController)
            .allMatch(of -> of.transport() == Transport.UNICAST && of.address().isEmpty());
  }

  @Test
  void whatIsHeardIsCountedBySenderUniverseRateAndSize() {
    play(air);
    AirReport report = report();
    assertThat(report.agrees()).as("%s", report.findings()).isTrue();
    AirLine line =
        report.lines().stream()
            .filter(one -> one.planned().universe() == group())
            .findFirst()
            .get();
    assertThat(line.state()).isEqualTo(AirLine.State.HEARD);
    HeardStream stream = line.streams().get(0);
    assertThat(stream.packets()).isEqualTo(4);
    assertThat(stream.perSecond()).isEqualTo(40);
    assertThat(stream.priority()).contains(100);
    assertThat(stream.name()).isEqualTo("Desk");
    assertThat(stream.mostSlots()).isEqualTo(line.planned().size());
  }

  @ParameterizedTest
  @CsvSource({
    "100, SECOND_OF_EQUAL_PRIORITY, 'both with priority 100: both count'",
    "20, SECOND_OF_LOWER_PRIORITY, 'with priority 20, lower than 100: the first counts'",
    "150, SECOND_OF_HIGHER_PRIORITY, 'with priority 150, higher than 100: the second counts'"
  })
  void aSecondSenderIsSaidWithItsPriority(int priority, AirFinding.Kind kind, String told) {
    int universe = group();
    play(
        (micros, from, fromPort, to, toPort, bytes, length) -> {
          air.take(micros, from, fromPort, to, toPort, bytes, length);
          if (isE131(toPort, bytes, length) && E131.universe(bytes) == universe) {
            byte[] other = bytes.clone();
            other[22] = 9; // another CID
            other[108] = (byte) priority;
            air.take(micros, STRANGER, fromPort, to, toPort, other, length);
          }
        });
    AirFinding only = only();
    assertThat(only.kind()).isEqualTo(kind);
    assertThat(only.sender()).contains("198.51.100.77");
    assertThat(only.text()).contains("universe " + universe + " ").contains(told);
  }

  private AirFinding only() {
    List<AirFinding> findings = report().findings();
    assertThat(findings).hasSize(1);
    return findings.get(0);
  }

  @Test
  void aUniverseThatNobodyPlannedIsSaid() {
    boolean[] first = {true};
    play(
        (micros, from, fromPort, to, toPort, bytes, length) -> {
          air.take(micros, from, fromPort, to, toPort, bytes, length);
          if (isE131(toPort, bytes, length) && first[0]) {
            first[0] = false;
            byte[] other = bytes.clone();
            other[113] = (byte) (40_000 >> 8);
            other[114] = (byte) (40_000 & 255);
            air.take(micros, from, fromPort, to, toPort, other, length);
          }
        });
    AirFinding only = only();
    assertThat(only.kind()).isEqualTo(AirFinding.Kind.NOT_PLANNED);
    assertThat(only.text()).contains("universe 40000 ").contains("nobody planned it");
    assertThat(report().others()).hasSize(1);
  }

  @Test
  void aPlannedUniverseThatIsMissingIsSaidWithWhoseItIs() {
    int universe = group();
    play(
        (micros, from, fromPort, to, toPort, bytes, length) -> {
          if (!isE131(toPort, bytes, length) || E131.universe(bytes) != universe) {
            air.take(micros, from, fromPort, to, toPort, bytes, length);
          }
        });
    AirFinding only = only();
    assertThat(only.kind()).isEqualTo(AirFinding.Kind.NOT_HEARD);
    assertThat(only.text()).contains("universe " + universe + " is planned for K");
  }

  @Test
  void anotherSizeIsSaid() {
    PlannedStream narrow =
        PlannedStream.of(demo).stream()
            .filter(one -> one.protocol() == Protocol.E131 && one.size() == 510)
            .findFirst()
            .orElseThrow();
    play(
        (micros, from, fromPort, to, toPort, bytes, length) -> {
          if (isE131(toPort, bytes, length) && E131.universe(bytes) == narrow.universe()) {
            byte[] full = new byte[E131.dataSize(512)];
            E131.writeData(
                full,
                new E131.Stream(new byte[16], "Desk", narrow.universe(), 100, 0),
                E131.sequence(bytes),
                0,
                0,
                512);
            air.take(micros, from, fromPort, to, toPort, full, full.length);
          } else {
            air.take(micros, from, fromPort, to, toPort, bytes, length);
          }
        });
    AirFinding only = only();
    assertThat(only.kind()).isEqualTo(AirFinding.Kind.OTHER_SIZE);
    assertThat(only.text()).contains("with 512 slots, planned are 510");
  }

  @Test
  void whatGoesToAnotherAddressIsNoStrayUniverse() {
    PlannedStream one =
        PlannedStream.of(demo).stream()
            .filter(of -> of.protocol() != Protocol.DDP && of.transport() == Transport.UNICAST)
            .findFirst()
            .orElseThrow();
    long to = one.to().orElseThrow().bits();
    play(
        (micros, from, fromPort, at, toPort, bytes, length) ->
            air.take(micros, from, fromPort, at == to ? at + 90 : at, toPort, bytes, length));
    Set<AirFinding.Kind> kinds =
        report().findings().stream().map(AirFinding::kind).collect(Collectors.toSet());
    assertThat(kinds)
        .containsExactlyInAnyOrder(AirFinding.Kind.OTHER_PLACE, AirFinding.Kind.NOT_HEARD);
  }

  @Test
  void whatGoesToOneAddressCannotBeHeardByAnother() {
    play(
        (micros, from, fromPort, to, toPort, bytes, length) -> {
          if (!Vantage.isOne(IpAddress.ofBits(to))) {
            air.take(micros, from, fromPort, to, toPort, bytes, length);
          }
        });
    AirReport from =
        AirReport.of(demo, air.streams(), Vantage.at(List.of(new IpAddress("198.51.100.222"))));
    assertThat(from.findings()).isEmpty();
    assertThat(from.lines())
        .allSatisfy(
            line ->
                assertThat(line.state())
                    .isEqualTo(
                        line.planned().transport() == Transport.UNICAST
                            ? AirLine.State.CANNOT_BE_HEARD
                            : AirLine.State.HEARD));
  }

  @Test
  void aCaptureKnowsWhereItWasMade() {
    play(air);
    Vantage desk = Vantage.of(air.streams());
    assertThat(desk.everything()).isFalse();
    assertThat(desk.own()).as("who sends everything").hasSize(1);
    Air mirrored = new Air();
    play(
        (micros, from, fromPort, to, toPort, bytes, length) ->
            mirrored.take(
                micros, to % 2 == 0 ? from : STRANGER, fromPort, to, toPort, bytes, length));
    assertThat(Vantage.of(mirrored.streams()).everything()).isTrue();
  }

  @Test
  void whatIsNoPacketOfItsProtocolIsCountedByReason() {
    air.take(0, 1, 5568, 2, E131.PORT, new byte[30], 30);
    air.take(0, 1, 9, 2, 9, new byte[3], 3);
    assertThat(air.refused()).hasSize(1);
    assertThat(air.others()).isEqualTo(1);
    assertThat(air.streams()).isEmpty();
  }
}
