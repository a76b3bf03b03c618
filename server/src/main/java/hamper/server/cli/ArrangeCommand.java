package hamper.server.cli;

import hamper.arrange.Aim;
import hamper.arrange.Arrange;
import hamper.arrange.Asked;
import hamper.arrange.Missing;
import hamper.arrange.Proposal;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.files.DisplayFile;
import hamper.value.Decimals;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code hamper arrange}: hangs what hangs nowhere. */
@Command(
    name = "arrange",
    mixinStandardHelpOptions = true,
    description =
        "Hang what hangs nowhere, and say where and why. Exit code 1 where something is left, 2 on"
            + " unusable input.")
public final class ArrangeCommand implements Callable<Integer> {
  /** Of more pieces it is not tried what would make them fit. */
  private static final int MOST = 500;

  @Mixin private InputFile input;

  @Option(
      names = "--out",
      required = true,
      paramLabel = "FILE",
      description = "the display file to write")
  private Path out;

  @Option(names = "--aim", description = "${COMPLETION-CANDIDATES} (default: ${DEFAULT-VALUE})")
  private Aim aim = Aim.EASIEST;

  @Option(
      names = "--spread",
      description = "spread each zone over controllers, so that one that fails does not darken it")
  private boolean spread;

  @Option(
      names = "--move",
      description =
          "what hangs may move, where it is worth it; not what is held or set at hardware")
  private boolean move;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Facts facts = input.read();
    Plan plan = facts.plan();
    Set<String> pieces = move ? Arrange.all(plan) : Arrange.loose(plan);
    Proposal proposal = Arrange.of(facts, new Asked(pieces, aim, spread, move, Set.of()));
    Plan after = proposal.edit().map(edit -> edit.applyTo(plan).plan()).orElse(plan);
    OutputFile.write(out, DisplayFile.write(after.display()));
    PrintWriter told = spec.commandLine().getOut();
    proposal
        .hung()
        .forEach(
            one ->
                told.printf(
                    "%s on %s%s: %s%n",
                    one.title(),
                    one.written(),
                    one.from().map(from -> ", moved from " + from).orElse(""),
                    one.because()));
    proposal.left().forEach(one -> told.printf("left: %s. %s%n", one.title(), one.because()));
    if (!proposal.left().isEmpty() && proposal.left().size() + proposal.hung().size() <= MOST) {
      Missing.of(facts, Arrange.loose(plan), aim)
          .forEach(
              one ->
                  told.printf(
                      "missing: %s, and %d more fit, %d do not%n",
                      one.told(), one.fit(), one.left()));
    }
    told.printf(
        Locale.ROOT,
        "%d of %d pieces, on %d controllers, about %s m of cable between zones%n",
        proposal.hung().size(),
        proposal.hung().size() + proposal.left().size(),
        proposal.cost().controllers(),
        Decimals.of(proposal.cost().metres(), 0));
    told.flush();
    return proposal.left().isEmpty() ? 0 : 1;
  }
}
