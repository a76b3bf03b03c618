package hamper.config;

import hamper.display.PortRef;
import java.util.Optional;

/**
 * Something that the plan asks for and the device's dialect cannot say: a finding, never silently
 * approximated.
 *
 * @param controller its id
 * @param port where it is of one port
 * @param piece whose it is, where it is of one piece
 * @param what the matter, such as "a gap before it"
 */
public record Untold(
    String controller, Optional<PortRef> port, Optional<String> piece, String what) {}
