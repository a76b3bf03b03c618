package hamper.edit;

import hamper.display.Controller;

/** Adds a controller as it is at the end of the list: name, settings, inputs, runs and all. */
public record PutController(Controller controller) implements AddsOne<Controller> {}
