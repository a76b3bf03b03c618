package hamper.edit;

import hamper.display.Controller;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.value.Identified;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** The edits that make one thing of another: what differs, and nothing else. */
public final class EditsBetween {
  private EditsBetween() {}

  /** Of fields of one thing; what has edits of its own is left out. */
  public static <T extends Record & Identified> Edit fields(T before, T after) {
    return setting(before, after);
  }

  private static <T extends Record & Identified> SetsFields<T> setting(T before, T after) {
    return Kind.of(after).setting().between(before, after);
  }

  /**
   * Of a controller with the same legs on its ports.
   *
   * @return none where nothing differs
   */
  public static List<Edit> of(Controller before, Controller after) {
    List<Edit> edits = new ArrayList<>();
    SetsFields<Controller> set = setting(before, after);
    if (!Fields.said((Record) set.set()).isEmpty()) {
      edits.add(set);
    }
    Stream.concat(before.runs().stream(), after.runs().stream())
        .map(run -> new PortRef(after.id(), run.kind(), run.port()))
        .distinct()
        .forEach(
            port -> {
              Run was = Runs.runAt(before, port);
              Run is = Runs.runAt(after, port);
              if (!was.equals(is)) {
                edits.add(new SetPort(port, Fields.between(RunChange.class, was, is)));
              }
            });
    return edits;
  }

  /**
   * Of a piece of the same kind, with as many sections.
   *
   * @return none where nothing differs
   */
  public static List<Edit> of(Piece before, Piece after) {
    List<Edit> edits = new ArrayList<>();
    SetPieces set = SetPieces.between(before, after);
    if (!Fields.said((Record) set.set()).isEmpty()) {
      edits.add(set);
    }
    if (before instanceof PixelString was && after instanceof PixelString is) {
      for (int i = 0; i < was.sections().size(); i++) {
        if (!was.sections().get(i).equals(is.sections().get(i))) {
          edits.add(
              SetSections.between(
                  new SetSections.At(was.id(), i), was.sections().get(i), is.sections().get(i)));
        }
      }
    }
    return edits;
  }

  /**
   * Of the feeds of a leg: those that go, and then those that come.
   *
   * @return none where nothing differs
   */
  public static List<Edit> feeds(Leg before, Leg after) {
    List<Edit> edits = new ArrayList<>();
    List<Feed> come = new ArrayList<>(after.feeds());
    for (int i = before.feeds().size() - 1; i >= 0; i--) {
      if (!come.remove(before.feeds().get(i))) {
        edits.add(new RemoveFeed(before.piece(), i));
      }
    }
    if (!come.isEmpty()) {
      edits.add(new AddFeeds(after.piece(), come));
    }
    return edits;
  }

  /** As one step; one edit is itself. */
  public static Edit together(String title, List<Edit> edits) {
    return edits.size() == 1 ? edits.get(0) : new Together(title, edits);
  }
}
