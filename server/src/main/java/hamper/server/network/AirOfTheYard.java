package hamper.server.network;

import hamper.facts.Facts;
import hamper.listen.Air;
import hamper.listen.AirReport;
import hamper.listen.Vantage;
import hamper.server.output.Asking;
import hamper.server.output.LiveGround;
import java.io.IOException;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** Listens to the network for a time, for somebody without a window. */
public final class AirOfTheYard {
  private AirOfTheYard() {}

  /**
   * What was heard.
   *
   * @param notes what could not be heard for a reason of this computer
   */
  public record Heard(Air air, AirReport report, List<String> notes) {}

  /**
   * @throws IllegalArgumentException where no adapter is in a subnet of the plan
   */
  public static Heard listen(Facts facts, LiveGround ground, int seconds) throws IOException {
    Asking asking = ground.asking("", facts);
    try (LiveAir ears = new LiveAir(asking, facts)) {
      Air air = new Air();
      for (int i = 0; i < seconds; i++) {
        ears.hear(System.nanoTime() + TimeUnit.SECONDS.toNanos(1), air);
      }
      AirReport report = AirReport.of(facts, air.streams(), Vantage.at(asking.own()));
      return new Heard(air, report, ears.notes());
    }
  }
}
