package hamper.files;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.change.Difference;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.edit.Edit;
import hamper.samples.RandomEdits;
import hamper.samples.Trial;
import hamper.value.RefusedException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Which edits get in each other's way, where two windows make them of the same version. */
@Tag("trial")
class EditOverlapTest {
  private static final int PAIRS = Trial.size(400, 1_000);

  private static final Path TABLE = Path.of("src/test/resources/edit-overlaps.txt");

  /** Name in the table, and the edit, on the demo display. */
  private static final Map<String, String> EDITS = new LinkedHashMap<>();

  private static void edit(String name, String type, String rest) {
    EDITS.put(
        name,
        "{\"type\":\"%s\"%s}".formatted(type, rest.isEmpty() ? "" : "," + rest.replace('\'', '"')));
  }

  static {
    edit(
        "brightness of K1",
        "SetControllers",
        "'controllers':['k1'],'set':{'settings':{'brightness':7}}");
    edit("note of K1", "SetControllers", "'controllers':['k1'],'set':{'settings':{'note':'x'}}");
    edit("tag of K1", "SetControllers", "'controllers':['k1'],'set':{'tag':'Q1'}");
    edit(
        "brightness of all",
        "SetControllers",
        "'controllers':['k1','k2','k3'],'set':{'settings':{'brightness':8}}");
    edit(
        "backup of K1", "SetControllers", "'controllers':['k1'],'set':{'sending':{'backup':'h2'}}");
    edit("power input of K1", "PowerInput", "'controller':'k1','input':1,'supply':'supply-boats'");
    edit("adapter of H1", "SetAdapter", "'controller':'h1','index':0,'set':{'name':'x'}");
    edit("mode of K4", "SetMode", "'controller':'k4','mode':'12 ports'");
    edit("K1 exchanged", "ExchangeController", "'controller':'k1','model':'ostrand-five'");
    edit("K1 held", "HoldGiven", "'controller':'k1'");
    edit(
        "the rail held",
        "HoldPlaces",
        "'sections':[{'piece':'gangway-rail-1','section':0,'channel':2467}],'controllers':[],'lines':[]");
    edit("tags for all", "GiveTags", "");
    edit("spares", "SetWorkshop", "'sparesPercent':8");
    edit(
        "the weather vane hung",
        "HangPieces",
        "'at':[{'port':{'controller':'k2','kind':'PIXEL','port':5},'pieces':['weather-vane-1']}]");
    edit("stock", "SetStock", "'article':'Fuse 5 A','count':3");
    edit(
        "tag of a string",
        "SetTag",
        "'on':{'kind':'STRING','of':'wall-coping-west-1'},'text':'S9'");
    edit("universes by zone", "OrderUniverses", "'by':'ZONE','stride':10,'letGo':false");
    edit("universes in list order", "OrderUniverses", "'by':'LIST','stride':10,'letGo':true");
    edit("K4 moved", "MoveController", "'controller':'k4','by':-2");
    edit("K1 removed", "RemoveController", "'controller':'k1'");
    edit("two added", "AddControllers", "'model':'ostrand-five','controllers':['x1','x2']");
    edit(
        "port K1-2",
        "SetPort",
        "'port':{'controller':'k1','kind':'PIXEL','port':2},'set':{'brightness':9}");
    edit(
        "Red dinghy on K1-12",
        "PatchPieces",
        "'pieces':['dinghy-red-1'],'port':{'controller':'k1','kind':'PIXEL','port':12}");
    edit(
        "Blue dinghy on K1-12",
        "PatchPieces",
        "'pieces':['dinghy-blue-1'],'port':{'controller':'k1','kind':'PIXEL','port':12}");
    edit(
        "Blue dinghy on K1-11",
        "PatchPieces",
        "'pieces':['dinghy-blue-1'],'port':{'controller':'k1','kind':'PIXEL','port':11}");
    edit("Winch off", "UnpatchPieces", "'pieces':['winch-1']");
    edit("nulls before Winch", "SetLegs", "'pieces':['winch-1'],'set':{'nullPixels':5}");
    edit("cable before Winch", "SetLegs", "'pieces':['winch-1'],'set':{'cableMetres':3}");
    edit(
        "feed of Winch",
        "AddFeeds",
        "'piece':'winch-1','feeds':[{'supply':'supply-boats','position':3}]");
    edit(
        "pixels of Winch",
        "SetSections",
        "'sections':[{'piece':'winch-1','index':0}],'set':{'pixels':33}");
    edit(
        "fold of Winch",
        "SetSections",
        "'sections':[{'piece':'winch-1','index':0}],'set':{'fold':5}");
    edit("Winch turned", "TurnSections", "'sections':[{'piece':'winch-1','index':0}]");
    edit("Winch split", "SplitSection", "'piece':'winch-1','index':0,'pixels':10");
    edit("Winch cut", "CutString", "'piece':'winch-1','after':10,'rest':'winch-rest'");
    edit(
        "lead of Winch",
        "SetPieces",
        "'pieces':['winch-1'],'set':{'kind':'string','leadMetres':2}");
    edit(
        "wire of Winch",
        "SetPieces",
        "'pieces':['winch-1'],'set':{'kind':'string','wires':{'gauge':'AWG 16'}}");
    edit("name of Winch", "SetProps", "'props':['winch'],'set':{'name':'x'}");
    edit("zone of Winch", "SetProps", "'props':['winch'],'set':{'zone':null}");
    edit("Winch twice", "DuplicateProp", "'prop':'winch','copies':['winch-2'],'mirrorImage':false");
    edit("Winch removed", "RemoveProps", "'props':['winch']");
    edit(
        "prop added",
        "PutProps",
        "'props':[{'id':'y','name':'y','pieces':[{'kind':'circuit','id':'y-1','name':'y','threshold':9,'safeOn':true}]}]");
    edit("zone slipway moved", "SetZones", "'zones':['slipway'],'set':{'eastMetres':5}");
    edit("zone slipway removed", "RemoveZone", "'zone':'slipway'");
    edit(
        "rating of the boats' supply",
        "SetSupplies",
        "'supplies':['supply-boats'],'set':{'amps':61}");
    edit("subnet air removed", "RemoveSubnet", "'subnet':'air'");
    edit("subnet air renamed", "SetSubnets", "'subnets':['air'],'set':{'name':'x'}");
    edit("name of the display", "SetDisplay", "'name':'x'");
    edit("frame rate", "SetDisplay", "'settings':{'framesPerSecond':25}");
  }

  private static Plan demo() throws IOException {
    return DisplayFile.read(
        Files.readAllBytes(
            Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json")),
        CatalogueFiles.shipped());
  }

  private static Difference writes(Plan plan, Edit edit) {
    return Difference.between(plan.display(), edit.change(plan));
  }

  /** The table is reviewed by eye; -Dapi.update writes it anew. */
  @Test
  void editsOverlapWhereTheTableSaysSo() throws IOException {
    Plan demo = demo();
    Map<String, Difference> writes = new LinkedHashMap<>();
    EDITS.forEach(
        (name, json) -> writes.put(name, writes(demo, Json.MAPPER.readValue(json, Edit.class))));
    StringBuilder table = new StringBuilder();
    writes.forEach(
        (name, mine) -> {
          table.append(name).append('\n');
          writes.forEach(
              (other, theirs) -> {
                List<String> both = mine.overlap(theirs);
                assertThat(theirs.overlap(mine)).as(name + " and " + other).isEqualTo(both);
                if (!both.isEmpty() && !name.equals(other)) {
                  table.append("  %s: %s%n".formatted(other, both.get(0)));
                }
              });
        });
    if (System.getProperty("api.update") != null) {
      Files.writeString(TABLE, table);
    }
    assertThat(table.toString()).isEqualTo(Files.readString(TABLE, StandardCharsets.UTF_8));
  }

  /** What it means that two do not overlap: it does not matter which of them comes first. */
  @Test
  void editsThatDoNotOverlapMakeTheSameDisplayInEitherOrder() throws IOException {
    Plan plan = demo();
    RandomEdits edits = new RandomEdits(7);
    int tried = 0;
    List<String> different = new ArrayList<>();
    for (int i = 0; i < PAIRS; i++) {
      Edit first = edits.next(plan);
      Edit second = edits.next(plan);
      if (writes(plan, first).overlap(writes(plan, second)).isEmpty()) {
        try {
          Display one = second.change(first.applyTo(plan).plan());
          Display other = first.change(second.applyTo(plan).plan());
          tried++;
          if (!sameWherever(one, other)) {
            different.add(first.label(plan) + " | " + second.label(plan));
          }
        } catch (RefusedException e) {
          continue; // what one names the other has taken away: refused, not overwritten
        }
      }
    }
    assertThat(tried).isGreaterThan(PAIRS * 2 / 5);
    assertThat(different)
        .allMatch(pair -> READS.stream().anyMatch(pair::contains))
        .hasSizeLessThan(tried / 20);
  }

  /** These are worked out of the whole display when their turn comes. */
  private static final List<String> READS =
      List.of("nearest", "Hold what was given", "Exchange", "Add ", "Duplicate", "across", "Tell ");

  /** New things stand at the end in the order in which they came. */
  private static boolean sameWherever(Display one, Display other) {
    return Difference.between(one, other).paths().stream()
        .allMatch(path -> path.endsWith("/order"));
  }
}
