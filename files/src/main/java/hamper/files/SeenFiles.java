package hamper.files;

import hamper.value.Require;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** A table as somebody sees it on the screen, as a spreadsheet. */
public final class SeenFiles {
  private static final int MOST_CELLS = 2_000_000;

  private SeenFiles() {}

  public static byte[] csv(List<String> heads, List<List<String>> rows) {
    return Csv.write(heads, checked(heads, rows)).getBytes(StandardCharsets.UTF_8);
  }

  public static byte[] xlsx(List<String> heads, List<List<String>> rows) {
    return Xlsx.write("Seen", heads, checked(heads, rows));
  }

  private static List<List<?>> checked(List<String> heads, List<List<String>> rows) {
    Require.inRange("heads", heads.size(), 1, 100);
    Require.inRange("cells", heads.size() * rows.size(), 0, MOST_CELLS);
    return List.copyOf(rows);
  }
}
