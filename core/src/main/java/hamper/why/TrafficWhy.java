package hamper.why;

import hamper.display.Controller;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.load.Traffic;
import hamper.network.Flows;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Placement;
import hamper.resolve.Resolver;
import hamper.value.Decimals;
import hamper.why.Why.Fold;
import java.util.ArrayList;
import java.util.List;

/**
 * Why so much is sent.
 *
 * <p>Source: the load rules, "Network".
 */
final class TrafficWhy {
  private final double rate;
  private final Controller controller;
  private final List<Term> terms = new ArrayList<>();

  private TrafficWhy(Facts facts, Controller controller) {
    this.rate = facts.plan().display().settings().framesPerSecond();
    this.controller = controller;
  }

  /** What a whole controller is sent. */
  static List<Why> of(Facts facts, int index) {
    Controller controller = facts.plan().display().controllers().get(index);
    ControllerBlock block = facts.resolution().blocks().get(index);
    Traffic sent = Flows.traffic(facts.plan(), controller, block);
    TrafficWhy why = new TrafficWhy(facts, controller);
    boolean bytes = !controller.protocol().usesUniverses();
    why.channels(
        bytes ? block.sentBytes() : block.usedChannels(), controller.settings().universeSize());
    why.lines(bytes ? 0 : block.dmxUniverses().size());
    return why.told("What " + controller.tag() + " is sent", sent.megabitsPerSecond());
  }

  /** What a port would be sent, were its channels sent alone. */
  static List<Why> of(Facts facts, Question question) {
    String id = question.port().orElseThrow().controller();
    ControllerFacts own =
        facts.controllers().get(facts.plan().indexOf(facts.plan().existingController(id).id()));
    return own.runs().stream()
        .filter(run -> run.port().equals(question.port().orElseThrow()))
        .findFirst()
        .map(
            run -> {
              Controller controller = own.controller();
              boolean line = own.block().dmxUniverses().containsKey(run.port());
              int channels =
                  line
                      ? Resolver.DMX_SLOTS
                      : run.placements().stream()
                          .filter(at -> !at.mirror())
                          .mapToInt(Placement::channels)
                          .sum();
              int size = line ? Resolver.DMX_SLOTS : controller.settings().universeSize();
              TrafficWhy why = new TrafficWhy(facts, controller);
              why.channels(channels, size);
              Traffic sent =
                  Traffic.of(
                      controller.protocol(),
                      channels,
                      size,
                      controller.sending().fullUniverses(),
                      why.rate);
              return why.told(
                  "What %s takes, sent alone".formatted(facts.plan().written(run.port())),
                  sent.megabitsPerSecond());
            })
        .orElse(List.of());
  }

  private boolean full() {
    return controller.sending().fullUniverses();
  }

  private void channels(int channels, int universeSize) {
    boolean bytes = !controller.protocol().usesUniverses();
    int chunk = bytes ? Traffic.DDP_BYTES : universeSize;
    int size = bytes ? 1 : chunk;
    int whole = channels / chunk;
    add(
        whole,
        "full packet",
        Traffic.of(controller.protocol(), whole * chunk, size, full(), rate).megabitsPerSecond());
    int rest = channels % chunk;
    add(
        rest > 0 ? 1 : 0,
        "packet of the rest",
        Traffic.of(controller.protocol(), rest, size, full(), rate).megabitsPerSecond());
  }

  private void lines(int count) {
    Traffic line =
        Traffic.of(controller.protocol(), Resolver.DMX_SLOTS, Resolver.DMX_SLOTS, full(), rate);
    add(count, "DMX universe", count * line.megabitsPerSecond());
  }

  private void add(int count, String what, double megabits) {
    if (count > 0) {
      terms.add(Term.of(Words.count(count, what), megabits));
    }
  }

  /** Empty where nothing is sent: from its own storage, or because nothing stands there. */
  private List<Why> told(String of, double megabits) {
    if (terms.isEmpty() || megabits == 0) {
      return List.of();
    }
    return List.of(
        new Why(
            of,
            megabits,
            "Mbit/s",
            Words.decimal(megabits, 2, "Mbit/s"),
            Fold.SUM,
            "each packet with its headers and its gap on the wire, %s times a second"
                .formatted(Decimals.plain(rate)),
            terms));
  }
}
