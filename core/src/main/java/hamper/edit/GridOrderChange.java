package hamper.edit;

import hamper.display.GridOrder;

/** What changes of the order in which a grid is run through. */
public record GridOrderChange(
    Change<GridOrder.Corner> start, Change<GridOrder.Lines> lines, Change<Boolean> serpentine)
    implements ChangeOf<GridOrder> {}
