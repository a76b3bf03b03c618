package hamper.why;

import hamper.address.ChannelSpan;
import hamper.address.PortStart;
import hamper.address.StartsPer;
import hamper.address.UniverseChannel;
import hamper.address.UniverseGrid;
import hamper.catalog.PortKind;
import hamper.check.Subject;
import hamper.display.Circuit;
import hamper.display.Controller;
import hamper.display.Hold;
import hamper.display.InForce;
import hamper.display.LegAt;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.PortRef;
import hamper.display.Wall;
import hamper.facts.Facts;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Placement;
import hamper.why.Why.Fold;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Why a section, circuit or fixture starts where it does: what lies before it, what is left out
 * between, and how the channel of the controller becomes a slot and a display channel.
 *
 * <p>Source: the addressing rules, "Hold, flow, mirror".
 */
final class StartWhy {
  private final Facts facts;

  StartWhy(Facts facts) {
    this.facts = facts;
  }

  /**
   * @param section from 1
   */
  List<Why> of(String piece, int section) {
    Optional<Placement> found = placement(piece, section - 1);
    if (found.isEmpty()) {
      return List.of();
    }
    Placement at = found.get();
    if (at.controllerChannels().isEmpty()) {
      return at.start().map(start -> List.of(elsewhere(at, start))).orElse(List.of());
    }
    List<Why> answers = new ArrayList<>();
    answers.addAll(slot(at));
    answers.add(channel(at));
    if (at.displayStart() > 0) {
      answers.add(displayChannel(at));
    }
    return answers;
  }

  private Optional<Placement> placement(String piece, int section) {
    Optional<LegAt> leg = facts.plan().leg(piece);
    return leg.stream()
        .flatMap(
            at ->
                facts
                    .resolution()
                    .byController()
                    .get(facts.plan().indexOf(at.port().controller()))
                    .stream())
        .filter(at -> at.piece().equals(piece) && at.section() == section)
        .findFirst();
  }

  private String title(Placement at) {
    String title = facts.plan().existingPiece(at.piece()).title();
    boolean several =
        facts.plan().existingPiece(at.piece()).piece() instanceof PixelString string
            && string.sections().size() > 1;
    return several ? title + ", section " + (at.section() + 1) : title;
  }

  private Controller controller(Placement at) {
    return facts.plan().display().controllers().get(at.controller());
  }

  private ControllerBlock block(Placement at) {
    return facts.resolution().blocks().get(at.controller());
  }

  private static int start(Placement at) {
    return at.controllerChannels().orElseThrow().start();
  }

  private static Subject subject(Placement at) {
    return Subject.leg(at.port(), at.piece());
  }

  private static Question startOf(Placement at) {
    return Question.ofPiece(Question.Kind.START, at.piece(), at.section() + 1);
  }

  private Why channelWhy(Placement at, String rule, List<Term> terms) {
    return new Why(
        "Channel of " + controller(at).tag() + " where " + title(at) + " starts",
        start(at),
        "channel",
        "channel %,d".formatted(start(at)),
        Fold.SUM,
        rule,
        terms);
  }

  private Why channel(Placement at) {
    if (at.kind() == PortKind.DMX) {
      return ofSlot(at);
    }
    if (at.mirror()) {
      return ofMirror(at);
    }
    List<Placement> all = facts.resolution().byController().get(at.controller());
    return at.held() ? ofHold(at, all) : ofFlow(at, all);
  }

  /** Fixtures stand at the slots they are set to, in universes behind all that flows. */
  private Why ofSlot(Placement at) {
    ControllerBlock block = block(at);
    int before = block.dmxStart(at.port()) - 1 - block.flowingChannels();
    int slot = start(at) - block.flowingChannels() - before;
    return channelWhy(
        at,
        "DMX ports in use follow all that flows, 512 channels each; a fixture stands at its slot",
        List.of(
            Term.of("channels that flow, with what is kept free", block.flowingChannels())
                .at(Subject.controller(controller(at).id())),
            Term.of("DMX ports before " + facts.plan().written(at.port()), before),
            Term.of("the slot it is set to", slot).at(subject(at))));
  }

  private Why ofMirror(Placement at) {
    LegAt leg = facts.plan().leg(at.piece()).orElseThrow();
    String original = leg.leg().mirrorOf().orElseThrow();
    Optional<Placement> root = placement(original, at.section());
    String rule = "a mirror starts where its original starts, and moves nothing";
    Term first =
        root.filter(one -> one.controllerChannels().isPresent())
            .map(one -> Term.of("start of " + title(one), start(one)).asking(startOf(one)))
            .orElseGet(() -> before(at));
    List<Term> terms = new ArrayList<>(List.of(first.at(subject(at))));
    skipped(terms, start(at) - (int) first.amount());
    return channelWhy(at, rule, terms);
  }

  /** Of a mirror longer than its original: what is before it on the wire. */
  private Term before(Placement at) {
    return facts.resolution().byController().get(at.controller()).stream()
        .filter(one -> one.port() == at.port() && one.position() < at.position())
        .filter(one -> one.controllerChannels().isPresent())
        .reduce((a, b) -> b)
        .map(
            one ->
                Term.of(
                        "behind " + title(one) + ", which the original is too short for",
                        one.controllerChannels().orElseThrow().end())
                    .asking(startOf(one)))
        .orElse(Term.of("the first channel", 1));
  }

  private static void skipped(List<Term> terms, int channels) {
    if (channels != 0) {
      terms.add(Term.of("left out, so that no pixel lies in two packets", channels));
    }
  }

  /** A start that somebody holds, or that follows one that is held on the same port. */
  private Why ofHold(Placement at, List<Placement> all) {
    InForce inForce = facts.plan().inForce(controller(at));
    boolean whole = inForce.startsPer() == StartsPer.PORT;
    List<Placement> together =
        whole
            ? all.stream()
                .filter(one -> one.port() == at.port() && !one.mirror())
                .filter(one -> one.position() <= at.position())
                .toList()
            : List.of(at);
    Placement first = together.get(0);
    List<Term> terms = new ArrayList<>(held(first, inForce));
    int laid = (int) terms.stream().mapToDouble(Term::amount).sum();
    terms.addAll(between(first, together, laid));
    return channelWhy(
        at,
        first == at
            ? "it is held: nothing that grows or comes moves it"
            : "its port starts where %s is held, and goes on from there".formatted(title(first)),
        terms);
  }

  private List<Term> held(Placement first, InForce inForce) {
    Hold hold = holdOf(first).orElseThrow();
    if (hold.universe().isEmpty()) {
      return List.of(
          Term.of("held at this channel of the controller", hold.channel()).at(subject(first)));
    }
    int universes = hold.universe().get() - block(first).firstUniverse().orElseThrow();
    return List.of(
        Term.of(
                "universes before the held universe " + hold.universe().get(),
                (double) universes * inForce.universeSize())
            .noted("%d of %d channels".formatted(universes, inForce.universeSize()))
            .asking(Question.ofController(Question.Kind.FIRST_UNIVERSE, controller(first).id())),
        Term.of("held at this channel of it", hold.channel()).at(subject(first)));
  }

  private Optional<Hold> holdOf(Placement at) {
    Piece piece = facts.plan().existingPiece(at.piece()).piece();
    if (piece instanceof PixelString string) {
      return string.sections().get(at.section()).hold();
    } else if (piece instanceof Circuit circuit) {
      return circuit.hold();
    }
    return piece instanceof Wall wall ? wall.hold() : Optional.empty();
  }

  /** What lies on the same port from a start that is held to the last of the stretch. */
  private List<Term> between(Placement first, List<Placement> together, int laid) {
    List<Term> terms = new ArrayList<>();
    int cursor = laid;
    skipped(terms, start(first) - cursor);
    cursor = start(first);
    for (int i = 1; i < together.size(); i++) {
      ChannelSpan span = together.get(i - 1).controllerChannels().orElseThrow();
      terms.add(
          Term.of(title(together.get(i - 1)), span.length()).at(subject(together.get(i - 1))));
      skipped(terms, start(together.get(i)) - span.end());
    }
    return terms;
  }

  /** Everything that flows before it, and what is left out between. */
  private Why ofFlow(Placement at, List<Placement> all) {
    List<Placement> flow =
        all.stream()
            .filter(one -> !one.mirror() && !one.held() && one.controllerChannels().isPresent())
            .toList();
    List<Placement> holds =
        all.stream()
            .filter(one -> one.held() && one.kind() != PortKind.DMX)
            .filter(one -> one.controllerChannels().isPresent() && !one.mirror())
            .toList();
    List<Term> terms = new ArrayList<>(List.of(Term.of("the first channel", 1)));
    FlowTerms laid = new FlowTerms(at, holds);
    int cursor = 1;
    for (Placement one : flow) {
      laid.gap(cursor, one);
      if (one == at) {
        break;
      }
      laid.add(one);
      cursor = one.controllerChannels().orElseThrow().end();
    }
    terms.addAll(laid.terms());
    return channelWhy(at, "it flows behind everything before it on its controller", terms);
  }

  /** Adds up what flows, port by port, and legs one by one on its own port. */
  private final class FlowTerms {
    private final Placement of;
    private final List<Placement> holds;
    private final boolean portsOpen;
    private final List<Term> terms = new ArrayList<>();
    private final Set<String> jumped = new LinkedHashSet<>();
    private final Set<String> names = new LinkedHashSet<>();
    private PortRef port;
    private String piece;
    private int channels;
    private int split;
    private int opened;
    private int held;

    FlowTerms(Placement of, List<Placement> holds) {
      this.of = of;
      this.holds = holds;
      this.portsOpen = facts.plan().inForce(controller(of)).portStart() == PortStart.NEXT_UNIVERSE;
    }

    void add(Placement one) {
      boolean same = one.port() == port && (one.port() != of.port() || one.piece().equals(piece));
      if (!same) {
        close();
      }
      port = one.port();
      piece = one.piece();
      names.add(facts.plan().existingPiece(one.piece()).title());
      channels += one.controllerChannels().orElseThrow().length();
    }

    /** What is left out before one: told by its reason, and summed up over all. */
    void gap(int cursor, Placement one) {
      int gap = start(one) - cursor;
      if (gap == 0) {
        return;
      }
      List<Placement> there =
          holds.stream()
              .filter(hold -> hold.controllerChannels().orElseThrow().end() > cursor)
              .filter(hold -> start(hold) < start(one))
              .toList();
      there.forEach(hold -> jumped.add(title(hold)));
      if (!there.isEmpty()) {
        held += gap;
      } else if (portsOpen && one.kind() == PortKind.PIXEL && one.port() != port) {
        opened += gap;
      } else {
        split += gap;
      }
    }

    private void close() {
      if (port != null) {
        boolean own = port == of.port();
        String label = facts.plan().written(port) + ": " + Words.named(List.copyOf(names));
        Subject there = own ? Subject.leg(port, piece) : Subject.port(port);
        terms.add(Term.of(label, channels).at(there));
      }
      names.clear();
      channels = 0;
    }

    List<Term> terms() {
      close();
      gapTerm(held, "kept clear of what is held: " + Words.named(List.copyOf(jumped)));
      gapTerm(opened, "left over, because each port begins a universe");
      gapTerm(split, "left out, so that no pixel lies in two packets");
      return terms;
    }

    private void gapTerm(int channels, String label) {
      if (channels > 0) {
        terms.add(Term.of(label, channels));
      }
    }
  }

  /** The slot on the wire, or the byte. */
  private List<Why> slot(Placement at) {
    if (at.start().isEmpty()) {
      return List.of(
          new Why(
              "Byte where " + title(at) + " starts",
              start(at) - 1,
              "byte",
              "byte %,d".formatted(start(at) - 1),
              Fold.SUM,
              "bytes on DDP are counted from 0",
              List.of(Term.of("its channel", start(at)), Term.of("counted from 0", -1))));
    }
    UniverseChannel slot = at.start().get();
    ControllerBlock block = block(at);
    if (at.kind() == PortKind.DMX) {
      return List.of(
          new Why(
              "Slot where " + title(at) + " starts",
              slot.channel(),
              "slot",
              slot.toString(),
              Fold.SUM,
              "a DMX port in use has universe %d of its own".formatted(slot.universe()),
              List.of(Term.of("the slot it is set to", slot.channel()).at(subject(at)))));
    }
    int first = block.firstUniverse().orElseThrow();
    int size = facts.plan().inForce(controller(at)).universeSize();
    int whole = slot.universe() - first;
    return List.of(
        new Why(
            slot + " on the wire",
            start(at),
            "channel",
            slot.toString(),
            Fold.SUM,
            "the first universe of %s is %d, and universes have %d channels"
                .formatted(controller(at).tag(), first, size),
            List.of(
                Term.of("universes before " + slot.universe(), (double) whole * size)
                    .noted("%d of %d channels".formatted(whole, size))
                    .asking(
                        Question.ofController(Question.Kind.FIRST_UNIVERSE, controller(at).id())),
                Term.of("channel in universe " + slot.universe(), slot.channel()))));
  }

  private Why displayChannel(Placement at) {
    return new Why(
        "Display channel where " + title(at) + " starts",
        at.displayStart(),
        "channel",
        "display channel %,d".formatted(at.displayStart()),
        Fold.SUM,
        "display channels are counted through, controller after controller",
        List.of(
            Term.of("channels of controllers before", block(at).displayStart() - 1)
                .asking(Question.ofController(Question.Kind.DISPLAY_START, controller(at).id())),
            Term.of("its channel on " + controller(at).tag(), start(at))));
  }

  /** A mirror of what another controller shows: it stands in that one's universes. */
  private Why elsewhere(Placement at, UniverseChannel start) {
    String original = facts.plan().leg(at.piece()).orElseThrow().leg().mirrorOf().orElseThrow();
    Placement root = placement(original, at.section()).orElseThrow();
    UniverseGrid grid =
        new UniverseGrid(
            block(root).firstUniverse().orElseThrow(),
            facts.plan().inForce(controller(root)).universeSize());
    long channel = grid.controllerChannel(start);
    List<Term> terms =
        new ArrayList<>(
            List.of(
                Term.of(
                        "start of %s on %s".formatted(title(root), controller(root).tag()),
                        start(root))
                    .asking(startOf(root))
                    .at(subject(at))));
    skipped(terms, (int) channel - start(root));
    return new Why(
        start + " on the wire",
        channel,
        "channel",
        start.toString(),
        Fold.SUM,
        "it shows what %s shows, on the universes of %s"
            .formatted(title(root), controller(root).tag()),
        terms);
  }
}
