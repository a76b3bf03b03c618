package hamper.server.cli;

import hamper.facts.Facts;
import hamper.files.BookFiles;
import hamper.paper.Beside;
import hamper.paper.Paperwork;
import hamper.paper.Sheet;
import hamper.paper.TagSheet;
import hamper.pdf.LabelPdf;
import hamper.pdf.LabelSize;
import hamper.pdf.PaperSize;
import hamper.pdf.SheetPdf;
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

/** {@code hamper paper}: all sheets as PDF, labels, and a spreadsheet. */
@Command(
    name = "paper",
    mixinStandardHelpOptions = true,
    description =
        "Write all sheets as PDF, one file each and one of all, labels where anything has a tag, and"
            + " one spreadsheet of everything.")
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

  @Option(
      names = "--labels",
      description = "the sheet of labels: ${COMPLETION-CANDIDATES} (default: ${DEFAULT-VALUE})")
  private LabelSize labels = LabelSize.A4_24;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Facts facts = input.read();
    OutputFile.makeFolder(out);
    List<Sheet> all = Paperwork.of(facts, 0, Beside.NOTHING);
    ZonedDateTime now = ZonedDateTime.now();
    String display = facts.plan().display().name();
    PrintWriter told = spec.commandLine().getOut();
    write(told, "all-sheets.pdf", SheetPdf.of(all, display, 0, now, size));
    for (Sheet one : all) {
      write(told, one.id() + ".pdf", SheetPdf.of(List.of(one), display, 0, now, size));
    }
    List<TagSheet.Row> tags = TagSheet.rows(facts.plan());
    if (!tags.isEmpty()) {
      write(told, "labels.pdf", LabelPdf.of(tags, labels, 0, 0));
    }
    write(told, "everything.xlsx", BookFiles.xlsx(facts, 0, Beside.NOTHING));
    told.flush();
    return 0;
  }

  private void write(PrintWriter told, String name, byte[] bytes) throws IOException {
    Path file = out.resolve(name);
    OutputFile.write(file, bytes);
    told.println(file);
  }
}
