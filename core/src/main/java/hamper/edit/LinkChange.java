package hamper.edit;

import hamper.display.Link;

/** What changes of a link. */
public record LinkChange(
    Change<String> name,
    Change<String> from,
    Change<String> to,
    Change<Link.Kind> kind,
    Change<Double> metres)
    implements ChangeOf<Link> {}
