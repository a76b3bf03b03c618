package hamper.files;

import java.text.Normalizer;
import java.util.Locale;
import java.util.regex.Pattern;

/** A name as an id: plain letters, digits and dashes. */
final class Slug {
  private static final Pattern MARKS = Pattern.compile("\\p{M}");
  private static final Pattern OTHERS = Pattern.compile("[^a-z0-9]+");
  private static final int LONGEST = 40;

  private Slug() {}

  static String of(String name) {
    String plain =
        MARKS
            .matcher(Normalizer.normalize(name, Normalizer.Form.NFD).toLowerCase(Locale.ROOT))
            .replaceAll("");
    String dashed = OTHERS.matcher(plain).replaceAll("-");
    int from = dashed.startsWith("-") ? 1 : 0;
    int to = dashed.length() - (dashed.endsWith("-") ? 1 : 0);
    String slug = from >= to ? "" : dashed.substring(from, to);
    String cut = slug.length() > LONGEST ? slug.substring(0, LONGEST) : slug;
    return cut.isEmpty() ? "prop" : cut;
  }
}
