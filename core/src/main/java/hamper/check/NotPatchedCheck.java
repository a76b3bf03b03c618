package hamper.check;

import hamper.display.Piece;
import hamper.display.Prop;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** A piece that hangs on no port. One finding a prop, so that a big one does not drown the rest. */
final class NotPatchedCheck extends Check {
  NotPatchedCheck() {
    super(
        "not-patched",
        Area.COMPLETENESS,
        Severity.RISK,
        "Not patched",
        "Pieces of each prop with those that hang on a port; one finding a prop",
        "It stays dark: no plug is meant for it.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Prop prop : facts.plan().display().props()) {
      if (prop.pieces().size() == 1 && facts.plan().leg(prop.pieces().get(0).id()).isPresent()) {
        continue;
      }
      List<Piece> loose =
          prop.pieces().stream().filter(piece -> facts.plan().leg(piece.id()).isEmpty()).toList();
      if (!loose.isEmpty()) {
        out.accept(told(prop, loose));
      }
    }
  }

  private Finding told(Prop prop, List<Piece> loose) {
    int all = prop.pieces().size();
    String message =
        loose.size() == all
            ? "%s hangs on no port".formatted(prop.name())
            : "%d of %d pieces of %s hang on no port: %s"
                .formatted(
                    loose.size(),
                    all,
                    prop.name(),
                    String.join(", ", loose.stream().map(Piece::name).toList()));
    return finding(
        message,
        Measure.count(loose.size(), "not patched"),
        Measure.count(0, "not patched"),
        loose.stream().map(piece -> Subject.piece(piece.id())).toList());
  }
}
