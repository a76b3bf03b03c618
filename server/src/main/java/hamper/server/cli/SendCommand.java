package hamper.server.cli;

import hamper.display.Controller;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.pattern.Colour;
import hamper.pattern.Pattern;
import hamper.pattern.PatternKind;
import hamper.send.Target;
import hamper.send.Targets;
import hamper.server.output.Ground;
import hamper.server.output.LiveGround;
import hamper.server.output.OneLight;
import hamper.server.output.Output;
import hamper.server.output.OutputState;
import hamper.server.output.Seats;
import hamper.server.output.StandInGround;
import hamper.standin.Clock;
import hamper.standin.StandIns;
import hamper.value.Decimals;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code hamper send}: something simple on the lights of a display file. */
@Command(
    name = "send",
    mixinStandardHelpOptions = true,
    description =
        "Light a display, or some of it, with a pattern: on stand-ins that start for it, or with"
            + " --live on the devices of the yard. Ctrl+C stops it; safe states and black are sent.")
public final class SendCommand implements Callable<Integer> {
  @Mixin private InputFile input;

  @Option(
      names = "--pattern",
      paramLabel = "NAME",
      description =
          "one of: ends, white, colour, turns, legs, number, count, part, tenths, soak,"
              + " corners, columns, rows, arrow (default: ${DEFAULT-VALUE})")
  private String pattern = "ends";

  @Option(
      names = "--colour",
      paramLabel = "NAME",
      description = "of patterns that have one: red, green, blue, fourth, white (default: white)")
  private String colour = "white";

  @Option(names = "--from", description = "the pixel of count, or the first of part (default: 1)")
  private int from = 1;

  @Option(names = "--to", description = "the last of part (default: to the end)")
  private Integer to;

  @Option(names = "--seconds", description = "for so long (default: ${DEFAULT-VALUE})")
  private int seconds = 10;

  @Option(names = "--percent", description = "of full, as it is sent (default: ${DEFAULT-VALUE})")
  private int percent = Output.USUAL_CEILING;

  @Option(
      names = "--ceiling",
      description = "most light that may result, percent (default: ${DEFAULT-VALUE})")
  private int ceiling = Output.USUAL_CEILING;

  @Option(
      names = "--only",
      paramLabel = "NAME",
      description = "a controller (K1), a port (K1-7), a zone, a prop or a string; may be repeated")
  private List<String> only = new ArrayList<>();

  @Option(names = "--live", description = "to the devices of the yard, on the plan's own addresses")
  private boolean live;

  @Option(
      names = "--adapter",
      paramLabel = "NAME",
      description = "with --live: the only network adapter to send by (default: whichever fits)")
  private String adapter;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException, InterruptedException {
    Facts facts = input.read();
    Output.Wanted wanted =
        new Output.Wanted(
            "",
            "hamper send",
            targets(facts.plan()),
            pattern(),
            percent,
            ceiling,
            seconds,
            Set.of(),
            Set.of());
    if (live) {
      spec.commandLine().getOut().println("LIVE: light goes to the devices of the yard.");
      return send(facts, new LiveGround(Optional.ofNullable(adapter)), wanted);
    }
    try (StandIns standIns = StandIns.start(Seats.of(facts), Clock.system())) {
      return send(
          facts,
          new StandInGround((display, seats) -> standIns.places(), (display, id) -> false),
          wanted);
    }
  }

  private int send(Facts facts, Ground ground, Output.Wanted wanted)
      throws IOException, InterruptedException {
    PrintWriter out = spec.commandLine().getOut();
    OneLight light = new OneLight(facts, ground, 1, state -> {});
    Thread ending = new Thread(() -> stop(light), "stop");
    Runtime.getRuntime().addShutdownHook(ending);
    OutputState state = light.send(wanted);
    Runtime.getRuntime().removeShutdownHook(ending);
    state.leftOut().forEach(one -> out.printf("%s left out: %s%n", one.tag(), one.why()));
    out.printf(
        Locale.ROOT,
        "%s to %s: %d frames, %d packets, %d unsent, %d not taken, latest by %s ms%n",
        wanted.pattern().kind().title(),
        state.live() ? "the yard" : "stand-ins",
        state.frames(),
        state.packets(),
        state.unsent(),
        state.failed(),
        Decimals.of(state.worstLateMillis(), 1));
    out.flush();
    return 0;
  }

  private static void stop(OneLight light) {
    try {
      light.stop();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private Pattern pattern() {
    Pattern usual = Pattern.of(oneOf(PatternKind.values(), "--pattern", pattern));
    Colour own = oneOf(Colour.values(), "--colour", colour);
    return new Pattern(usual.kind(), own, from, to == null ? usual.to() : to);
  }

  private static <E extends Enum<E>> E oneOf(E[] all, String option, String name) {
    return Arrays.stream(all)
        .filter(one -> one.name().equalsIgnoreCase(name))
        .findFirst()
        .orElseThrow(
            () ->
                new Trouble(
                    "%s %s: allowed is %s"
                        .formatted(
                            option,
                            name,
                            Arrays.stream(all)
                                .map(one -> one.name().toLowerCase(Locale.ROOT))
                                .collect(Collectors.joining(", ")))));
  }

  private Targets targets(Plan plan) {
    Set<Target> found = new LinkedHashSet<>();
    only.forEach(name -> found.addAll(named(plan, name)));
    return new Targets(found, Set.of());
  }

  private static List<Target> named(Plan plan, String name) {
    List<Target> found = new ArrayList<>();
    for (Controller controller : plan.display().controllers()) {
      if (controller.tag().equalsIgnoreCase(name)) {
        found.add(new Target.OfController(controller.id()));
      }
    }
    plan.runs()
        .filter(run -> run.written().equalsIgnoreCase(name))
        .forEach(run -> found.add(new Target.OfPort(run.port())));
    plan.display().zones().stream()
        .filter(zone -> zone.name().equalsIgnoreCase(name))
        .forEach(zone -> found.add(new Target.OfZone(zone.id())));
    plan.display()
        .props()
        .forEach(
            prop -> {
              if (prop.name().equalsIgnoreCase(name)) {
                found.add(new Target.OfProp(prop.id()));
              }
              prop.pieces().stream()
                  .filter(piece -> prop.titleOf(piece).equalsIgnoreCase(name))
                  .forEach(piece -> found.add(new Target.OfPiece(piece.id())));
            });
    if (found.isEmpty()) {
      throw new Trouble(
          "--only %s: there is no controller, port, zone, prop or string of that name"
              .formatted(name));
    }
    return found;
  }
}
