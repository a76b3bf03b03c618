package hamper.progress;

import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.progress.StringFact.Noted;
import hamper.progress.StringFact.Reached;
import hamper.progress.StringFact.Settled;
import hamper.progress.StringFact.Stored;
import hamper.progress.StringFact.Trouble;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Where each string of a display is, in the order of its props. */
public record Progress(List<StringAt> strings) {
  /** Before anything happened. */
  public static final Progress NONE = new Progress(List.of());

  /**
   * A string.
   *
   * @param zone name of its zone; may be empty
   * @param port that it hangs on; left out: on none
   * @param written the same as on its tag
   * @param since when it reached the stage; left out where it is planned only
   * @param by who said so; may be empty
   * @param elsewhere whether it was plugged in where the plan no longer has it
   * @param trouble that is open
   * @param note that was written last
   * @param stored after the last season, if nothing was done with it since
   */
  public record StringAt(
      String piece,
      String title,
      String zone,
      Optional<PortRef> port,
      String written,
      Stage stage,
      Optional<Instant> since,
      String by,
      boolean elsewhere,
      Optional<Trouble> trouble,
      Optional<Noted> note,
      Optional<Stored> stored) {
    /** Whether anything is still to be done with it. */
    public boolean open() {
      return trouble.isPresent() || stage != Stage.SEEN_RIGHT;
    }
  }

  public Progress {
    strings = List.copyOf(strings);
  }

  /** How a port is kept in facts. */
  public static String key(PortRef port) {
    return "%s/%s/%d".formatted(port.controller(), port.kind(), port.port());
  }

  /**
   * @param facts oldest first
   * @param seen ids of strings that were seen right and are as they were then
   */
  public static Progress of(Plan plan, List<StringFact> facts, Set<String> seen) {
    Map<String, List<StringFact>> byPiece = new HashMap<>();
    facts.forEach(fact -> byPiece.computeIfAbsent(fact.piece(), id -> new ArrayList<>()).add(fact));
    Map<String, HungRun> runs = new HashMap<>();
    plan.pixelRuns()
        .forEach(
            run -> {
              for (HungLeg leg : run.legs()) {
                runs.put(leg.at().piece().id(), run);
              }
            });
    List<StringAt> all = new ArrayList<>();
    for (Prop prop : plan.display().props()) {
      String zone = plan.zoneName(prop.zone());
      prop.pieces().stream()
          .filter(PixelString.class::isInstance)
          .forEach(
              piece ->
                  all.add(
                      Told.of(
                          piece.id(),
                          prop.titleOf(piece),
                          zone,
                          Optional.ofNullable(runs.get(piece.id())),
                          byPiece.getOrDefault(piece.id(), List.of()),
                          seen.contains(piece.id()))));
    }
    return new Progress(all);
  }

  /** The string of that id. */
  public Optional<StringAt> of(String piece) {
    return strings.stream().filter(one -> one.piece().equals(piece)).findFirst();
  }

  /** By the id of the string. */
  public Map<String, StringAt> byPiece() {
    Map<String, StringAt> all = new HashMap<>();
    strings.forEach(one -> all.put(one.piece(), one));
    return all;
  }

  /** What the facts of one string come to. */
  private static final class Told {
    private Optional<StringFact> reached = Optional.empty();
    private Stage stage = Stage.PLANNED;
    private Optional<Trouble> trouble = Optional.empty();
    private Optional<Noted> note = Optional.empty();
    private Optional<Stored> stored = Optional.empty();

    static StringAt of(
        String piece,
        String title,
        String zone,
        Optional<HungRun> run,
        List<StringFact> facts,
        boolean seen) {
      Told told = new Told();
      facts.forEach(told::take);
      Optional<PortRef> port = run.map(HungRun::port);
      boolean elsewhere =
          told.stage.needsItsPort() && !told.socket().equals(port.map(Progress::key));
      Stage now = seen ? Stage.SEEN_RIGHT : elsewhere ? Stage.HUNG : told.stage;
      return new StringAt(
          piece,
          title,
          zone,
          port,
          run.map(HungRun::written).orElse(""),
          now,
          told.reached.map(StringFact::at).filter(at -> now != Stage.PLANNED),
          told.reached.map(StringFact::by).orElse(""),
          elsewhere && !seen,
          told.trouble,
          told.note,
          told.stored);
    }

    private Optional<String> socket() {
      return reached.flatMap(fact -> ((Reached) fact.what()).socket());
    }

    private void take(StringFact fact) {
      if (fact.what() instanceof Reached one) {
        // what only a person before it can say is kept with what it was told, not here
        stage = one.stage() == Stage.SEEN_RIGHT ? Stage.POWERED : one.stage();
        reached = Optional.of(fact);
        stored = Optional.empty();
      } else if (fact.what() instanceof Trouble one) {
        trouble = Optional.of(one);
      } else if (fact.what() instanceof Settled) {
        trouble = Optional.empty();
      } else if (fact.what() instanceof Noted one) {
        note = Optional.of(one);
      } else if (fact.what() instanceof Stored one) {
        stored = Optional.of(one);
        stage = Stage.PLANNED;
        reached = Optional.empty();
        trouble = Optional.empty();
        note = Optional.empty();
      }
    }
  }
}
