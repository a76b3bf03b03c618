package hamper.config;

import hamper.display.PortRef;
import java.util.Optional;

/**
 * Something that the plan asks for and the device's dialect cannot say: a finding, never silently
 * approximated.
 *
 * @param what the matter, such as "a gap before it"
 * @param piece whose it is, where it is of one piece
 */
public record Untold(PortRef port, Optional<String> piece, String what) {}
