package hamper.paper;

import hamper.catalog.Banks;
import hamper.display.PortRef;
import hamper.value.Decimals;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The sheet of one controller: all that is plugged in there, in socket order.
 *
 * @param controller its id
 * @param facts of the device as a whole, such as its address
 * @param groups of ports: by kind, and by bank where a model has banks
 * @param walls that hang on it
 * @param cautions what is wrong with it and the crew should know, one sentence each
 */
public record CrewSheet(
    String controller,
    String tag,
    String name,
    String model,
    List<Labelled> facts,
    List<PortsOf> groups,
    List<WallSheet> walls,
    List<String> cautions) {
  public CrewSheet {
    facts = List.copyOf(facts);
    groups = List.copyOf(groups);
    walls = List.copyOf(walls);
    cautions = List.copyOf(cautions);
  }

  /** A label with its value. */
  public record Labelled(String label, String value) {}

  /**
   * Ports that belong together.
   *
   * @param title such as "Pixel ports, bank 2"
   */
  public record PortsOf(String title, List<PortRow> ports) implements Block {
    public PortsOf {
      ports = List.copyOf(ports);
    }
  }

  /**
   * A port with what hangs on it.
   *
   * @param written as it stands on the tag, such as K1-7
   * @param at the board's own name of its pin; empty where there is none
   * @param legs in wire order; none where it is free
   * @param feeds where power enters, besides the port's own
   * @param places of the whole run, gaps counted; 0 where nothing has pixels
   */
  public record PortRow(
      PortRef port, String written, String at, List<LegRow> legs, List<FeedRow> feeds, int places) {
    public PortRow {
      legs = List.copyOf(legs);
      feeds = List.copyOf(feeds);
    }

    public boolean free() {
      return legs.isEmpty();
    }
  }

  /**
   * The sheet, and one more for each side of each wall.
   *
   * @return at least one
   */
  public List<Sheet> sheets() {
    List<Block> blocks = new ArrayList<>();
    blocks.add(new Block.Facts(facts));
    if (!cautions.isEmpty()) {
      blocks.add(new Block.Words("", cautions.stream().map(caution -> "▲ " + caution).toList()));
    }
    blocks.addAll(groups);
    List<Sheet> all = new ArrayList<>();
    all.add(
        new Sheet(tag, Sheet.Kind.CREW, tag + "  " + name, Optional.of(controller), model, blocks));
    for (WallSheet wall : walls) {
      all.add(side(wall));
      all.add(side(wall.fromBehind()));
    }
    return all;
  }

  private Sheet side(WallSheet wall) {
    String seen = wall.behind() ? "from BEHIND" : "from the FRONT";
    return new Sheet(
        "%s-%s-%s".formatted(tag, wall.piece(), wall.behind() ? "behind" : "front"),
        Sheet.Kind.WALL,
        "%s  %s, %s".formatted(tag, wall.title(), seen),
        Optional.of(controller),
        "Seen "
            + seen
            + ". Numbers: the way of data, panel by panel, to the last ■. ↯: on to the"
            + " far end of the next line.",
        List.of(wall));
  }

  /**
   * One leg.
   *
   * @param piece its id
   * @param zone where it hangs; empty where nobody said
   * @param from place on the run of its first pixel, from 1
   * @param pixels 0 for what has none
   * @param nullPixels that are left out before it
   * @param backward whether all of it runs against the wire
   * @param dataIn where data goes in, for people; may be empty
   * @param first slot or byte of its first channel, such as "9:281"; empty where it has none
   * @param last the same of its last channel
   * @param set what is set at the thing itself, such as "slot 101"; may be empty
   * @param type of its pixels, or what it is
   * @param cableMetres before it, where anybody said so
   * @param box the remote box that it comes out of, where its port has boxes
   * @param mirror whether it shows what another shows
   * @param tag on it; may be empty
   * @param cableTag on the cable before it; may be empty
   * @param progress how far it is, or what is wrong with it; may be empty
   */
  public record LegRow(
      String piece,
      String title,
      String zone,
      int from,
      int pixels,
      int nullPixels,
      boolean backward,
      String dataIn,
      String first,
      String last,
      String set,
      String type,
      Optional<Double> cableMetres,
      Optional<Integer> box,
      boolean mirror,
      String tag,
      String cableTag,
      String progress) {
    /** In words, the name first. */
    public String told() {
      List<String> told = new ArrayList<>(List.of(title));
      add(told, tag);
      box.ifPresent(number -> told.add("box " + Banks.letter(number)));
      add(told, zone);
      add(told, pixels > 0 ? pixels + " pixels" : "");
      told.add(type);
      add(told, set.isEmpty() ? "" : "set to " + set);
      add(told, first.isEmpty() ? "" : first + " to " + last);
      add(told, nullPixels > 0 ? nullPixels + " null pixels before it" : "");
      add(told, dataIn.isEmpty() ? "" : "data in: " + dataIn);
      add(told, backward ? "counted from its far end" : "");
      cableMetres
          .filter(metres -> metres > 0)
          .ifPresent(metres -> told.add("cable %s m before it".formatted(Decimals.rated(metres))));
      add(told, cableTag.isEmpty() ? "" : "by cable " + cableTag);
      add(told, mirror ? "shows what another shows" : "");
      add(told, progress);
      return String.join(" · ", told);
    }

    private static void add(List<String> told, String what) {
      if (!what.isEmpty()) {
        told.add(what);
      }
    }
  }

  /**
   * Where power enters a run.
   *
   * @param place on the run, from 1; it stands before that place
   * @param supply by name
   * @param lead such as "2.5 mm², 3 m"
   * @param fuseAmps where it has one (A)
   * @param tag on its lead; may be empty
   */
  public record FeedRow(
      int place, String supply, String lead, Optional<Double> fuseAmps, String tag) {
    /** In words. */
    public String told() {
      String fuse = fuseAmps.map(amps -> ", fuse %s A".formatted(Decimals.rated(amps))).orElse("");
      String by = tag.isEmpty() ? "" : tag + ", ";
      return "│ power before place %d: %s%s, %s%s".formatted(place, by, supply, lead, fuse);
    }
  }
}
