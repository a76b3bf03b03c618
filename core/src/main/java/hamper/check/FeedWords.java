package hamper.check;

import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.load.FeedLoad;
import hamper.load.Volts;
import java.util.List;
import java.util.Locale;

/** How checks speak of feeds and of places along a run. */
final class FeedWords {
  private FeedWords() {}

  /** Such as "the feed of K1-7" or "the feed at pixel 85 of bow rail on K1-7". */
  static String of(Plan plan, FeedLoad feed) {
    String written = plan.written(feed.port());
    if (feed.at().isEmpty()) {
      return feed.input()
          .filter(input -> input.bank().isPresent())
          .map(input -> "the socket of %s on box %d".formatted(written, input.input()))
          .orElse("the socket of " + written);
    }
    PieceAt at = plan.existingPiece(feed.at().get().piece());
    int position =
        plan.leg(at.piece().id())
            .orElseThrow()
            .leg()
            .feeds()
            .get(feed.at().get().index())
            .position();
    return "the feed at pixel %d of %s on %s".formatted(position, at.title(), written);
  }

  /** The port for its own feed, the leg for others. */
  static List<Subject> subjects(FeedLoad feed) {
    return List.of(
        feed.at()
            .map(at -> Subject.leg(feed.port(), at.piece()))
            .orElseGet(() -> Subject.port(feed.port())));
  }

  /** A voltage somewhere, as it is known. */
  static Measure volts(double volts) {
    return Measure.told(Volts.known(volts), "V", Volts.told(volts));
  }

  /** The least that has to be there. */
  static Measure needed(double volts) {
    return Measure.told(volts, "V", Volts.needed(volts));
  }

  /** What a pixel gets: "gets 4.29 V", or "is dark". */
  static String gets(double volts) {
    return Volts.isDark(volts) ? "is dark" : "gets " + Volts.told(volts);
  }

  /**
   * A place along a run, as people count it.
   *
   * @param position in the run, from 1
   */
  static String place(Plan plan, PortRef port, int position) {
    RunPlace at = RunPlace.of(plan, port, position);
    return "pixel %d of %s".formatted(at.pixel(), plan.existingPiece(at.piece()).title());
  }

  static String capital(String words) {
    return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
  }
}
