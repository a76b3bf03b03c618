package hamper.guide;

import hamper.address.ColourOrder;
import java.util.ArrayList;
import java.util.List;

/** Colour orders beside each other. */
final class Orders {
  /** From so many channels on only what two letters swapped make is told apart. */
  private static final int MANY = 5;

  private Orders() {}

  /** All other orders of as many channels; of many channels those with two letters swapped. */
  static List<ColourOrder> others(ColourOrder planned) {
    List<String> found = new ArrayList<>();
    if (planned.channels() < MANY) {
      permute("", planned.letters(), found);
    } else {
      swap(planned.letters(), found);
    }
    return found.stream()
        .filter(letters -> !letters.equals(planned.letters()))
        .map(ColourOrder::new)
        .toList();
  }

  private static void permute(String begun, String left, List<String> found) {
    if (left.isEmpty()) {
      found.add(begun);
    }
    for (int i = 0; i < left.length(); i++) {
      permute(begun + left.charAt(i), left.substring(0, i) + left.substring(i + 1), found);
    }
  }

  private static void swap(String letters, List<String> found) {
    for (int i = 0; i < letters.length(); i++) {
      for (int j = i + 1; j < letters.length(); j++) {
        StringBuilder swapped = new StringBuilder(letters);
        swapped.setCharAt(i, letters.charAt(j));
        swapped.setCharAt(j, letters.charAt(i));
        found.add(swapped.toString());
      }
    }
  }

  /**
   * The order that pixels take their bytes in, where a device that sends as planned makes them look
   * as if it had been told another.
   */
  static ColourOrder taken(ColourOrder planned, ColourOrder told) {
    StringBuilder taken = new StringBuilder();
    for (int b = 0; b < planned.channels(); b++) {
      int from = told.letters().indexOf(planned.letters().charAt(b));
      taken.append(planned.letters().charAt(from));
    }
    return new ColourOrder(taken.toString());
  }
}
