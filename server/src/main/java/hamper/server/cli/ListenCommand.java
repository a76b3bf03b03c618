package hamper.server.cli;

import hamper.capture.CaptureException;
import hamper.capture.CaptureReader;
import hamper.capture.CaptureSummary;
import hamper.facts.Facts;
import hamper.files.AirFiles;
import hamper.listen.Air;
import hamper.listen.AirReport;
import hamper.listen.Datagrams;
import hamper.listen.Vantage;
import hamper.server.network.AirOfTheYard;
import hamper.server.network.StandInAddresses;
import hamper.server.output.LiveGround;
import hamper.server.output.Seats;
import hamper.standin.StandIns;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code hamper listen}: what is on the network, or in a capture, beside what is planned. */
@Command(
    name = "listen",
    mixinStandardHelpOptions = true,
    description =
        "Say what is sent beside what is planned: from a capture, or heard by the adapters of this"
            + " computer that are in the planned subnets. Nothing is sent. Exit code 1 where plan"
            + " and network differ, 2 on unusable input.")
public final class ListenCommand implements Callable<Integer> {
  private static final int MOST_SECONDS = 3_600;

  enum Format {
    TEXT,
    JSON
  }

  @Mixin private InputFile input;

  @Option(names = "--capture", paramLabel = "FILE", description = "a capture: pcap or pcapng")
  private Path capture;

  @Option(
      names = "--seconds",
      description = "without a capture: listen for so long, 1 to 3600 (default: ${DEFAULT-VALUE})")
  private int seconds = 12;

  @Option(
      names = "--adapter",
      paramLabel = "NAME",
      description = "the only network adapter to listen by (default: whichever fits)")
  private String adapter;

  @Option(names = "--format", description = "text or json (default: text)")
  private Format format = Format.TEXT;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Facts facts = input.read();
    List<String> notes = new ArrayList<>();
    AirReport report = capture == null ? live(facts, notes) : captured(facts, notes);
    PrintWriter out = spec.commandLine().getOut();
    if (format == Format.JSON) {
      out.print(AirFiles.json(report, notes));
    } else {
      out.print(AirFiles.text(report));
      notes.forEach(out::println);
    }
    out.flush();
    return report.agrees() ? 0 : 1;
  }

  private AirReport live(Facts facts, List<String> notes) throws IOException {
    if (seconds < 1 || seconds > MOST_SECONDS) {
      throw new Trouble("--seconds %d: allowed is 1 to %d".formatted(seconds, MOST_SECONDS));
    }
    try {
      AirOfTheYard.Heard heard =
          AirOfTheYard.listen(facts, new LiveGround(Optional.ofNullable(adapter)), seconds);
      notes.addAll(heard.notes());
      return heard.report();
    } catch (IllegalArgumentException e) {
      throw new Trouble(e.getMessage());
    }
  }

  private AirReport captured(Facts facts, List<String> notes) throws IOException {
    if (!Files.isRegularFile(capture)) {
      throw new Trouble("%s: there is no such file".formatted(capture));
    }
    try (InputStream in = Files.newInputStream(capture)) {
      CaptureReader reader = CaptureReader.open(in);
      Air air = new Air();
      Datagrams told = StandInAddresses.of(facts, StandIns.usualPlaces(Seats.of(facts))).apply(air);
      while (reader.next(told)) {
        // frame by frame
      }
      CaptureSummary summary = reader.summary();
      summary.ended().ifPresent(notes::add);
      if (summary.unknownLinks() > 0) {
        notes.add("%d frames are of links that are not read".formatted(summary.unknownLinks()));
      }
      air.refused().forEach((why, count) -> notes.add("%d packets of %s".formatted(count, why)));
      return AirReport.of(facts, air.streams(), Vantage.of(air.streams()));
    } catch (CaptureException e) {
      throw new Trouble("%s: %s".formatted(capture, e.getMessage()));
    } catch (IOException e) {
      throw Trouble.of(capture, e);
    }
  }
}
