package hamper.server.api;

import hamper.handover.SeenRight;
import hamper.paper.Crew;
import hamper.paper.CrewSheet;
import hamper.progress.Progress;
import hamper.progress.Progress.StringAt;
import hamper.server.live.LiveDisplay;
import hamper.server.store.CrewKey;
import hamper.server.store.CrewKey.Right;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What the crew's pages show. */
final class CrewViews {
  private CrewViews() {}

  /**
   * The whole yard at one look.
   *
   * @param id of the display
   * @param display its name
   * @param now by the clock of the computer, for a phone's may differ
   * @param key whose it is
   * @param may what it allows besides reading
   * @param until when it opens
   * @param controllers those that anything can be plugged into
   */
  record CrewYard(
      String id,
      String display,
      int version,
      Instant now,
      String key,
      List<Right> may,
      Instant until,
      List<CrewController> controllers) {}

  /**
   * @param strings how many hang there
   */
  record CrewController(
      String id, String tag, String name, String zone, String model, int strings) {}

  /** Where each string is, in the order of the props. */
  record CrewStrings(int version, List<StringAt> strings) {}

  /**
   * A controller with all that is plugged in there.
   *
   * @param prints what each string is told and where it hangs, as one word, by its id: a mark of
   *     having been seen right counts while it is so
   */
  record CrewPage(int version, CrewSheet sheet, Map<String, String> prints) {}

  static CrewYard yard(LiveDisplay.Look look, CrewKey key) {
    List<CrewController> controllers = new ArrayList<>();
    look.facts().controllers().stream()
        .filter(own -> !look.facts().plan().modelOf(own.controller()).ports().isEmpty())
        .forEach(
            own -> {
              int strings =
                  own.runs().stream()
                      .filter(run -> run.run().carriesPixels())
                      .mapToInt(run -> run.run().legs().size())
                      .sum();
              Optional<String> zone = own.controller().settings().zone();
              controllers.add(
                  new CrewController(
                      own.controller().id(),
                      own.controller().tag(),
                      own.controller().name(),
                      look.facts().plan().zoneName(zone),
                      look.facts().plan().modelOf(own.controller()).title(),
                      strings));
            });
    return new CrewYard(
        key.display(),
        look.facts().plan().display().name(),
        look.version(),
        Instant.now(),
        key.name(),
        key.may().stream().sorted().toList(),
        key.until(),
        controllers);
  }

  static CrewStrings strings(LiveDisplay.Look look, Progress progress) {
    return new CrewStrings(look.version(), progress.strings());
  }

  /** Of a controller that the display has. */
  static CrewPage page(LiveDisplay.Look look, Standing standing, String controller) {
    CrewSheet sheet = Crew.of(look.facts(), standing.shown().findings(), controller);
    Map<String, String> all = SeenRight.fingerprints(look.facts());
    Map<String, String> prints = new TreeMap<>();
    sheet.groups().stream()
        .flatMap(group -> group.ports().stream())
        .flatMap(port -> port.legs().stream())
        .map(CrewSheet.LegRow::piece)
        .filter(all::containsKey)
        .forEach(piece -> prints.put(piece, all.get(piece)));
    return new CrewPage(look.version(), sheet, prints);
  }
}
