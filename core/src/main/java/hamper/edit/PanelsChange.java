package hamper.edit;

import hamper.display.Panels;
import java.util.List;
import java.util.Optional;

/** What changes of a wall's panels. */
public record PanelsChange(
    Change<Integer> panelWidth,
    Change<Integer> panelHeight,
    Change<Integer> columns,
    Change<Integer> rows,
    Optional<GridOrderChange> order,
    Change<List<Panels.Card>> cards)
    implements ChangeOf<Panels> {}
