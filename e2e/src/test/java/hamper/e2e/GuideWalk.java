package hamper.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Walks a guide in the place Trial, answered by what the stand-in shows. */
final class GuideWalk {
  private static final double PATIENCE = 20_000;
  private static final int MOST_QUESTIONS = 12;

  private GuideWalk() {}

  /**
   * @param byHand what only a person can say, by question
   * @return the questions that were asked, each with its answer
   */
  static List<String> of(Page page, String guide, Map<String, String> byHand) {
    List<String> asked = new ArrayList<>();
    page.locator("[data-guide=%s]".formatted(guide)).click();
    Locator ends = page.getByTestId("ends");
    Locator question = page.getByTestId("question");
    for (int i = 0; i < MOST_QUESTIONS; i++) {
      ends.or(question).first().waitFor();
      if (ends.count() > 0) {
        break;
      }
      String id = question.getAttribute("data-question");
      if (page.getByTestId("act").count() > 0) {
        page.getByTestId("act").click();
      }
      if (byHand.containsKey(id)) {
        asked.add(id + "=" + byHand.get(id));
        page.locator("[data-answer=%s]".formatted(byHand.get(id))).click();
      } else {
        Locator read = page.getByTestId("read");
        read.waitFor(new Locator.WaitForOptions().setTimeout(PATIENCE));
        asked.add(id + "=" + read.getAttribute("data-read"));
        read.click();
      }
      page.waitForFunction(
          "before => document.querySelector('[data-test=question]')?.dataset.question !== before",
          id);
    }
    return asked;
  }
}
