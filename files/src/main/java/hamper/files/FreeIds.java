package hamper.files;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/** Gives ids that nobody has: the wanted one, or that with the next number behind it. */
final class FreeIds {
  private final Set<String> taken;

  /** The last number given behind each wanted id, so that many equal ones take no longer. */
  private final Map<String, Integer> last = new HashMap<>();

  FreeIds(Collection<String> taken) {
    this.taken = new HashSet<>(taken);
  }

  String free(String wanted) {
    String id = wanted;
    while (!taken.add(id)) {
      id = wanted + "-" + last.merge(wanted, 2, (before, two) -> before + 1);
    }
    return id;
  }
}
