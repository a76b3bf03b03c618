package hamper.check;

import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.handover.Handed;
import hamper.handover.Season;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A device of an older revision than the catalogue knows. */
final class OldRevisionCheck extends HandoverCheck {
  OldRevisionCheck() {
    super(
        "old-revision",
        Severity.RISK,
        "The device is of an older revision",
        "The revision that the device says it is with the one of the catalogue",
        "It may have fewer ports, or not know a setting; what it does then is anybody's guess.");
  }

  @Override
  Optional<Finding> found(Facts facts, Season season, int index, Handed handed) {
    Controller controller = facts.plan().display().controllers().get(index);
    String said = handed.last().revision();
    String planned = facts.plan().modelOf(controller).revision();
    if (said.isEmpty() || planned.isEmpty() || !isOlder(said, planned)) {
      return Optional.empty();
    }
    return Optional.of(
        finding(
            "%s says that it is revision %s; planned is %s"
                .formatted(controller.tag(), said, planned),
            Measure.named("revision " + said),
            Measure.words("revision " + planned),
            List.of(Subject.controller(controller.id()))));
  }

  /** By the numbers in both; one without numbers is no older than any. */
  static boolean isOlder(String said, String planned) {
    List<Integer> one = numbers(said);
    List<Integer> other = numbers(planned);
    for (int i = 0; i < Math.min(one.size(), other.size()); i++) {
      int order = one.get(i).compareTo(other.get(i));
      if (order != 0) {
        return order < 0;
      }
    }
    return !one.isEmpty() && one.size() < other.size();
  }

  private static List<Integer> numbers(String revision) {
    List<Integer> numbers = new ArrayList<>();
    for (String part : revision.split("\\D+")) {
      if (!part.isEmpty() && part.length() < 10) {
        numbers.add(Integer.valueOf(part));
      }
    }
    return numbers;
  }
}
