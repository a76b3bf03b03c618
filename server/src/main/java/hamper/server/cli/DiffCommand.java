package hamper.server.cli;

import hamper.change.Comparison;
import hamper.display.Plan;
import hamper.files.CatalogueFiles;
import hamper.files.ComparisonFiles;
import hamper.files.DisplayFile;
import hamper.handover.Milestone;
import hamper.resolve.Resolver;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code hamper diff}: what differs between two display files, or a milestone and its display. */
@Command(
    name = "diff",
    mixinStandardHelpOptions = true,
    description =
        "Say what differs: moves, and what devices are told otherwise. Exit code 1 where anything"
            + " does, 2 on unusable input.")
public final class DiffCommand implements Callable<Integer> {
  enum Format {
    TEXT,
    JSON
  }

  @Parameters(paramLabel = "FILE", arity = "1..2", description = "the earlier and the later file")
  private List<Path> files;

  @Option(
      names = "--milestone",
      paramLabel = "NAME",
      description = "with one file: the milestone in it that the display is compared with")
  private Optional<String> milestone;

  @Option(names = "--format", description = "text or json (default: text)")
  private Format format = Format.TEXT;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    DisplayFile.Contents first = InputFile.contents(files.get(0));
    Comparison comparison;
    if (files.size() == 2 && milestone.isEmpty()) {
      comparison =
          Comparison.between(side(first.plan()), side(InputFile.contents(files.get(1)).plan()));
    } else if (files.size() == 1 && milestone.isPresent()) {
      Plan then = new Plan(named(first.milestones()).display(), CatalogueFiles.shipped());
      comparison = Comparison.between(side(then), side(first.plan()));
    } else {
      throw new Trouble(
          "diff takes two display files, or one and --milestone with the name of one in it");
    }
    PrintWriter out = spec.commandLine().getOut();
    out.print(
        format == Format.JSON
            ? ComparisonFiles.json(comparison)
            : ComparisonFiles.text(comparison));
    out.flush();
    return comparison.isNone() ? 0 : 1;
  }

  private static Comparison.Side side(Plan plan) {
    return new Comparison.Side(plan, Resolver.resolve(plan));
  }

  private Milestone named(List<Milestone> all) {
    return all.stream()
        .filter(one -> one.name().equals(milestone.get()))
        .reduce((one, later) -> later)
        .orElseThrow(
            () ->
                new Trouble(
                    "%s: it has no milestone \"%s\"; %s"
                        .formatted(
                            files.get(0),
                            milestone.get(),
                            all.isEmpty()
                                ? "it has none"
                                : "it has "
                                    + all.stream()
                                        .map(one -> "\"" + one.name() + "\"")
                                        .collect(Collectors.joining(", ")))));
  }
}
