package hamper.edit;

import hamper.display.Wall;

/** What changes of a wall's size in pixels. */
public record ResolutionChange(Change<Integer> width, Change<Integer> height)
    implements ChangeOf<Wall.Resolution> {}
