package hamper.decoder;

import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Meant;
import hamper.send.MeantPort;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** What every byte of a port is planned to show, in the words of {@link hamper.standin.Played}. */
final class PlannedBytes {
  private final Facts facts;
  private final Map<String, FrameLayout> layouts;

  PlannedBytes(Facts facts) {
    this.facts = facts;
    layouts = FrameLayouts.of(facts);
  }

  List<String> of(Controller controller, RunFacts run) {
    FrameLayout layout = layouts.get(controller.id());
    MeantPort meant = Meant.of(facts.plan(), controller, run, layout);
    int step = run.port().kind() == PortKind.PANEL ? meant.width() : 1;
    List<String> texts = new ArrayList<>();
    for (int i = 0; i < meant.places().length; i += step) {
      List<String> parts = new ArrayList<>();
      for (int b = i; b < i + step; b++) {
        parts.add(told(layout, meant.places()[b]));
      }
      texts.add(String.join(" ", parts));
    }
    return texts;
  }

  private static String told(FrameLayout layout, int place) {
    if (place == MeantPort.DARK) {
      return "-";
    }
    return place == FrameLayout.NOT_SENT ? "not sent" : layout.told(place);
  }
}
