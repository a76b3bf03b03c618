package hamper.paper;

import hamper.display.PortRef;
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
    List<Fact> facts,
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
  public record Fact(String label, String value) {}

  /**
   * Ports that belong together.
   *
   * @param title such as "Pixel ports, bank 2"
   */
  public record PortsOf(String title, List<PortRow> ports) {
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
      boolean mirror) {}

  /**
   * Where power enters a run.
   *
   * @param place on the run, from 1; it stands before that place
   * @param supply by name
   * @param lead such as "2.5 mm², 3 m"
   * @param fuseAmps where it has one (A)
   */
  public record FeedRow(int place, String supply, String lead, Optional<Double> fuseAmps) {}
}
