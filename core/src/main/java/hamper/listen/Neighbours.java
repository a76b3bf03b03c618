package hamper.listen;

import hamper.address.Protocol;
import java.util.ArrayList;
import java.util.List;

/** What is said of universes that follow each other in the same words is said once. */
final class Neighbours {
  private Neighbours() {}

  /**
   * @param findings each of one universe, those of a kind and sender by universe; their texts
   *     without the universe, which is put before them here
   */
  static List<AirFinding> joined(List<AirFinding> findings) {
    List<AirFinding> joined = new ArrayList<>();
    AirFinding open = null;
    for (AirFinding one : findings) {
      if (open != null && follows(open, one)) {
        open = over(open, one.lastUniverse());
        continue;
      }
      if (open != null) {
        joined.add(named(open));
      }
      open = one;
    }
    if (open != null) {
      joined.add(named(open));
    }
    return joined;
  }

  private static boolean follows(AirFinding open, AirFinding one) {
    return one.kind() == open.kind()
        && one.protocol() == open.protocol()
        && one.protocol() != Protocol.DDP
        && one.firstUniverse() == open.lastUniverse() + 1
        && one.controllers().equals(open.controllers())
        && one.sender().equals(open.sender())
        && one.text().equals(open.text());
  }

  private static AirFinding over(AirFinding open, int last) {
    return new AirFinding(
        open.kind(),
        open.protocol(),
        open.firstUniverse(),
        last,
        open.controllers(),
        open.sender(),
        open.text());
  }

  private static AirFinding named(AirFinding one) {
    String universes =
        one.protocol() == Protocol.DDP
            ? "DDP"
            : one.firstUniverse() == one.lastUniverse()
                ? "%s universe %d".formatted(one.protocol().title(), one.firstUniverse())
                : "Each of %s universes %d–%d"
                    .formatted(one.protocol().title(), one.firstUniverse(), one.lastUniverse());
    return new AirFinding(
        one.kind(),
        one.protocol(),
        one.firstUniverse(),
        one.lastUniverse(),
        one.controllers(),
        one.sender(),
        universes + " " + one.text());
  }
}
