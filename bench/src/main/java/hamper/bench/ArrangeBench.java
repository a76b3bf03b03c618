package hamper.bench;

import hamper.arrange.Aim;
import hamper.arrange.Arrange;
import hamper.arrange.Asked;
import hamper.arrange.Proposal;
import hamper.display.Plan;
import hamper.edit.UnpatchPieces;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.samples.LargeDisplays;
import java.util.List;
import java.util.Set;
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

/** Everything of a large display arranged from nothing, unwarmed and again. */
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Measurement(iterations = 3)
@Fork(
    value = 1,
    jvmArgsAppend = {"-Xmx1500m"})
@State(Scope.Benchmark)
public class ArrangeBench {
  /** About as many strings, and a tenth as many controllers. */
  @Param({"500", "2000", "20000"})
  public int strings;

  @Param public Aim aim;

  private Facts facts;
  private Set<String> loose;

  @Setup
  public void make() {
    int controllers = strings / 10;
    Plan plan = LargeDisplays.of(CatalogueFiles.shipped(), controllers, controllers * 17, 20, 1);
    List<String> all =
        plan.runs().flatMap(run -> run.legs().stream()).map(leg -> leg.leg().piece()).toList();
    for (int from = 0; from < all.size(); from += 5_000) {
      List<String> some = all.subList(from, Math.min(all.size(), from + 5_000));
      plan = plan.with(new UnpatchPieces(some).change(plan));
    }
    facts = Facts.of(plan);
    loose = Arrange.loose(plan);
  }

  @Benchmark
  public Proposal fromNothing() {
    return Arrange.of(facts, Asked.of(loose, aim));
  }
}
