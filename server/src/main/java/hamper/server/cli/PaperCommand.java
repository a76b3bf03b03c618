package hamper.server.cli;

import hamper.facts.Facts;
import hamper.paper.Crew;
import hamper.paper.CrewSheet;
import hamper.pdf.CrewPdf;
import hamper.pdf.PaperSize;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code hamper paper}: the crew's sheets as PDF. */
@Command(
    name = "paper",
    mixinStandardHelpOptions = true,
    description = "Write crew sheets as PDF: one file for each controller, and one of all.")
public final class PaperCommand implements Callable<Integer> {
  @Mixin private InputFile input;

  @Option(
      names = "--out",
      required = true,
      paramLabel = "DIR",
      description = "the folder to write to; made where it is missing")
  private Path out;

  @Option(names = "--size", description = "A4 or LETTER (default: ${DEFAULT-VALUE})")
  private PaperSize size = PaperSize.A4;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Facts facts = input.read();
    OutputFile.makeFolder(out);
    List<CrewSheet> all = Crew.of(facts);
    ZonedDateTime now = ZonedDateTime.now();
    String display = facts.plan().display().name();
    PrintWriter told = spec.commandLine().getOut();
    write(told, "crew-sheets.pdf", CrewPdf.of(all, display, 0, now, size));
    for (CrewSheet one : all) {
      write(told, one.tag() + ".pdf", CrewPdf.of(List.of(one), display, 0, now, size));
    }
    told.flush();
    return 0;
  }

  private void write(PrintWriter told, String name, byte[] bytes) throws IOException {
    Path file = out.resolve(name);
    OutputFile.write(file, bytes);
    told.println(file);
  }
}
