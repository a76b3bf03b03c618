package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.FilePayload;
import hamper.samples.GuidedFaults;
import hamper.samples.Trial;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Each misbehaviour of stand-ins is found in the browser by its guide, and where its cause has an
 * edit, proof is clean after that; some of them every time, all in the long trial.
 */
@Tag("whole")
@Tag("trial")
class GuidesTest extends DemoCase {
  private static final List<String> SHORT =
      List.of("colour-order", "forgotten-null", "dead-pixel", "off", "old-outputs");

  private static final String GIVE =
      """
      async ids => {
        const [display] = location.hash.split('/').slice(2)
        const at = `/api/displays/${display}/handover/giving`
        const answer = await fetch(at, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ which: 'CHOSEN', controllers: ids, faultsSeen: ids,
            replaced: ids, readBack: false, back: false, inShowHours: true }),
        })
        if (!answer.ok) throw new Error(await answer.text())
        while ((await (await fetch(at)).json()).running) {
          await new Promise((done) => setTimeout(done, 100))
        }
      }
      """;
  private static final String PROVE =
      """
      async () => {
        const [display] = location.hash.split('/').slice(2)
        const at = `/api/displays/${display}/proof`
        await fetch(at, { method: 'POST' })
        for (;;) {
          const proof = await (await fetch(at)).json()
          if (!proof.running) return proof.report.wrong
          await new Promise((done) => setTimeout(done, 100))
        }
      }
      """;
  private static final String EDIT =
      """
      async edit => {
        const [display] = location.hash.split('/').slice(2)
        const version = Number(document.querySelector('main').dataset.version)
        const answer = await fetch(`/api/displays/${display}/edits`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ version, edit: JSON.parse(edit) }),
        })
        if (!answer.ok) throw new Error(await answer.text())
      }
      """;
  private static final String MISBEHAVE =
      """
      async ([controller, misbehaviour, on]) => {
        const [display] = location.hash.split('/').slice(2)
        const answer = await fetch(`/api/displays/${display}/trial/misbehaviour`, {
          method: 'PUT',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ controller, misbehaviour, on }),
        })
        if (!answer.ok) throw new Error(await answer.text())
      }
      """;

  private void misbehave(String controller, String what, boolean on) {
    page.evaluate(MISBEHAVE, List.of(controller, what, on));
  }

  @Test
  void misbehavioursAreFoundByTheirGuides() {
    page.getByTestId("import-file")
        .setInputFiles(
            new FilePayload(
                "guided.hamper.json",
                "application/json",
                GuidedFaults.DISPLAY.getBytes(StandardCharsets.UTF_8)));
    assertThat(page.getByTestId("display-menu")).containsText("Guided");
    page.evaluate(GIVE, List.of("k", "r"));
    window.go("Trial");
    page.locator("[data-trial=k]").waitFor();
    int edits = 0;
    for (GuidedFaults.Case one : GuidedFaults.CASES) {
      if (Trial.isLong() || SHORT.contains(one.misbehaviour())) {
        edits += tried(one) ? 1 : 0;
      }
    }
    assertThat(edits).isGreaterThanOrEqualTo(2);
    window.noErrors();
  }

  /** Whether its cause had an edit. */
  private boolean tried(GuidedFaults.Case one) {
    String title = one.piece().substring(0, 1).toUpperCase(Locale.ROOT);
    page.keyboard().press("/");
    page.keyboard().type("light " + title);
    page.keyboard().press("Enter");
    page.getByTestId("dark").waitFor();
    page.getByTestId("about").selectOption(one.piece());
    page.waitForTimeout(800);
    misbehave(one.controller(), one.misbehaviour(), true);
    boolean anew = List.of("vanishes", "keeps-nothing").contains(one.misbehaviour());
    if (anew) {
      // only what has changed is given
      window.acknowledged(() -> page.evaluate(EDIT, GuidedFaults.TURNED));
      page.evaluate(GIVE, List.of("k"));
    }
    List<String> asked = GuideWalk.of(page, one.guide(), one.byHand());
    System.out.printf(
        "[guides] %-18s %-15s %-14s after %s%n",
        one.misbehaviour(), one.guide(), one.cause(), asked);
    assertThat(page.locator("[data-cause]")).hasCount(1);
    Locator cause = page.locator("[data-cause=%s]".formatted(one.cause()));
    assertThat(cause).isVisible();
    misbehave(one.controller(), one.misbehaviour(), false);
    misbehave(one.controller(), "off", false);
    boolean edit = cause.getByTestId("plan-it").count() > 0;
    if (edit) {
      cause.getByTestId("plan-it").click();
      window.acknowledged(() -> page.getByTestId("apply").click());
      assertThat(page.evaluate(PROVE)).as(one.misbehaviour()).isEqualTo(0);
      window.undo();
    }
    page.getByTestId("leave-guide").click();
    if (anew) {
      window.undo();
    }
    page.evaluate("() => fetch('/api/output', { method: 'DELETE' })");
    page.evaluate(GIVE, List.of("k", "r"));
    return edit;
  }
}
