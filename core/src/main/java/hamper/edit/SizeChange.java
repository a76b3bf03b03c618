package hamper.edit;

import hamper.display.Wall;

/** What changes of a wall's size. */
public record SizeChange(Change<Double> widthMillimetres, Change<Double> heightMillimetres)
    implements ChangeOf<Wall.Size> {}
