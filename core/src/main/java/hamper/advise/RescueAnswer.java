package hamper.advise;

import hamper.edit.Edit;
import java.util.List;
import java.util.Optional;

/**
 * One way to get light again where a controller is dead.
 *
 * @param title in a line
 * @param edit that makes it so; none where the plan stays as it is, and only the unit is another
 * @param recabled what has to be plugged elsewhere, in the order of the ports
 * @param senders what the sources have to be told otherwise, in words
 * @param dark what stays dark, the most missed first
 */
public record RescueAnswer(
    Way way,
    String title,
    Optional<Edit> edit,
    List<Recabled> recabled,
    List<String> senders,
    List<Dark> dark) {
  /** What stands in for it. */
  public enum Way {
    SPARE,
    OTHER_MODEL,
    NEIGHBOURS
  }

  /**
   * A plug that moves.
   *
   * @param from the port, such as K3-1
   * @param to the port
   */
  public record Recabled(String piece, String title, String from, String to) {}

  /**
   * @param rank of its prop: 1 is missed the most
   */
  public record Dark(String piece, String title, int rank) {}

  public RescueAnswer {
    recabled = List.copyOf(recabled);
    senders = List.copyOf(senders);
    dark = List.copyOf(dark);
  }
}
