package hamper.edit;

import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Section;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;

/** Where a string is cut so that its parts have room. */
public final class Cuts {
  /** What is cut more often than this was meant to be something else. */
  private static final int MOST = 8;

  private Cuts() {}

  /**
   * As few cuts as there can be; each but the last part is as long as there is room.
   *
   * @param first most places of what stays, null pixels counted
   * @param others most places of each other part
   * @return none where it has room as it is, or where no cut makes it so
   */
  public static List<CutString> of(Plan plan, PixelString string, int first, int others) {
    List<CutString> cuts = new ArrayList<>();
    Plan cut = plan;
    PixelString rest = string;
    int room = first;
    while (rest.places() > room) {
      int stays = pixels(rest, room);
      if (stays == 0 || cuts.size() == MOST) {
        return List.of();
      }
      CutString next = new CutString(rest.id(), stays, fresh(cut, string.id()));
      cuts.add(next);
      try {
        cut = cut.with(next.change(cut));
      } catch (RefusedException e) {
        return List.of(); // such as what mirrors another
      }
      rest = Pieces.string(cut, next.rest());
      room = others;
    }
    return cuts;
  }

  /** What of a string has room: no group is torn, and something is left over. */
  private static int pixels(PixelString string, int room) {
    int pixels = 0;
    int left = room;
    for (Section section : string.sections()) {
      left -= section.nullPixels();
      int some = Math.max(0, Math.min(section.pixels(), left));
      if (some < section.pixels()) {
        return pixels + some / section.group() * section.group();
      }
      pixels += some;
      left -= some;
    }
    return pixels;
  }

  /** After the string's own id, cut to what an id may have. */
  private static String fresh(Plan plan, String id) {
    String stem = id.substring(0, Math.min(id.length(), Require.LONGEST_ID - 6));
    int number = 2;
    while (plan.piece(stem + "-" + number).isPresent()) {
      number++;
    }
    return stem + "-" + number;
  }
}
