package hamper.arrange;

import hamper.display.Piece;
import hamper.display.Prop;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Props that belong together by their names and are alike: left and right, and in one zone 1 to 12.
 * They are wished on matching ports: rising on one controller, the same port on two.
 */
final class Twins {
  private static final List<List<String>> SIDES =
      List.of(
          List.of("left", "west", "north", "upper", "top", "front", "inner", "upstream"),
          List.of("middle", "mid", "centre", "center"),
          List.of("right", "east", "south", "lower", "bottom", "back", "outer", "downstream"));

  /** A name without its side or number, of a prop of so many pieces that hang on such ports. */
  private record Series(String stem, List<?> kinds, Optional<String> zone) {}

  private record Member(String prop, int rank) {}

  private final Map<String, String> before = new HashMap<>();
  private final Map<String, String> after = new HashMap<>();

  Twins(List<Prop> props) {
    Map<Series, List<Member>> all = new LinkedHashMap<>();
    for (Prop prop : props) {
      List<String> rest = new ArrayList<>();
      boolean numbered = false;
      Optional<Integer> rank = Optional.empty();
      for (String word : prop.name().toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+")) {
        Optional<Integer> found = rankOf(word);
        if (found.isPresent() && rank.isEmpty()) {
          rank = found;
          numbered = Character.isDigit(word.charAt(0));
        } else {
          rest.add(word);
        }
      }
      if (rank.isPresent() && !rest.isEmpty()) {
        Series series =
            new Series(
                String.join(" ", rest),
                prop.pieces().stream().map(Piece::portKind).toList(),
                numbered ? prop.zone() : Optional.empty());
        all.computeIfAbsent(series, key -> new ArrayList<>())
            .add(new Member(prop.id(), rank.get()));
      }
    }
    all.values().forEach(this::join);
  }

  private static Optional<Integer> rankOf(String word) {
    for (int rank = 0; rank < SIDES.size(); rank++) {
      if (SIDES.get(rank).contains(word)) {
        return Optional.of(rank);
      }
    }
    return word.matches("[0-9]{1,6}") ? Optional.of(Integer.valueOf(word)) : Optional.empty();
  }

  private void join(List<Member> members) {
    members.sort(Comparator.comparingInt(Member::rank));
    for (int i = 1; i < members.size(); i++) {
      before.put(members.get(i).prop(), members.get(i - 1).prop());
      after.put(members.get(i - 1).prop(), members.get(i).prop());
    }
  }

  /** The one before a prop in its series, by its id. */
  Optional<String> before(String prop) {
    return Optional.ofNullable(before.get(prop));
  }

  /** The one after it. */
  Optional<String> after(String prop) {
    return Optional.ofNullable(after.get(prop));
  }
}
