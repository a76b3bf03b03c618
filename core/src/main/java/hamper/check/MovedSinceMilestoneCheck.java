package hamper.check;

import hamper.change.AddressAt;
import hamper.change.MovedAddress;
import hamper.facts.Facts;
import hamper.handover.Season;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/** Props that moved since the latest milestone. */
final class MovedSinceMilestoneCheck extends HandoverCheck {
  MovedSinceMilestoneCheck() {
    super(
        "moved-since-milestone",
        Severity.HINT,
        "Props moved since the last milestone",
        "Each start address with the one at the latest milestone; one finding a display",
        "Whoever works from that milestone sends to addresses of other props.");
  }

  @Override
  void run(Facts facts, Season season, Consumer<Finding> out) {
    season.milestone().flatMap(frozen -> found(facts, frozen)).ifPresent(out);
  }

  private Optional<Finding> found(Facts facts, Season.Frozen frozen) {
    List<MovedAddress> moved =
        MovedAddress.between(
            AddressAt.of(frozen.side().plan(), frozen.side().resolution()),
            AddressAt.of(facts.plan(), facts.resolution()));
    Map<String, String> props = new LinkedHashMap<>();
    moved.stream()
        .filter(MovedAddress::startMoved)
        .forEach(one -> props.putIfAbsent(one.is().prop(), one.is().name()));
    if (props.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        finding(
            "%d %s moved since \"%s\": %s"
                .formatted(
                    props.size(),
                    props.size() == 1 ? "prop has" : "props have",
                    frozen.name(),
                    named(List.copyOf(props.values()))),
            Measure.count(props.size(), "props moved"),
            Measure.count(0, "props moved"),
            subjects(facts.plan(), Optional.empty(), moved)));
  }
}
