package hamper.bench;

import hamper.catalog.Catalog;
import hamper.check.Checks;
import hamper.check.Finding;
import hamper.display.Controller;
import hamper.display.Leg;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Run;
import hamper.display.Section;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.resolve.Resolution;
import hamper.resolve.Resolver;
import hamper.samples.LargeDisplays;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * How long everything that follows from a plan takes, with enough memory that the largest display
 * does not measure the garbage collector. docs/performance.md says how to run it.
 */
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(
    value = 1,
    jvmArgsAppend = {"-Xms6g", "-Xmx6g", "-Xmn4g"})
@State(Scope.Benchmark)
public class ChecksBench {
  /** Sections; one controller for each hundred. */
  @Param({"1000", "10000", "100000", "1000000"})
  public int sections;

  private Plan plan;

  /** Ten pixels a section, so that a million fit into the universes of one protocol. */
  @Setup
  public void make() {
    Catalog catalog = CatalogueFiles.shipped();
    plan = LargeDisplays.of(catalog, Math.max(1, sections / 100), sections, 10, 1);
  }

  /** What nothing can be quicker than: each section is looked at once, in its run. */
  @Benchmark
  public long barePass() {
    long sum = 0;
    for (Controller controller : plan.display().controllers()) {
      for (Run run : controller.runs()) {
        for (Leg leg : run.legs()) {
          PixelString string = (PixelString) plan.piece(leg.piece()).orElseThrow().piece();
          for (Section section : string.sections()) {
            sum += section.addresses() + leg.nullPixels();
          }
        }
      }
    }
    return sum;
  }

  @Benchmark
  public Resolution resolve() {
    return Resolver.resolve(plan);
  }

  /** Everything but voltages and currents of feeds. */
  @Benchmark
  public List<Finding> resolveAndCheck() {
    return Checks.all(Facts.withoutPower(plan));
  }

  /** Everything. */
  @Benchmark
  public List<Finding> resolveSolveAndCheck() {
    return Checks.all(Facts.of(plan));
  }
}
