package hamper.server.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hamper.catalog.Catalog;
import hamper.catalog.PortKind;
import hamper.config.Configuration;
import hamper.config.DeviceStart;
import hamper.config.Output;
import hamper.config.SendLine;
import hamper.config.SendList;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.files.AddressTable;
import hamper.files.CatalogueFiles;
import hamper.samples.RandomYards;
import hamper.server.live.DemoDisplay;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/**
 * A number that two places show is the same number in both: lanes of Patch, the table of addresses,
 * the setting sheet, the send list, Loads, supplies, Network and Props, over the demo and over
 * displays at random.
 */
class NumbersAgreeTest {
  private static final Catalog CATALOG = CatalogueFiles.shipped();
  private static final int DISPLAYS = 50;
  private static int compared;

  @AfterAll
  static void tell() {
    System.out.printf("[numbers] %,d numbers of two places compared%n", compared);
  }

  @Test
  void inTheDemo() {
    agree(new Plan(DemoDisplay.read(CATALOG), CATALOG));
    assertThat(compared).isGreaterThan(1000);
  }

  @Test
  void inDisplaysAtRandom() {
    for (long seed = 1; seed <= DISPLAYS; seed++) {
      agree(RandomYards.of(CATALOG, seed));
    }
  }

  private static void agree(Plan plan) {
    Facts facts = Facts.of(plan);
    List<ControllerView> views = Views.controllers(facts);
    addresses(AddressTable.of(plan, facts.resolution()), views);
    facts.configurations().forEach(one -> sheets(one, view(views, one.controller())));
    sent(SendList.of(plan, facts.resolution()), views);
    power(PowerView.of(facts), views);
    hung(Views.props(facts), views);
    network(NetworkView.of(facts), views);
  }

  private static ControllerView view(List<ControllerView> views, String controller) {
    return views.stream()
        .filter(view -> view.controller().id().equals(controller))
        .findFirst()
        .orElseThrow();
  }

  private static void same(Object one, Object other, String what) {
    compared++;
    assertThat(one).as(what).isEqualTo(other);
  }

  /** Lanes of Patch and the table of addresses. */
  private static void addresses(AddressTable table, List<ControllerView> views) {
    Map<String, AddressTable.Row> rows = new HashMap<>();
    table.sections().forEach(row -> rows.put(row.pieceId() + " " + row.section(), row));
    for (ControllerView view : views) {
      for (LaneView lane : view.lanes()) {
        for (LegView leg : lane.legs()) {
          for (SectionView section : leg.sections()) {
            AddressTable.Row row = rows.remove(leg.piece() + " " + (section.section() + 1));
            String what = lane.written() + " " + leg.title();
            assertThat(row).as(what).isNotNull();
            same(section.displayStart(), row.displayStart(), what);
            same(section.displayEnd(), row.displayEnd(), what);
            same(section.startAt().map(at -> at.universe()), row.startUniverse(), what);
            same(section.startAt().map(at -> at.channel()), row.startChannel(), what);
            same(section.endAt().map(at -> at.channel()), row.endChannel(), what);
            same(section.channels(), row.channels(), what);
          }
        }
      }
    }
    assertThat(rows).as("rows of pieces that no lane shows").isEmpty();
    for (AddressTable.Block block : table.controllers()) {
      ControllerView view =
          views.stream()
              .filter(one -> one.controller().tag().equals(block.name()))
              .findFirst()
              .orElseThrow();
      same(view.block().channels(), block.channels(), block.name());
      same(view.block().usedChannels(), block.usedChannels(), block.name());
      same(view.block().firstUniverse(), block.firstUniverse(), block.name());
    }
  }

  /** The start that the glass shows and the one on the setting sheet. */
  private static void sheets(Configuration told, ControllerView view) {
    for (Output output : told.outputs()) {
      LaneView lane =
          view.lanes().stream()
              .filter(
                  one -> one.port().kind() == output.kind() && one.port().port() == output.port())
              .findFirst()
              .orElseThrow();
      same(lane.label(), output.label(), lane.written());
      List<SectionView> sections =
          lane.legs().stream().flatMap(leg -> leg.sections().stream()).toList();
      if (sections.size() == output.sections().size()) {
        for (int i = 0; i < sections.size(); i++) {
          Optional<DeviceStart> start = sections.get(i).device();
          DeviceStart other = output.sections().get(i).start();
          if (start.isPresent() && other.says()) {
            same(start.get(), other, lane.written() + " section " + (i + 1));
          }
        }
      }
    }
  }

  /** Universes that a source sends to a device, and those of its block. */
  private static void sent(List<SendLine> list, List<ControllerView> views) {
    Map<String, Set<Integer>> universes = new HashMap<>();
    for (SendLine line : list) {
      line.firstUniverse()
          .ifPresent(
              first -> {
                for (int i = 0; i < line.universes(); i++) {
                  universes
                      .computeIfAbsent(line.controllerId(), id -> new HashSet<>())
                      .add(first + i);
                }
              });
    }
    universes.forEach(
        (controller, all) ->
            assertThat(all)
                .as(controller)
                .containsAll(view(views, controller).block().dmxUniverses()));
  }

  /** Amperes of runs, summed up at supplies and inputs. */
  private static void power(PowerView power, List<ControllerView> views) {
    List<FeedView> feeds =
        views.stream()
            .flatMap(view -> view.lanes().stream())
            .flatMap(lane -> lane.power().stream())
            .flatMap(run -> run.feeds().stream())
            .toList();
    for (PowerView.SupplyView supply : power.supplies()) {
      List<FeedView> own =
          feeds.stream()
              .filter(feed -> feed.supply().equals(Optional.of(supply.supply().id())))
              .toList();
      same(own.size(), supply.feeds(), supply.supply().name());
      close(own.stream().mapToDouble(FeedView::amps).sum(), supply.amps());
      close(own.stream().mapToDouble(FeedView::fullAmps).sum(), supply.fullAmps());
    }
    Map<Optional<String>, Double> watts =
        power.supplies().stream()
            .collect(
                Collectors.groupingBy(
                    PowerView.SupplyView::mains,
                    Collectors.summingDouble(one -> one.supply().mainsWatts(one.amps()))));
    for (PowerView.MainsView mains : power.mains()) {
      double supplies = watts.getOrDefault(Optional.of(mains.mains().id()), 0.0);
      close(supplies + mains.mains().otherWatts(), mains.watts());
    }
  }

  private static void close(double one, double other) {
    compared++;
    assertThat(one).isCloseTo(other, within(1e-9));
  }

  /** What Props says of a piece, and its lane; what a run carries, and its legs. */
  private static void hung(List<PropView> props, List<ControllerView> views) {
    Map<String, PropView.PieceView> pieces = new HashMap<>();
    props.forEach(prop -> prop.pieces().forEach(piece -> pieces.put(piece.piece().id(), piece)));
    for (ControllerView view : views) {
      for (LaneView lane : view.lanes()) {
        int places = 0;
        for (LegView leg : lane.legs()) {
          PropView.PieceView piece = pieces.get(leg.piece());
          same(piece.written(), Optional.of(lane.written()), leg.title());
          same(piece.pixels(), leg.pixels(), leg.title());
          same(piece.title(), leg.title(), leg.piece());
          same(leg.before(), places, lane.written());
          places += leg.nullPixels() + leg.places();
        }
        if (lane.port().kind() == PortKind.PIXEL && lane.load().isPresent()) {
          LoadView load = lane.load().get();
          same(load.pixels() + load.nullPixels(), places, lane.written());
        }
      }
    }
  }

  /** Who stands on an address line, and the address in Controllers. */
  private static void network(NetworkView network, List<ControllerView> views) {
    network.lines().stream()
        .flatMap(line -> line.occupants().stream())
        .filter(one -> one.adapter().isEmpty())
        .forEach(
            one ->
                same(
                    Optional.of(one.address()),
                    view(views, one.controller()).controller().address(),
                    one.tag()));
    network
        .flows()
        .forEach(
            flow ->
                same(
                    flow.protocol(), view(views, flow.controller()).protocol(), flow.controller()));
  }
}
