package hamper.files;

import hamper.value.Require;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/** "Bollard 1…12" stands for twelve names; dots serve as well as the sign. */
public final class NumberedNames {
  /** Most names that one stands for. */
  public static final int MOST = 1000;

  private static final Pattern RANGE =
      Pattern.compile("(.*?)(\\d{1,6})\\s*(?:…|\\.{2,3})\\s*(\\d{1,6})(.*)");

  private NumberedNames() {}

  /**
   * How many names it stands for, without making them.
   *
   * @throws hamper.value.RefusedException where the range runs backward or is too long
   */
  static int count(String name) {
    Matcher range = RANGE.matcher(name);
    return range.matches() ? last(range) - first(range) + 1 : 1;
  }

  /**
   * @return the name alone where it holds no range
   * @throws hamper.value.RefusedException where the range runs backward or is too long
   */
  public static List<String> of(String name) {
    Matcher range = RANGE.matcher(name);
    if (!range.matches()) {
      return List.of(name);
    }
    int first = first(range);
    int last = last(range);
    int digits = range.group(2).startsWith("0") ? range.group(2).length() : 1;
    return IntStream.rangeClosed(first, last)
        .mapToObj(i -> range.group(1) + ("%0" + digits + "d").formatted(i) + range.group(4))
        .toList();
  }

  private static int first(Matcher range) {
    return Integer.parseInt(range.group(2));
  }

  private static int last(Matcher range) {
    int first = first(range);
    return Require.inRange("prop", Integer.parseInt(range.group(3)), first, first + MOST - 1);
  }
}
