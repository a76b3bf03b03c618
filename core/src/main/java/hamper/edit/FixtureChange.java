package hamper.edit;

import hamper.display.Fixture;
import java.util.List;

/** What changes of a fixture. */
public record FixtureChange(
    Change<String> name,
    Change<Integer> slot,
    Change<Integer> channels,
    Change<List<Fixture.Pair>> pairs)
    implements PieceChange {}
