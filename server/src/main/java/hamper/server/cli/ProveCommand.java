package hamper.server.cli;

import hamper.server.proof.Proof;
import hamper.server.proof.ProofReport;
import hamper.server.proof.ProofText;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

/** {@code hamper prove}: whether every pixel shows what was meant. */
@Command(
    name = "prove",
    mixinStandardHelpOptions = true,
    description =
        "Start stand-ins, give them their configurations, send real packets, and compare every pixel"
            + " with what was meant. Exit code 1 where any is wrong.")
public final class ProveCommand implements Callable<Integer> {
  @Mixin private InputFile input;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException, InterruptedException {
    ProofReport report = Proof.of(input.read(), percent -> {});
    PrintWriter out = spec.commandLine().getOut();
    out.print(ProofText.of(report));
    out.flush();
    return report.passed() ? 0 : 1;
  }
}
