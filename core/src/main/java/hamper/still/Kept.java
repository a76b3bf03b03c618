package hamper.still;

import hamper.edit.Edit;
import java.util.List;

/**
 * An edit as it is made where starts keep still, and what moves all the same.
 *
 * @param edit to be made
 * @param held whether anything has to be held for it
 * @param without channels that would move outside the edit without keeping still
 * @param moving sections outside the edit that have to move
 */
public record Kept(Edit edit, boolean held, int without, List<Moving> moving) {
  /**
   * @param from on the wire, such as "12:301"
   * @param why it cannot stay
   */
  public record Moving(
      String piece,
      String title,
      int section,
      String written,
      String from,
      String to,
      int channels,
      String why) {}

  public Kept {
    moving = List.copyOf(moving);
  }

  /** Channels that move outside the edit. */
  public int with() {
    return moving.stream().mapToInt(Moving::channels).sum();
  }
}
