package hamper.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import hamper.samples.Trial;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Two windows look at lights that change all the time: memory and pictures stay as they are. That
 * windows look at all is seen in {@link LightItTest}.
 */
@Tag("whole")
@Tag("trial")
class TrialSoakTest extends DemoCase {
  private static final int ROUNDS = Trial.size(3, 60);
  private static final int ROUND_SECONDS = Trial.size(4, 10);

  /** Pictures and looks of some seconds. */
  private static final String PICTURES =
      """
      async seconds => {
        const looks = () => performance.getEntriesByType('resource')
          .filter((one) => one.name.endsWith('/trial')).length
        performance.clearResourceTimings()
        let pictures = 0
        let going = true
        const next = () => { pictures++; if (going) requestAnimationFrame(next) }
        requestAnimationFrame(next)
        await new Promise((done) => setTimeout(done, seconds * 1000))
        going = false
        return [pictures / seconds, looks() / seconds,
          performance.memory.usedJSHeapSize / 1048576]
      }
      """;

  private record Sample(double pictures, double looks, double heap, long server) {}

  @SuppressWarnings("unchecked")
  private static Sample sample(Page page) throws IOException {
    List<Number> told = (List<Number>) page.evaluate(PICTURES, ROUND_SECONDS);
    return new Sample(
        told.get(0).doubleValue(),
        told.get(1).doubleValue(),
        told.get(2).doubleValue(),
        program.memory());
  }

  private static double least(List<Sample> some) {
    return some.stream().mapToDouble(Sample::heap).min().orElseThrow();
  }

  @Test
  void twoWindowsLookOnAndOn() throws IOException {
    window.go("Trial");
    page.keyboard().press("/");
    page.keyboard().type("light K1");
    page.keyboard().press("Enter");
    page.getByTestId("dark").waitFor();
    page.getByTestId("pattern").click();
    page.getByText("colours in turn").click();
    Page other = window.tab(page.url());
    other.getByTestId("ribbons").waitFor();
    List<Sample> samples = new ArrayList<>();
    for (int i = 0; i < ROUNDS; i++) {
      Page front = i % 2 == 0 ? page : other;
      front.bringToFront();
      samples.add(sample(front));
    }
    for (int i = 0; i < samples.size(); i += Math.max(1, samples.size() / 10)) {
      System.out.printf("[soak] round %d: %s%n", i, samples.get(i));
    }
    int third = Math.max(1, samples.size() / 3);
    List<Sample> first = samples.subList(0, third);
    List<Sample> last = samples.subList(samples.size() - third, samples.size());
    System.out.printf(
        "[soak] %d s, least heap %.1f then %.1f MiB, program %d then %d MiB%n",
        ROUNDS * ROUND_SECONDS,
        least(first),
        least(last),
        first.get(0).server(),
        last.get(last.size() - 1).server());
    assertThat(least(last)).isLessThan(least(first) + 40);
    // how fast is what is printed: on a machine that does other work it may be slow, but it goes on
    assertThat(samples).allMatch(one -> one.pictures() > 2 && one.looks() > 0);
    page.evaluate("() => fetch('/api/output', { method: 'DELETE' })");
    other.close();
  }
}
