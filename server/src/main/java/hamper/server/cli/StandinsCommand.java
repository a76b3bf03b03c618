package hamper.server.cli;

import hamper.facts.Facts;
import hamper.server.output.Seats;
import hamper.standin.Clock;
import hamper.standin.StandIns;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code hamper standins}: devices that stand in for those of a display. */
@Command(
    name = "standins",
    mixinStandardHelpOptions = true,
    description =
        "Start a stand-in for each controller that packets go to, on loopback addresses, until"
            + " Ctrl+C or the time is over.")
public final class StandinsCommand implements Callable<Integer> {
  @Mixin private InputFile input;

  @Option(
      names = "--minutes",
      description = "after which they end by themselves (default: ${DEFAULT-VALUE})")
  private int minutes = 24 * 60;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException, InterruptedException {
    Facts facts = input.read();
    PrintWriter out = spec.commandLine().getOut();
    try (StandIns standIns = StandIns.start(Seats.of(facts), Clock.system())) {
      standIns
          .addresses()
          .forEach(
              (controller, address) ->
                  out.printf(
                      "%-8s http://%s:%d%n",
                      facts.plan().existingController(controller).tag(), address, StandIns.DOOR));
      out.flush();
      new CountDownLatch(1).await(minutes, TimeUnit.MINUTES);
    }
    return 0;
  }
}
