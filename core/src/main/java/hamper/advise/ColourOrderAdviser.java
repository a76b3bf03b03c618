package hamper.advise;

import hamper.address.ColourOrder;
import hamper.check.Finding;
import hamper.check.Subject;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.PixelString;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.edit.Together;
import hamper.facts.Facts;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Says the colour order of every section of a controller that says none: that of its pixels. */
final class ColourOrderAdviser implements Adviser {
  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    Subject main = finding.subjects().get(0);
    List<Edit> edits =
        main.controller().map(facts.plan()::existingController).stream()
            .flatMap(controller -> facts.plan().runsOf(controller).stream())
            .filter(HungRun::carriesPixels)
            .flatMap(run -> run.legs().stream())
            .flatMap(leg -> EditsBetween.of(leg.at().string(), said(leg)).stream())
            .limit(Together.MOST)
            .toList();
    return edits.isEmpty()
        ? Stream.empty()
        : Stream.of(EditsBetween.together("Say the colour orders", edits));
  }

  private static PixelString said(HungLeg leg) {
    Optional<ColourOrder> order = Optional.of(leg.at().pixels().colourOrder());
    return leg.at()
        .string()
        .withSections(
            leg.at().string().sections().stream()
                .map(s -> s.colourOrder().isPresent() ? s : s.withColourOrder(order))
                .toList());
  }
}
