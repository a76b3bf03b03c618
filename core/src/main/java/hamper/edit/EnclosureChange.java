package hamper.edit;

import hamper.display.Enclosure;
import java.util.List;

/** What changes of an enclosure. What is in it says so itself. */
public record EnclosureChange(
    Change<String> name, Change<String> zone, Change<String> mains, Change<List<Integer>> switches)
    implements ChangeOf<Enclosure> {}
