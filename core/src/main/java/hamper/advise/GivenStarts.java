package hamper.advise;

import hamper.change.AddressAt;
import hamper.change.MovedAddress;
import hamper.check.Finding;
import hamper.display.Controller;
import hamper.edit.Edit;
import hamper.edit.HoldPlaces;
import hamper.edit.HoldPlaces.ControllerPlace;
import hamper.edit.HoldPlaces.SectionPlace;
import hamper.facts.Facts;
import hamper.handover.Handed;
import hamper.handover.Season;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Starts that moved since they were given go back to where they were, and are held there. */
final class GivenStarts {
  static final String CODE = "starts-moved";

  private GivenStarts() {}

  static Stream<Edit> think(Facts facts, Season season, Finding finding) {
    Optional<String> controller = finding.subjects().get(0).controller();
    if (!finding.code().equals(CODE) || controller.isEmpty()) {
      return Stream.empty();
    }
    return season.of(controller.get()).stream()
        .map(handed -> back(facts, controller.get(), handed));
  }

  private static Edit back(Facts facts, String id, Handed handed) {
    Controller controller = facts.plan().existingController(id);
    int index = facts.plan().indexOf(id);
    List<SectionPlace> sections = new ArrayList<>();
    List<ControllerPlace> universes = new ArrayList<>();
    for (MovedAddress moved :
        MovedAddress.between(
            handed.addresses(), AddressAt.of(facts.plan(), facts.resolution(), index))) {
      AddressAt was = moved.was();
      if (was.own() != moved.is().own() && was.own() > 0) {
        sections.add(new SectionPlace(was.piece(), was.section() - 1, was.own()));
      }
      if (was.start().isPresent() && was.own() > 0 && universes.isEmpty()) {
        int before = (was.own() - 1) / controller.settings().universeSize();
        universes.add(new ControllerPlace(id, was.start().get().universe() - before));
      }
    }
    boolean same =
        universes.isEmpty()
            || facts
                .resolution()
                .blocks()
                .get(index)
                .firstUniverse()
                .filter(first -> first == universes.get(0).firstUniverse())
                .isPresent();
    return new HoldPlaces(sections, same ? List.of() : universes, List.of());
  }
}
