package hamper.display;

import hamper.value.Require;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Where power comes from: supplies, and the mains circuits they hang on. */
public record SitePower(List<Supply> supplies, List<MainsCircuit> mains) {
  public static final SitePower NONE = new SitePower(List.of(), List.of());

  public SitePower {
    supplies = List.copyOf(supplies);
    mains = List.copyOf(mains);
    Set<String> circuits = new HashSet<>();
    for (int i = 0; i < mains.size(); i++) {
      once(circuits, mains.get(i).id(), "mains[%d].id".formatted(i));
    }
    Set<String> ids = new HashSet<>();
    for (int i = 0; i < supplies.size(); i++) {
      once(ids, supplies.get(i).id(), "supplies[%d].id".formatted(i));
      Optional<String> on = supplies.get(i).mains();
      Require.that(
          on.isEmpty() || circuits.contains(on.get()),
          "supplies[%d].mains".formatted(i),
          Require.quoted(on.orElse("")),
          "no mains circuit of this display has this id; there are " + circuits.size());
    }
  }

  private static void once(Set<String> seen, String id, String place) {
    Require.that(seen.add(id), place, Require.quoted(id), "it is used already; choose another");
  }

  public Optional<Supply> supply(String id) {
    return supplies.stream().filter(supply -> supply.id().equals(id)).findFirst();
  }

  public SitePower withSupplies(List<Supply> newSupplies) {
    return new SitePower(newSupplies, mains);
  }

  public SitePower withMains(List<MainsCircuit> newMains) {
    return new SitePower(supplies, newMains);
  }
}
