package hamper.edit;

import hamper.display.Sending;

/** What changes of how a controller gets its levels. */
public record SendingChange(
    Change<Boolean> fromStorage,
    Change<String> backup,
    Change<Boolean> fullUniverses,
    Change<Integer> synchronization,
    Change<String> hostName)
    implements ChangeOf<Sending> {}
