package hamper.edit;

import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.LongStream;

/** What more of a thing are called. */
final class NextNames {
  private static final Pattern NUMBERED = Pattern.compile("(.*?)(\\d{1,9})(\\D*)");

  private NextNames() {}

  /**
   * "Bollard 1" goes on as "Bollard 2"; a name without a number gets one; taken ones are left out.
   */
  static List<String> after(String name, Set<String> taken, int count) {
    Matcher parts = NUMBERED.matcher(name);
    boolean numbered = parts.matches();
    String stem = numbered ? parts.group(1) : name + " ";
    String end = numbered ? parts.group(3) : "";
    return LongStream.iterate(numbered ? Long.parseLong(parts.group(2)) + 1 : 2, n -> n + 1)
        .mapToObj(number -> stem + number + end)
        .filter(next -> !taken.contains(next))
        .limit(count)
        .toList();
  }
}
