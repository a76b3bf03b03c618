package hamper.change;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A section whose address is another than it was. */
public record MovedAddress(AddressAt was, AddressAt is) {
  /**
   * Those that are in both lists and do not stand where they stood, in the order of the later one.
   */
  public static List<MovedAddress> between(List<AddressAt> before, List<AddressAt> after) {
    Map<String, AddressAt> was = new HashMap<>();
    before.forEach(at -> was.put(at.key(), at));
    List<MovedAddress> moved = new ArrayList<>();
    for (AddressAt is : after) {
      AddressAt then = was.get(is.key());
      if (then != null && !then.standsWith(is)) {
        moved.add(new MovedAddress(then, is));
      }
    }
    return List.copyOf(moved);
  }

  /** Whether its first address is another, and not only its length. */
  public boolean startMoved() {
    return !was.start().equals(is.start()) || was.own() != is.own();
  }

  /** By prop, in the order in which they are met. */
  public static Map<String, List<MovedAddress>> byProp(List<MovedAddress> moved) {
    Map<String, List<MovedAddress>> byProp = new LinkedHashMap<>();
    for (MovedAddress one : moved) {
      byProp.computeIfAbsent(one.is().prop(), prop -> new ArrayList<>()).add(one);
    }
    return byProp;
  }

  /** A line to paste into a message: "Bow rail: 1:1 → 1:16 (K1-1)". */
  public String told() {
    String which =
        is.section() == 1 ? is.title() : "%s, section %d".formatted(is.title(), is.section());
    String longer =
        was.channels() == is.channels()
            ? ""
            : ", %d → %d channels".formatted(was.channels(), is.channels());
    return "%s: %s %s → %s %s%s"
        .formatted(which, was.written(), was.text(), is.written(), is.text(), longer);
  }
}
