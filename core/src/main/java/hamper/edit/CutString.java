package hamper.edit;

import hamper.display.Display;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.LegAt;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Makes two strings of one, so that each can hang on a port of its own. The rest is the next string
 * of the prop; where the string hangs, the rest hangs right behind it, so that nothing has another
 * address. Feeds stay where they are soldered. At which end data enters the rest nobody knows.
 *
 * @param after pixels that stay, from the plug; null pixels are not counted, and those at the cut
 *     belong to the rest
 * @param rest id of the new string
 */
public record CutString(String piece, int after, String rest) implements Edit {
  public CutString {
    Require.id("rest", rest);
  }

  @Override
  public Display change(Plan plan) {
    PixelString string = Pieces.string(plan, piece);
    Require.that(
        string.pixels() > 1,
        "piece",
        Require.quoted(title(plan, piece)),
        "a string of one pixel cannot be cut in two");
    Require.inRange("after", after, 1, string.pixels() - 1);
    requireNoMirror(plan);
    List<Section> stays = new ArrayList<>();
    List<Section> goes = new ArrayList<>();
    share(plan, string, stays, goes);
    PixelString first = string.withSections(stays);
    String prop = plan.existingPiece(piece).prop().id();
    Display cut =
        plan.display()
            .withProps(
                plan.props()
                    .changing(List.of(prop), one -> one.withPieces(pieces(one, first, goes))));
    return plan.leg(piece).map(at -> hung(cut, at, first.places())).orElse(cut);
  }

  private void requireNoMirror(Plan plan) {
    plan.runs()
        .flatMap(run -> run.run().legs().stream())
        .filter(leg -> leg.mirrorOf().isPresent())
        .filter(leg -> leg.piece().equals(piece) || leg.mirrorOf().get().equals(piece))
        .findFirst()
        .ifPresent(
            leg -> {
              throw new RefusedException(
                  "piece",
                  Require.quoted(title(plan, piece)),
                  "%s mirrors %s; end the mirror first"
                      .formatted(
                          title(plan, leg.piece()), title(plan, leg.mirrorOf().orElseThrow())));
            });
  }

  /** Sections before the cut and after it; one that it goes through becomes two. */
  private void share(Plan plan, PixelString string, List<Section> stays, List<Section> goes) {
    int left = after;
    for (Section section : string.sections()) {
      if (left <= 0) {
        goes.add(section);
      } else if (section.pixels() <= left) {
        stays.add(section);
      } else {
        List<Section> parts = SplitSection.parts(plan, string, section, left);
        stays.add(parts.get(0));
        goes.add(parts.get(1));
      }
      left -= section.pixels();
    }
  }

  private List<Piece> pieces(Prop prop, PixelString first, List<Section> goes) {
    Set<String> names = prop.pieces().stream().map(Piece::name).collect(Collectors.toSet());
    String name = NextNames.after(first.name(), names, 1).get(0);
    PixelString other =
        new PixelString(
            rest, name, first.pixelType(), goes, "", first.connector(), 0, first.wiring());
    return prop.pieces().stream()
        .flatMap(one -> one.id().equals(piece) ? Stream.of(first, other) : Stream.of(one))
        .toList();
  }

  private Display hung(Display cut, LegAt at, int places) {
    PortRef port = at.port();
    return Runs.change(
        cut,
        port.controller(),
        controller -> {
          Run run = Runs.runAt(controller, port);
          List<Leg> legs = new ArrayList<>(run.legs());
          legs.set(at.index(), at.leg().withFeeds(feeds(at.leg(), 0, places)));
          legs.add(
              at.index() + 1,
              Leg.of(rest)
                  .withBox(at.leg().box())
                  .withFeeds(feeds(at.leg(), places, Integer.MAX_VALUE)));
          return controller.withRun(run.withLegs(legs));
        });
  }

  /** Those of a leg beyond some positions, counted from there on. */
  private static List<Feed> feeds(Leg leg, int beyond, int to) {
    return leg.feeds().stream()
        .filter(feed -> feed.position() > beyond && feed.position() <= to)
        .map(feed -> feed.withPosition(feed.position() - beyond))
        .toList();
  }

  private static String title(Plan plan, String id) {
    return plan.existingPiece(id).title();
  }

  @Override
  public String label(Plan plan) {
    return "Cut %s after %d pixels".formatted(title(plan, piece), after);
  }
}
