package hamper.check;

import hamper.display.Accepted;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Which findings somebody accepted. */
final class Acceptances {
  private final Map<String, Accepted> byIdentity = new HashMap<>();

  /** Those of files that knew no identity yet: word for word. */
  private final Map<String, Accepted> byWords = new HashMap<>();

  Acceptances(List<Accepted> accepted) {
    for (Accepted one : accepted) {
      one.identity()
          .ifPresentOrElse(
              identity -> byIdentity.put(identity, one),
              () -> byWords.put(words(one.code(), one.message()), one));
    }
  }

  /** Empty for a fault, which nobody can accept: it will not work. */
  Optional<Accepted> of(Finding finding) {
    if (finding.severity() == Severity.FAULT) {
      return Optional.empty();
    }
    return Optional.ofNullable(byIdentity.get(finding.identity()))
        .or(() -> Optional.ofNullable(byWords.get(words(finding.code(), finding.message()))));
  }

  private static String words(String code, String message) {
    return code + " " + message;
  }
}
