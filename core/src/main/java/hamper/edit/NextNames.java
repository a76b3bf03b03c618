package hamper.edit;

import hamper.value.Require;
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
   * Of a name that has no room for a number the end is left out.
   */
  static List<String> after(String name, Set<String> taken, int count) {
    Matcher parts = NUMBERED.matcher(name);
    boolean numbered = parts.matches();
    String stem = numbered ? parts.group(1) : name + " ";
    String end = numbered ? parts.group(3) : "";
    return LongStream.iterate(numbered ? Long.parseLong(parts.group(2)) + 1 : 2, n -> n + 1)
        .mapToObj(number -> fitting(stem, number + end))
        .filter(next -> !taken.contains(next))
        .limit(count)
        .toList();
  }

  private static String fitting(String stem, String end) {
    int room = Math.max(0, Math.min(stem.length(), Require.LONGEST_NAME - end.length()));
    boolean torn = room > 0 && Character.isHighSurrogate(stem.charAt(room - 1));
    return stem.substring(0, torn ? room - 1 : room) + end;
  }
}
