package hamper.server.cli;

import hamper.facts.Facts;
import hamper.server.output.Seats;
import hamper.standin.Clock;
import hamper.standin.Seat;
import hamper.standin.StandIns;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.List;
import java.util.Map;
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

  @Option(
      names = "--on-planned-addresses",
      description =
          "on the addresses that the plan gives, which have to be this computer's own, instead of"
              + " loopback addresses; controllers without one are left out")
  private boolean planned;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException, InterruptedException {
    Facts facts = input.read();
    PrintWriter out = spec.commandLine().getOut();
    try (StandIns standIns = start(facts)) {
      standIns
          .places()
          .forEach(
              (controller, place) ->
                  out.printf(
                      "%-8s http://%s:%d  %s%n",
                      facts.plan().existingController(controller).tag(),
                      place.address(),
                      place.door(),
                      place));
      out.flush();
      new CountDownLatch(1).await(minutes, TimeUnit.MINUTES);
    }
    return 0;
  }

  private StandIns start(Facts facts) throws IOException {
    List<Seat> seats = Seats.of(facts);
    if (!planned) {
      return StandIns.start(seats, Clock.system());
    }
    Map<String, String> addresses = Seats.plannedAddresses(facts);
    return StandIns.startOn(
        seats.stream().filter(seat -> addresses.containsKey(seat.controller())).toList(),
        addresses,
        Clock.system());
  }
}
