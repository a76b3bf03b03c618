package hamper.edit;

import hamper.display.Run;

/** What changes of a port, whatever hangs on it. */
public record RunChange(Change<Integer> universe, Change<Integer> brightness)
    implements ChangeOf<Run> {}
