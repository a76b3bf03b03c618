package hamper.who;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.IpAddress;
import hamper.catalog.PortKind;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.SlotPiece;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Who answered is held beside who is planned, whatever he says and wherever he says it. */
class RosterTest {
  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");
  private static final PortRef LINE = new PortRef("k5", PortKind.DMX, 1);

  private final Plan plan = demo();

  private static Plan demo() {
    try {
      return DisplayFile.read(Files.readAllBytes(DEMO), CatalogueFiles.shipped());
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  private static Answer node(String at, String product, String ownName) {
    return new Answer(
        Way.ARTNET,
        new IpAddress(at),
        Optional.empty(),
        Optional.empty(),
        product,
        ownName,
        Optional.empty(),
        Optional.of(new IpAddress(at)),
        List.of());
  }

  private static Answer door(String at, String model, String serial) {
    return new Answer(
        Way.GIVING,
        new IpAddress(at),
        Optional.empty(),
        Optional.of(model),
        "",
        "",
        Optional.of(serial),
        Optional.empty(),
        List.of());
  }

  private Map<String, Present> present(Map<String, String> serials, Answer... answers) {
    Set<String> asked =
        plan.display().controllers().stream().map(one -> one.id()).collect(Collectors.toSet());
    return Roster.of(plan, List.of(answers), serials, asked).stream()
        .collect(
            Collectors.toMap(
                one -> one.controller().orElseGet(() -> one.at().get().text()), one -> one));
  }

  @Test
  void theModelIsKnownByWhatANodeSaysOfItself() {
    Map<String, Present> found =
        present(
            Map.of(),
            node("198.51.100.11", "OSTRAND - Twelve v2.1", ""),
            node("198.51.100.12", "Ostrand Twelve", ""),
            node("198.51.100.16", "something of nobody", ""));
    assertThat(found.get("k1").state()).isEqualTo(Present.State.AS_PLANNED);
    assertThat(found.get("k2").state()).isEqualTo(Present.State.OTHER_MODEL);
    assertThat(found.get("k2").told())
        .containsExactly("it says that it is a Ostrand Twelve, planned is a Ostrand Five");
    assertThat(found.get("k6").state())
        .as("it says nothing of its model")
        .isEqualTo(Present.State.AS_PLANNED);
    assertThat(found.get("k3").state()).isEqualTo(Present.State.MISSING);
    assertThat(found).doesNotContainKey("h1");
  }

  @Test
  void aNameThatWasCutForLackOfRoomIsStillTheName() {
    Map<String, Present> found =
        present(
            Map.of(),
            node("198.51.100.11", "Ostrand Twelve", "K1 Harbour wal"),
            node("198.51.100.12", "Ostrand Five", "K2"),
            node("198.51.100.16", "", "K1 Harbour wall"));
    assertThat(found.get("k1").state()).isEqualTo(Present.State.AS_PLANNED);
    assertThat(found.get("k2").state()).isEqualTo(Present.State.AS_PLANNED);
    assertThat(found.get("k6").state()).isEqualTo(Present.State.OTHER_NAME);
  }

  @Test
  void oneThatMovedIsKnownByItsSerialNumberOrItsName() {
    Map<String, Present> found =
        present(
            Map.of("k2", "SN-7"),
            door("198.51.100.112", "ostrand-five", "SN-7"),
            node("198.51.100.113", "Quillby Wren", "K3 Signal tower"),
            door("198.51.100.114", "ostrand-five", "SN-8"));
    assertThat(found.get("k2").state()).isEqualTo(Present.State.OTHER_ADDRESS);
    assertThat(found.get("k2").told())
        .containsExactly("it answers at 198.51.100.112, planned is 198.51.100.12");
    assertThat(found.get("k3").at()).contains(new IpAddress("198.51.100.113"));
    assertThat(found.get("198.51.100.114").state()).isEqualTo(Present.State.UNKNOWN);
    assertThat(found.get("198.51.100.114").model()).contains("ostrand-five");
  }

  @Test
  void aSourceIsAHostOrNobodyPlannedIt() {
    Answer host =
        new Answer(
            Way.E131,
            new IpAddress("198.51.100.5"),
            Optional.empty(),
            Optional.empty(),
            "",
            "Desk",
            Optional.empty(),
            Optional.empty(),
            List.of(1, 2));
    Answer other =
        new Answer(
            Way.E131,
            new IpAddress("198.51.100.200"),
            Optional.empty(),
            Optional.empty(),
            "",
            "Laptop",
            Optional.empty(),
            Optional.empty(),
            List.of(1, 2, 3));
    Map<String, Present> found = present(Map.of(), host, other);
    assertThat(found.get("h1").state()).isEqualTo(Present.State.AS_PLANNED);
    assertThat(found.get("198.51.100.200").told())
        .containsExactly("it sends 3 universes, and nobody planned it");
  }

  @Test
  void whoCannotBeAskedIsNotMissing() {
    Present k1 =
        Roster.of(plan, List.of(), Map.of(), Set.of()).stream()
            .filter(one -> one.controller().equals(Optional.of("k1")))
            .findFirst()
            .orElseThrow();
    assertThat(k1.state()).isEqualTo(Present.State.CANNOT_BE_ASKED);
  }

  private static LineDevice fixture(String id, int slot, int width) {
    return new LineDevice(
        id, "", "", slot, width, Optional.empty(), Optional.empty(), false, false);
  }

  /** The fixtures of K5's first line as they are planned. */
  private List<LineDevice> asPlanned() {
    List<LineDevice> all = new ArrayList<>();
    for (LineEntry one : LineRoster.of(plan, LINE, List.of())) {
      SlotPiece piece = (SlotPiece) plan.existingPiece(one.piece().orElseThrow()).piece();
      all.add(fixture(piece.id(), piece.slot(), piece.channels()));
    }
    return all;
  }

  private Map<LineEntry.State, Long> states(List<LineDevice> found) {
    return LineRoster.of(plan, LINE, found).stream()
        .collect(Collectors.groupingBy(LineEntry::state, Collectors.counting()));
  }

  @Test
  void whatIsOnALineIsKnownByItsSlotAndItsSize() {
    List<LineDevice> all = asPlanned();
    assertThat(all).hasSize(6);
    assertThat(states(all)).isEqualTo(Map.of(LineEntry.State.AS_PLANNED, 6L));
    assertThat(states(List.of())).isEqualTo(Map.of(LineEntry.State.MISSING, 6L));

    List<LineDevice> moved = new ArrayList<>(all);
    moved.set(4, all.get(4).at(400));
    assertThat(states(moved))
        .isEqualTo(Map.of(LineEntry.State.AS_PLANNED, 5L, LineEntry.State.OTHER_PLACE, 1L));

    List<LineDevice> wide = new ArrayList<>(all);
    wide.set(4, fixture("x", all.get(4).place(), all.get(4).width() + 1));
    assertThat(states(wide))
        .isEqualTo(Map.of(LineEntry.State.AS_PLANNED, 5L, LineEntry.State.OTHER_WIDTH, 1L));

    List<LineDevice> over = new ArrayList<>(all);
    over.add(fixture("guest", all.get(0).place() + 1, 2));
    assertThat(states(over))
        .as("the guest and the one that it stands on")
        .isEqualTo(Map.of(LineEntry.State.AS_PLANNED, 5L, LineEntry.State.OVERLAPS, 2L));
  }
}
