package hamper.edit;

import hamper.display.Prop;

/** What changes of a prop; its pieces have changes of their own. */
public record PropChange(
    Change<String> name, Change<String> zone, Change<Integer> brightness, Change<Integer> rank)
    implements ChangeOf<Prop> {}
