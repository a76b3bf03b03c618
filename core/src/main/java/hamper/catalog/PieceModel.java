package hamper.catalog;

import hamper.value.Require;
import java.util.List;

/**
 * A small device behind a port, as a maker sells it: a piece of a display, not a controller.
 *
 * @param note what is special, in a sentence; may be empty
 * @param most pixels of a decoder, circuits of a dimmer
 * @param firstNumber least start slot or unit number that can be set at it
 * @param lastNumber greatest one
 * @param handover how it is handed its configuration, best first
 */
public record PieceModel(
    String id,
    String maker,
    String name,
    String note,
    Kind kind,
    int most,
    int firstNumber,
    int lastNumber,
    List<HandoverWay> handover) {
  /** What it is behind. */
  public enum Kind {
    /** An RGBW strip decoder on a DMX line: told apart by its start slot. */
    DECODER,
    /** A pack of dimmed circuits on a host's serial line: told apart by its unit number. */
    DIMMER
  }

  public PieceModel {
    Require.id("id", id);
    Require.name("maker", maker);
    Require.name("name", name);
    Require.text("note", note, 400);
    Require.inRange("most", most, 1, 1000);
    Require.inRange("firstNumber", firstNumber, 1, 512);
    Require.inRange("lastNumber", lastNumber, firstNumber, 512);
    handover = List.copyOf(handover);
  }

  /** Maker and name, as people say it. */
  public String title() {
    return maker + " " + name;
  }
}
