package hamper.change;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.catalog.Catalog;
import hamper.change.Comparison.Became;
import hamper.change.Comparison.ComparedThing;
import hamper.config.Configuration;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.facts.Facts;
import hamper.files.AddressTable;
import hamper.files.CatalogueFiles;
import hamper.files.ComparisonFiles;
import hamper.files.ConfigurationFiles;
import hamper.resolve.Resolver;
import hamper.samples.RandomEdits;
import hamper.samples.RandomYards;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What differs between two states of a display is what a naive comparison finds. */
class ComparisonTest {
  private static final Catalog CATALOG = CatalogueFiles.shipped();

  @Test
  void equalsANaiveComparisonOnRandomPairs() {
    int moved = 0;
    int told = 0;
    for (int seed = 0; seed < 500; seed++) {
      Plan was = RandomYards.of(CATALOG, seed);
      RandomEdits edits = new RandomEdits(seed);
      Plan is = was;
      for (int i = 0; i < seed % 7; i++) {
        is = is.with(edits.next(is).change(is));
      }
      Comparison comparison = Comparison.between(side(was), side(is));
      Set<String> movedHere = new TreeSet<>();
      comparison.moved().forEach(one -> movedHere.add(one.is().piece() + "/" + one.is().section()));
      assertThat(movedHere).as("moved, seed %d", seed).isEqualTo(movedNaively(was, is));
      assertThat(comparison.told().stream().map(Comparison.ComparedTold::controller))
          .as("told, seed %d", seed)
          .containsExactlyInAnyOrderElementsOf(toldNaively(was, is));
      assertProps(comparison, was, is);
      assertThat(comparison.isNone()).isEqualTo(was.display().equals(is.display()));
      assertThat(ComparisonFiles.text(comparison).isEmpty()).isEqualTo(comparison.isNone());
      moved += comparison.moved().size();
      told += comparison.told().size();
    }
    assertThat(moved).isGreaterThan(500);
    assertThat(told).isGreaterThan(200);
  }

  private static Comparison.Side side(Plan plan) {
    return new Comparison.Side(plan, Resolver.resolve(plan));
  }

  /** By the rows of the address table, as text. */
  private static Set<String> movedNaively(Plan was, Plan is) {
    Map<String, String> before = rows(was);
    Set<String> moved = new TreeSet<>();
    rows(is)
        .forEach(
            (key, row) -> {
              if (before.containsKey(key) && !before.get(key).equals(row)) {
                moved.add(key);
              }
            });
    return moved;
  }

  private static Map<String, String> rows(Plan plan) {
    Map<String, String> rows = new HashMap<>();
    AddressTable.of(plan, Resolver.resolve(plan))
        .sections()
        .forEach(
            row ->
                rows.put(
                    row.pieceId() + "/" + row.section(),
                    "%s %s:%s %s %s %d"
                        .formatted(
                            row.controller(),
                            row.startUniverse(),
                            row.startChannel(),
                            row.controllerStart(),
                            row.displayStart(),
                            row.channels())));
    return rows;
  }

  private static Set<String> toldNaively(Plan was, Plan is) {
    Map<String, String> before = prints(was);
    Set<String> told = new TreeSet<>();
    prints(is)
        .forEach(
            (id, print) -> {
              if (before.containsKey(id) && !before.get(id).equals(print)) {
                told.add(id);
              }
            });
    return told;
  }

  private static Map<String, String> prints(Plan plan) {
    return Facts.withoutPower(plan).configurations().stream()
        .collect(Collectors.toMap(Configuration::controller, ConfigurationFiles::fingerprint));
  }

  private static void assertProps(Comparison comparison, Plan was, Plan is) {
    Map<String, Prop> before =
        was.display().props().stream().collect(Collectors.toMap(Prop::id, one -> one));
    Map<String, Prop> after =
        is.display().props().stream().collect(Collectors.toMap(Prop::id, one -> one));
    Map<String, Became> became =
        comparison.props().stream()
            .collect(Collectors.toMap(ComparedThing::id, ComparedThing::became));
    Set<String> all = new TreeSet<>(before.keySet());
    all.addAll(after.keySet());
    for (String id : all) {
      Became expected =
          !before.containsKey(id)
              ? Became.ADDED
              : !after.containsKey(id)
                  ? Became.REMOVED
                  : before.get(id).equals(after.get(id))
                      ? null
                      : before.get(id).name().equals(after.get(id).name())
                          ? Became.CHANGED
                          : Became.RENAMED;
      assertThat(became.get(id)).as(id).isEqualTo(expected);
    }
  }
}
