package hamper.bench;

import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.paper.Beside;
import hamper.paper.Paperwork;
import hamper.paper.Sheet;
import hamper.pdf.PaperSize;
import hamper.pdf.SheetPdf;
import hamper.samples.LargeDisplays;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/** All sheets of a display of 500 ports, each time from the plan, in a small heap, unwarmed. */
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Measurement(iterations = 3)
@Fork(
    value = 3,
    jvmArgsAppend = {"-Xmx200m"})
@State(Scope.Benchmark)
public class PaperBench {
  private static final int PORTS = 500;

  private Plan plan;

  @Setup
  public void make() {
    int controllers = 1;
    do {
      plan = LargeDisplays.of(CatalogueFiles.shipped(), controllers, controllers * 12, 100, 1);
      controllers++;
    } while (plan.runs().count() < PORTS);
  }

  @Benchmark
  public int allSheets() {
    List<Sheet> sheets = Paperwork.of(Facts.of(plan), 1, Beside.NOTHING);
    ZonedDateTime when = ZonedDateTime.of(2026, 11, 27, 18, 0, 0, 0, ZoneOffset.UTC);
    return SheetPdf.of(sheets, "Large", 1, when, PaperSize.A4).length;
  }
}
