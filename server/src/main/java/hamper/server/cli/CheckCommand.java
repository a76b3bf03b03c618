package hamper.server.cli;

import hamper.check.Checks;
import hamper.check.Finding;
import hamper.check.Severity;
import hamper.files.FindingFiles;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code hamper check}: what is wrong with a display. */
@Command(
    name = "check",
    mixinStandardHelpOptions = true,
    description = "Say what is wrong with a display. Exit code 1 on faults, 2 on unusable input.")
public final class CheckCommand implements Callable<Integer> {
  enum Format {
    TEXT,
    JSON
  }

  @Mixin private InputFile input;

  @Option(names = "--format", description = "text or json (default: text)")
  private Format format = Format.TEXT;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    List<Finding> findings = Checks.run(input.read());
    PrintWriter out = spec.commandLine().getOut();
    out.print(format == Format.JSON ? FindingFiles.json(findings) : FindingFiles.text(findings));
    out.flush();
    return findings.stream().anyMatch(f -> f.severity() == Severity.FAULT) ? 1 : 0;
  }
}
