package hamper.samples;

import hamper.display.Hold;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Section;
import hamper.edit.CutString;
import hamper.edit.Edit;
import hamper.edit.JoinSections;
import hamper.edit.MoveBoundary;
import hamper.edit.SetSections;
import hamper.edit.SplitSection;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** What random planners do to sections of strings. */
final class RandomStringEdits {
  private final Choice choice;

  RandomStringEdits(Choice choice) {
    this.choice = choice;
  }

  List<Function<Plan, Edit>> kinds() {
    return List.of(
        this::section,
        this::section,
        this::brightness,
        this::hold,
        this::split,
        this::cut,
        this::join,
        this::boundary);
  }

  /** One setting of a section at a time, as people do it. */
  Edit section(Plan plan) {
    PixelString string = choice.string(plan);
    int index = choice.random().nextInt(string.sections().size());
    Section old = string.sections().get(index);
    int what = choice.random().nextInt(4);
    Section changed =
        new Section(
            what == 0 ? 1 + choice.random().nextInt(120) : old.pixels(),
            what == 1 ? choice.random().nextInt(3) : old.nullPixels(),
            what == 2 ? 1 + choice.random().nextInt(3) : old.group(),
            old.fold(),
            (what == 3) != old.backward(),
            old.colourOrder(),
            old.brightness(),
            old.hold());
    return SetSections.between(new SetSections.At(string.id(), index), old, changed);
  }

  private Edit brightness(Plan plan) {
    PixelString string = choice.string(plan);
    int index = choice.random().nextInt(string.sections().size());
    Section section = string.sections().get(index);
    return SetSections.brightness(
        new SetSections.At(string.id(), index), section, choice.random().nextInt(101));
  }

  private Edit hold(Plan plan) {
    PixelString string = choice.string(plan);
    int index = choice.random().nextInt(string.sections().size());
    Hold hold = new Hold(Optional.empty(), 1 + choice.random().nextInt(3000));
    Section section = string.sections().get(index);
    return SetSections.between(
        new SetSections.At(string.id(), index), section, section.withHold(Optional.of(hold)));
  }

  private Edit split(Plan plan) {
    PixelString string = choice.string(plan);
    int index = choice.random().nextInt(string.sections().size());
    return new SplitSection(
        string.id(), index, 1 + choice.random().nextInt(string.sections().get(index).pixels()));
  }

  private Edit cut(Plan plan) {
    PixelString string = choice.string(plan);
    return new CutString(string.id(), 1 + choice.random().nextInt(string.pixels()), choice.id());
  }

  private Edit join(Plan plan) {
    PixelString string = ofSections(plan);
    return new JoinSections(string.id(), choice.random().nextInt(string.sections().size() - 1));
  }

  private Edit boundary(Plan plan) {
    PixelString string = ofSections(plan);
    return new MoveBoundary(
        string.id(),
        choice.random().nextInt(string.sections().size() - 1),
        choice.random().nextInt(80) - 40);
  }

  /** A string of several sections. */
  private PixelString ofSections(Plan plan) {
    return choice.one(
        plan.display().props().stream()
            .flatMap(prop -> prop.pieces().stream())
            .filter(PixelString.class::isInstance)
            .map(PixelString.class::cast)
            .filter(string -> string.sections().size() > 1)
            .toList());
  }
}
