package hamper.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.KeyboardModifier;
import hamper.samples.Trial;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The demo patched as it hangs there: by keyboard and finder alone, and by mouse. What it costs is
 * counted. The long form begins with an empty patch, the short one takes off the first ports.
 */
@Tag("whole")
@Tag("trial")
class PatchTheDemoTest extends DemoCase {
  private static final JsonMapper JSON = new JsonMapper();
  private static final HttpClient CLIENT = HttpClient.newHttpClient();
  private static final int MOST_STROKES = 150;
  private static final int MOST_ACTIONS = 90;

  /** Ports that are patched; the demo has fewer than the long form takes. */
  private static final int PORTS = Trial.size(14, 1_000);

  /** Pieces of one prop on ports one after another: they go to the controller as one. */
  private static final List<String> ACROSS = List.of("Hall roof", "Winch lamps");

  /** A port as the demo has it. */
  private record Hung(String written, String key, String controller, List<Piece> pieces) {}

  private record Piece(String id, String title, String prop, int ofProp) {}

  private int strokes;
  private int actions;
  private final Map<String, Integer> spent = new LinkedHashMap<>();

  private String api(String method, String path, String body) throws Exception {
    HttpRequest request =
        HttpRequest.newBuilder(
                URI.create(program.url.replaceAll("/$", "") + "/api/displays" + path))
            .header("Content-Type", "application/json")
            .method(method, BodyPublishers.ofString(body, StandardCharsets.UTF_8))
            .build();
    return CLIENT.send(request, BodyHandlers.ofString()).body();
  }

  private JsonNode display() throws Exception {
    String id = JSON.readTree(api("GET", "", "")).get(0).get("id").asString();
    return JSON.readTree(api("GET", "/" + id, ""));
  }

  private static List<Hung> hung(JsonNode display) {
    Map<String, Piece> pieces = new LinkedHashMap<>();
    for (JsonNode prop : display.get("props")) {
      for (JsonNode piece : prop.get("pieces")) {
        String id = piece.at("/piece/id").asString();
        String name = prop.at("/prop/name").asString();
        pieces.put(
            id, new Piece(id, piece.get("title").asString(), name, prop.get("pieces").size()));
      }
    }
    List<Hung> all = new ArrayList<>();
    for (JsonNode controller : display.get("controllers")) {
      for (JsonNode lane : controller.get("lanes")) {
        List<Piece> there = new ArrayList<>();
        lane.get("legs").forEach(leg -> there.add(pieces.get(leg.get("piece").asString())));
        if (!there.isEmpty()) {
          String key =
              "%s|%s|%d"
                  .formatted(
                      controller.at("/controller/id").asString(),
                      lane.at("/port/kind").asString(),
                      lane.at("/port/port").asInt());
          all.add(
              new Hung(
                  lane.get("written").asString(),
                  key,
                  controller.at("/controller/tag").asString(),
                  List.copyOf(there)));
        }
      }
    }
    return all;
  }

  /** Takes everything off that is patched in this form, as one step. */
  private List<Hung> emptied() throws Exception {
    JsonNode display = display();
    List<Hung> all = hung(display);
    List<Hung> hung =
        IntStream.range(0, all.size())
            .filter(i -> i < PORTS || ACROSS.contains(all.get(i).pieces().get(0).prop()))
            .mapToObj(all::get)
            .toList();
    List<String> ids = new ArrayList<>();
    hung.forEach(one -> one.pieces().forEach(piece -> ids.add("\"" + piece.id() + "\"")));
    window.acknowledged(
        () -> {
          try {
            api(
                "POST",
                "/" + display.get("id").asString() + "/edits",
                "{\"version\":%d,\"edit\":{\"type\":\"UnpatchPieces\",\"pieces\":[%s]}}"
                    .formatted(display.get("version").asInt(), String.join(",", ids)));
          } catch (Exception e) {
            throw new IllegalStateException(e);
          }
        });
    window.go("Patch");
    return hung;
  }

  /** Of what the whole demo may cost, as much as some of its ports may. */
  private static int share(int whole, int ports, int all) {
    return whole * ports / all;
  }

  private static Map<String, List<String>> titles(List<Hung> hung) {
    Map<String, List<String>> titles = new LinkedHashMap<>();
    hung.forEach(
        one -> titles.put(one.written(), one.pieces().stream().map(Piece::title).toList()));
    return titles;
  }

  private void stroke(String key, String what) {
    page.keyboard().press(key);
    strokes++;
    spent.merge(what, 1, Integer::sum);
  }

  @Test
  void byKeyboardAndFinderAlone() throws Exception {
    Map<String, List<String>> were = titles(hung(display()));
    List<Hung> hung = emptied();
    stroke("/", "going to the finder");
    for (Hung port : hung) {
      String prop = port.pieces().get(0).prop();
      if (ACROSS.contains(prop)) {
        if (port.pieces().get(0).title().endsWith("1")) {
          command(List.of(prop), port.controller());
        }
        continue;
      }
      command(names(port.pieces()), port.written());
    }
    page.keyboard().press("Escape");
    System.out.printf(
        "the demo patched by keyboard: %d key strokes besides names, %s%n", strokes, spent);
    assertThat(titles(hung(display()))).isEqualTo(were);
    assertThat(strokes).isLessThan(share(MOST_STROKES, hung.size(), were.size()));
  }

  /** Several pieces of a prop that hang one after another are called by it. */
  private static List<String> names(List<Piece> pieces) {
    List<String> names = new ArrayList<>();
    for (Piece piece : pieces) {
      boolean whole =
          piece.ofProp() > 1
              && pieces.stream().filter(one -> one.prop().equals(piece.prop())).count()
                  == piece.ofProp();
      String name = whole ? piece.prop() : piece.title();
      if (names.isEmpty() || !names.get(names.size() - 1).equals(name)) {
        names.add(name);
      }
    }
    return names;
  }

  private void command(List<String> names, String where) {
    for (int i = 0; i < names.size(); i++) {
      if (i > 0) {
        stroke(",", "commas");
      }
      page.keyboard().insertText(names.get(i).toLowerCase());
    }
    stroke("Space", "spaces");
    page.keyboard().insertText(where);
    page.locator(".finder")
        .getByRole(AriaRole.OPTION)
        .filter(Window.hasText("Patch "))
        .first()
        .waitFor();
    window.acknowledged(() -> stroke("Shift+Enter", "Shift+Enter"));
  }

  @Test
  void byMouse() throws Exception {
    Map<String, List<String>> were = titles(hung(display()));
    List<Hung> hung = emptied();
    for (Hung port : hung) {
      String prop = port.pieces().get(0).prop();
      if (ACROSS.contains(prop)) {
        if (port.pieces().get(0).title().endsWith("1")) {
          together(
              hung.stream()
                  .flatMap(one -> one.pieces().stream())
                  .filter(piece -> piece.prop().equals(prop))
                  .toList(),
              port);
        }
        continue;
      }
      List<Piece> first =
          port.pieces().stream()
              .filter(piece -> piece.prop().equals(port.pieces().get(0).prop()))
              .toList();
      if (first.size() > 3) {
        together(first, port);
        port.pieces().subList(first.size(), port.pieces().size()).forEach(one -> drag(one, port));
      } else {
        port.pieces().forEach(piece -> drag(piece, port));
      }
    }
    System.out.printf("the demo patched by mouse: %d actions, %s%n", actions, spent);
    assertThat(titles(hung(display()))).isEqualTo(were);
    assertThat(actions).isLessThan(share(MOST_ACTIONS, hung.size(), were.size()));
  }

  private void act(String what) {
    actions++;
    spent.merge(what, 1, Integer::sum);
  }

  /** The first taken, the last with Shift, and all of them dragged as one. */
  private void together(List<Piece> pieces, Hung port) {
    Locator first = inTray(pieces.get(0));
    first.click();
    act("clicks");
    inTray(pieces.get(pieces.size() - 1))
        .click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
    act("clicks");
    boolean across = ACROSS.contains(pieces.get(0).prop());
    if (across) {
      acrossFrom(pieces.get(0), port);
    } else {
      drag(pieces.get(0), port);
    }
  }

  private void acrossFrom(Piece piece, Hung port) {
    Locator head = page.locator("[data-controller='%s']".formatted(port.key().split("\\|")[0]));
    reach(head);
    Locator what = inTray(piece);
    BoundingBox from = what.boundingBox();
    page.mouse().move(from.x + 8, from.y + from.height / 2);
    page.mouse().down();
    BoundingBox to = head.boundingBox();
    page.mouse().move(to.x + 300, to.y + to.height / 2 - 2);
    page.mouse().move(to.x + 304, to.y + to.height / 2);
    window.acknowledged(page.mouse()::up);
    act("drags");
  }

  private void drag(Piece piece, Hung port) {
    Locator lane = window.lane(port.key());
    reach(lane);
    Locator what = inTray(piece);
    BoundingBox from = what.boundingBox();
    page.mouse().move(from.x + Math.min(12, from.width / 2), from.y + from.height / 2);
    page.mouse().down();
    BoundingBox to = lane.locator("[data-wire]").boundingBox();
    // behind what hangs there already
    double right = to.width * 0.6;
    page.mouse().move(to.x + right - 4, to.y + to.height / 2 - 2);
    page.mouse().move(to.x + right, to.y + to.height / 2);
    window.acknowledged(page.mouse()::up);
    act("drags");
  }

  /** Turns the wheel until a port can be seen: one action, however far. */
  private void reach(Locator lane) {
    Locator lanes = page.locator(".lanes");
    BoundingBox box = lanes.boundingBox();
    boolean turned = false;
    for (int i = 0; i < 120 && !seen(lane, box); i++) {
      page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
      page.mouse().wheel(0, 140);
      page.waitForTimeout(40);
      box = lanes.boundingBox();
      turned = true;
    }
    if (turned) {
      act("turns of the wheel over ports");
      window.lanesAreStill();
      // a busy machine scrolls on after the wheel
      for (int i = 0; i < 20 && !seen(lane, box); i++) {
        page.mouse().wheel(0, -140);
        window.lanesAreStill();
      }
    }
  }

  private static boolean seen(Locator what, BoundingBox box) {
    if (what.count() == 0) {
      return false;
    }
    BoundingBox own = what.first().boundingBox();
    return own != null && own.y >= box.y && own.y + own.height <= box.y + box.height;
  }

  private Locator inTray(Piece piece) {
    Locator what = window.loose(piece.id());
    what.waitFor();
    BoundingBox box = page.locator("[data-tray]").boundingBox();
    if (!seen(what, box)) {
      what.scrollIntoViewIfNeeded();
      act("turns of the wheel over the tray");
    }
    return what;
  }
}
