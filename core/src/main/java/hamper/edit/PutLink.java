package hamper.edit;

import hamper.display.Link;

/** Adds a link at the end. */
public record PutLink(Link link) implements AddsOne<Link> {}
