package hamper.paper;

import hamper.catalog.Gauge;
import hamper.catalog.PortKind;
import hamper.display.BankCable;
import hamper.display.Cable;
import hamper.display.Controller;
import hamper.display.Feed;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Link;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.SerialDimmer;
import hamper.display.SlotPiece;
import hamper.display.StripDecoder;
import hamper.display.Supply;
import hamper.display.Wall;
import hamper.display.Workshop;
import hamper.value.Decimals;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

/**
 * What a display needs, by article: counted from the plan, with spares or an allowance, less what
 * is in stock.
 */
public final class Shopping {
  /** In which part of the list an article stands. */
  public enum Group {
    STRINGS("Strings", false),
    /** Pixels of each type: strings of every length are mended with them. */
    SPARE_PIXELS("Spare pixels", true),
    FIXTURES("Fixtures and panels", true),
    WALLS("Walls whose panels nobody described", false),
    CONTROLLERS("Controllers and remote boxes", false),
    SUPPLIES("Supplies", false),
    FUSES("Fuses", true),
    PLUGS("Connectors", true),
    CABLE("Cable", false);

    private final String title;
    private final boolean spared;

    Group(String title, boolean spared) {
      this.title = title;
      this.spared = spared;
    }

    public String title() {
      return title;
    }
  }

  /**
   * A line of the list.
   *
   * @param unit pieces, or m
   * @param needed by the plan
   * @param extra spares, or allowance of cable
   * @param stock what is there
   */
  public record Line(Group group, String article, String unit, int needed, int extra, int stock) {
    /** What is still to be bought. */
    public int toBuy() {
      return Math.max(0, needed + extra - stock);
    }
  }

  private static final String PIECES = "";
  private static final String METRES = "m";
  private static final String PIXELS = "pixels";
  private static final double PERCENT = 100;
  private static final Pattern NUMBER = Pattern.compile("[0-9]+");

  private record Article(Group group, String title, String unit) {}

  private final Plan plan;
  private final Map<Article, Double> needed = new LinkedHashMap<>();

  private Shopping(Plan plan) {
    this.plan = plan;
  }

  /** By group, and within it by name; cable in whole metres. */
  public static List<Line> of(Plan plan) {
    Shopping all = new Shopping(plan);
    plan.display().props().forEach(all::prop);
    plan.display().controllers().forEach(all::controller);
    plan.display().power().supplies().forEach(all::supply);
    plan.display().links().forEach(all::link);
    return all.lines();
  }

  private List<Line> lines() {
    Workshop workshop = plan.display().workshop();
    List<Line> lines = new ArrayList<>();
    needed.forEach(
        (article, amount) -> {
          int whole = (int) Math.ceil(amount - 1e-9);
          int percent =
              article.group() == Group.CABLE
                  ? workshop.allowance()
                  : article.group().spared ? workshop.spares() : 0;
          int extra = (int) Math.ceil(amount * percent / PERCENT - 1e-9);
          lines.add(
              new Line(
                  article.group(),
                  article.title(),
                  article.unit(),
                  article.group() == Group.SPARE_PIXELS ? 0 : whole,
                  extra,
                  workshop.inStock(article.title())));
        });
    lines.sort(
        Comparator.comparing(Line::group)
            .thenComparing(line -> inOrder(line.article()))
            .thenComparing(Line::article));
    return lines;
  }

  /** Numbers by their value: 72 before 100. */
  private static String inOrder(String article) {
    return NUMBER
        .matcher(article.toLowerCase(Locale.ROOT))
        .replaceAll(found -> "%9s".formatted(found.group()));
  }

  private void add(Group group, String title, String unit, double amount) {
    if (amount > 0) {
      needed.merge(new Article(group, title, unit), amount, Double::sum);
    }
  }

  private void prop(Prop prop) {
    for (Piece piece : prop.pieces()) {
      if (piece instanceof PixelString string) {
        add(
            Group.STRINGS,
            "%s, %d pixels".formatted(plan.typeOf(string).name(), string.places()),
            PIECES,
            1);
        add(Group.SPARE_PIXELS, plan.typeOf(string).name(), PIXELS, string.places());
        add(Group.PLUGS, "Plug and socket, " + kindOf(string.connector()), PIECES, 1);
      } else if (piece instanceof Wall wall) {
        add(
            wall.panels().isPresent() ? Group.FIXTURES : Group.WALLS,
            panel(wall),
            PIECES,
            panels(wall));
      } else if (piece instanceof StripDecoder decoder) {
        add(Group.FIXTURES, "Strip decoder, %d pixels".formatted(decoder.pixels()), PIECES, 1);
      } else if (piece instanceof SlotPiece slots) {
        add(Group.FIXTURES, "DMX fixture, %d slots".formatted(slots.channels()), PIECES, 1);
      } else if (piece instanceof SerialDimmer dimmer) {
        add(Group.FIXTURES, "Dimmer pack, %d circuits".formatted(dimmer.circuits()), PIECES, 1);
      }
    }
  }

  private static String kindOf(String connector) {
    return connector.isEmpty() ? "kind not said" : connector;
  }

  private static String panel(Wall wall) {
    return wall.panels()
        .map(
            all ->
                "Panel, %d × %d pixels"
                    .formatted(wall.width() / all.columns(), wall.height() / all.rows()))
        .orElseGet(() -> "Wall, %d × %d pixels".formatted(wall.width(), wall.height()));
  }

  private static int panels(Wall wall) {
    return wall.panels().map(all -> all.columns() * all.rows()).orElse(1);
  }

  private void controller(Controller controller) {
    add(Group.CONTROLLERS, plan.modelOf(controller).title(), PIECES, 1);
    for (BankCable cable : controller.cables()) {
      add(Group.CABLE, "Cable of a bank", METRES, cable.metres());
    }
    Map<Integer, Integer> boxes = new HashMap<>();
    for (HungRun run : plan.runsOf(controller)) {
      run(controller, run, boxes);
    }
    add(
        Group.CONTROLLERS,
        "Remote box for " + plan.modelOf(controller).title(),
        PIECES,
        boxes.values().stream().mapToInt(Integer::intValue).sum());
  }

  /**
   * @param boxes of each bank: the farthest that anything hangs on
   */
  private void run(Controller controller, HungRun run, Map<Integer, Integer> boxes) {
    PortKind kind = run.run().kind();
    if (!run.legs().isEmpty()) {
      plan.modelOf(controller).ports().stream()
          .filter(group -> group.kind() == kind)
          .forEach(
              group -> {
                group.fuseAmps().ifPresent(this::fuse);
                group
                    .banks()
                    .ifPresent(
                        banks ->
                            run.legs()
                                .forEach(
                                    leg ->
                                        boxes.merge(
                                            banks.bankOf(run.run().port()),
                                            leg.box(),
                                            Integer::max)));
              });
    }
    for (HungLeg leg : run.legs()) {
      double metres = run.cableTo(leg, plan).metres();
      add(Group.CABLE, cable(kind, leg.leg().gaugeOrUsual()), METRES, metres);
      for (Feed feed : leg.leg().feeds()) {
        feed.fuseAmps().ifPresent(this::fuse);
        double lead = Cable.lead(plan, feed, leg.at()).metres();
        add(Group.CABLE, "Power lead, " + feed.gaugeOrUsual().text(), METRES, lead);
      }
    }
  }

  private static String cable(PortKind kind, Gauge gauge) {
    return switch (kind) {
      case PIXEL -> "Pixel cable, " + gauge.text();
      case DMX -> "DMX cable, 120 Ω";
      case SERIAL -> "Serial cable";
      case PANEL -> "Network cable, copper";
      case RELAY -> "Mains cable";
    };
  }

  private void fuse(double amps) {
    add(Group.FUSES, "Fuse, %s A".formatted(Decimals.rated(amps)), PIECES, 1);
  }

  private void supply(Supply supply) {
    add(
        Group.SUPPLIES,
        "Supply, %s V, %s A"
            .formatted(Decimals.rated(supply.volts()), Decimals.rated(supply.amps())),
        PIECES,
        1);
  }

  private void link(Link link) {
    String of = link.kind() == Link.Kind.COPPER ? "copper" : "fibre";
    add(Group.CABLE, "Network cable, " + of, METRES, link.metres().orElse(0.0));
  }
}
