package hamper.check;

import hamper.display.Link;
import hamper.facts.Facts;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/** Links that lead round in a circle. */
final class LinkLoopCheck extends Check {
  LinkLoopCheck() {
    super(
        "link-loop",
        Area.NETWORK,
        Severity.RISK,
        "Network cables lead round in a circle",
        "Whether the two enclosures of each link are joined by others already",
        "Unless the switches know how to break it, broadcast packets run round for ever and the whole network stands still.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    Map<String, String> joined = new HashMap<>();
    for (Link link : facts.plan().links().all()) {
      String from = end(joined, link.from());
      String to = end(joined, link.to());
      if (!from.equals(to)) {
        joined.put(from, to);
        continue;
      }
      out.accept(
          finding(
              "Link %s joins %s and %s, which other links join already"
                  .formatted(
                      link.name(),
                      facts.plan().enclosures().existing(link.from()).name(),
                      facts.plan().enclosures().existing(link.to()).name()),
              Measure.words("two ways"),
              Measure.words("one way"),
              List.of(Subject.part(Subject.Kind.LINK, link.id()))));
    }
  }

  /** The one that stands for all that are joined with an enclosure; ways are halved as they go. */
  private static String end(Map<String, String> joined, String enclosure) {
    String at = enclosure;
    while (joined.containsKey(at)) {
      String next = joined.get(at);
      if (joined.containsKey(next)) {
        joined.put(at, joined.get(next));
      }
      at = next;
    }
    return at;
  }
}
