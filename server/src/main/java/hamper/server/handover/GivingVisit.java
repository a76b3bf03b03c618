package hamper.server.handover;

import hamper.change.AddressAt;
import hamper.config.Configuration;
import hamper.config.Configurations;
import hamper.facts.Facts;
import hamper.files.BadFileException;
import hamper.files.ConfigurationFiles;
import hamper.handover.Handed;
import hamper.handover.HandoverFact;
import hamper.handover.HandoverFact.Kind;
import hamper.handover.HandoverFact.Means;
import hamper.server.output.Door;
import hamper.server.output.Giving;
import hamper.server.output.Giving.Outcome;
import hamper.standin.Place;
import hamper.value.Foreign;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import tools.jackson.databind.JsonNode;

/**
 * Gives one device what is planned, or asks it what it has, and notes what happened: before the
 * first thing is sent that giving begins, so that whatever ends Hamper then, nobody believes more
 * than is known.
 */
final class GivingVisit {
  /** How it ended. */
  record Ended(GivingStep.Progress progress, String why) {}

  private static final Giving GIVING = new Giving(new Door(), UnaryOperator.identity());

  private final Seasons seasons;
  private final String display;
  private final int version;
  private final Facts facts;
  private final GivingRequest request;
  private final InstantSource clock;

  GivingVisit(
      Seasons seasons,
      String display,
      int version,
      Facts facts,
      GivingRequest request,
      InstantSource clock) {
    this.seasons = seasons;
    this.display = display;
    this.version = version;
    this.facts = facts;
    this.request = request;
    this.clock = clock;
  }

  Ended of(String id, Place at, Giving.Gift gift) throws InterruptedException {
    int index = facts.plan().indexOf(id);
    return of(
        id,
        at,
        gift,
        Configurations.of(facts.plan(), facts.resolution(), index),
        AddressAt.of(facts.plan(), facts.resolution(), index));
  }

  /** Gives it what it was given before what it has now. */
  Ended back(String id, Place at) throws InterruptedException {
    Optional<HandoverFact> before = seasons.before(display, id);
    if (before.isEmpty()) {
      return new Ended(GivingStep.Progress.AWAY, "it was given nothing before");
    }
    Configuration told = before.get().told().orElseThrow();
    return of(id, at, Giving.of(told), told, before.get().addresses());
  }

  private Ended of(
      String id, Place at, Giving.Gift gift, Configuration planned, List<AddressAt> addresses)
      throws InterruptedException {
    Optional<Handed> known = seasons.of(display).of(id);
    boolean replaces = request.replaced().contains(id);
    Optional<String> serial = replaces ? Optional.empty() : known.flatMap(Handed::serial);
    Note note = new Note(id, planned, addresses);
    boolean certain = isCertain(known, planned) && !replaces;
    Giving.Known expected =
        new Giving.Known(serial, () -> note.add(Kind.BEGUN, "", "", "", planned), !certain);
    Outcome outcome =
        request.readBack() ? GIVING.ask(at, gift, expected) : GIVING.give(at, gift, expected);
    return noted(outcome, note, certain, planned);
  }

  /** Whether it is known to have what is planned, and to keep it. */
  private static boolean isCertain(Optional<Handed> known, Configuration planned) {
    return known.filter(one -> one.last().kind() == Kind.GIVEN).isPresent()
        && known.flatMap(Handed::told).filter(told -> same(told, planned)).isPresent();
  }

  private Ended noted(Outcome outcome, Note note, boolean certain, Configuration planned) {
    switch (outcome.result()) {
      case HAD -> {
        if (!certain) {
          note.add(outcome, Kind.GIVEN, planned);
        }
        return new Ended(GivingStep.Progress.UNCHANGED, "");
      }
      case TOOK -> {
        note.add(outcome, Kind.GIVEN, planned);
        return new Ended(GivingStep.Progress.GIVEN, "");
      }
      case NOT_KEPT -> {
        note.add(outcome, Kind.NOT_KEPT, planned);
        return new Ended(GivingStep.Progress.NOT_KEPT, outcome.why());
      }
      case REFUSED -> {
        note.add(outcome, Kind.REFUSED, null);
        return new Ended(GivingStep.Progress.REFUSED, outcome.why());
      }
      case LOST -> {
        note.add(outcome, Kind.LOST, planned);
        return new Ended(GivingStep.Progress.LOST, outcome.why());
      }
      case DIFFERENT -> {
        return different(outcome, note, seasons.of(display).of(note.controller));
      }
      case OTHER_UNIT -> {
        return new Ended(GivingStep.Progress.OTHER_UNIT, outcome.why());
      }
      case AWAY -> {
        return new Ended(GivingStep.Progress.AWAY, outcome.why());
      }
      default -> throw new IllegalStateException("no such result: " + outcome.result());
    }
  }

  /** It has not what is planned now: but maybe just what it was given before. */
  private Ended different(Outcome outcome, Note note, Optional<Handed> known) {
    Optional<Configuration> has = outcome.has().flatMap(GivingVisit::read);
    Optional<HandoverFact> given = known.flatMap(Handed::given);
    boolean asGiven =
        request.readBack()
            && has.isPresent()
            && given.flatMap(HandoverFact::told).filter(told -> same(told, has.get())).isPresent();
    if (asGiven) {
      if (known.orElseThrow().last().kind() != Kind.GIVEN) {
        note.again(outcome, given.orElseThrow());
      }
      return new Ended(GivingStep.Progress.UNCHANGED, "it has what it was given");
    }
    boolean asBefore = known.isEmpty() || known.get().last().kind() == Kind.REPLACED;
    if (request.readBack() && asBefore && outcome.has().isEmpty()) {
      return new Ended(GivingStep.Progress.DIFFERENT, outcome.why());
    }
    note.add(outcome, Kind.DIFFERENT, has.orElse(null));
    return new Ended(GivingStep.Progress.DIFFERENT, outcome.why());
  }

  private static boolean same(Configuration one, Configuration other) {
    return ConfigurationFiles.fingerprint(one).equals(ConfigurationFiles.fingerprint(other));
  }

  /** A device may answer anything; what is no document is told as one that cannot be read. */
  static Optional<Configuration> read(JsonNode document) {
    try {
      return Optional.of(
          ConfigurationFiles.configuration(ConfigurationFiles.bytes(document.toString())));
    } catch (BadFileException e) {
      return Optional.empty();
    }
  }

  /** Facts of one device. */
  private final class Note {
    private final String controller;
    private final Configuration planned;
    private final List<AddressAt> addresses;

    Note(String controller, Configuration planned, List<AddressAt> addresses) {
      this.controller = controller;
      this.planned = planned;
      this.addresses = addresses;
    }

    void add(Outcome outcome, Kind kind, Configuration told) {
      if (request.replaced().contains(controller) && kind != Kind.REFUSED) {
        replaced(outcome);
      }
      add(kind, outcome.serial(), outcome.revision(), outcome.why(), told);
    }

    private void replaced(Outcome outcome) {
      boolean other =
          seasons
              .of(display)
              .of(controller)
              .flatMap(Handed::serial)
              .filter(serial -> !serial.equals(outcome.serial()))
              .isPresent();
      if (other) {
        add(
            Kind.REPLACED,
            outcome.serial(),
            outcome.revision(),
            "another unit stands there now: " + outcome.serial(),
            null);
      }
    }

    void add(Kind kind, String serial, String revision, String why, Configuration told) {
      boolean given = told == planned && told != null;
      seasons.add(
          display,
          new HandoverFact(
              controller,
              clock.instant(),
              request.by(),
              kind,
              Means.NETWORK,
              version,
              serial,
              revision,
              Foreign.line(why, HandoverFact.MOST_WHY),
              Optional.ofNullable(told),
              given ? addresses : List.of()));
    }

    /** It was read back, and has what an earlier fact says. */
    void again(Outcome outcome, HandoverFact fact) {
      seasons.add(
          display,
          new HandoverFact(
              controller,
              clock.instant(),
              request.by(),
              Kind.GIVEN,
              fact.means(),
              fact.version(),
              outcome.serial(),
              outcome.revision(),
              "",
              fact.told(),
              fact.addresses()));
    }
  }
}
