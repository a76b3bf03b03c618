package hamper.server.output;

import java.nio.file.Path;
import java.util.Optional;

/**
 * Where light is sent, as it was said at the start.
 *
 * @param live to the devices themselves; else to stand-ins
 * @param adapter the name of the only adapter that is used live; empty: whichever fits
 * @param groupTtl how many routers what goes to a group may pass, and one
 * @param folder where stand-ins leave word of themselves
 */
public record OutputSetting(boolean live, Optional<String> adapter, int groupTtl, Path folder) {
  /** To stand-ins. */
  public static OutputSetting standIns(Path folder) {
    return new OutputSetting(false, Optional.empty(), 1, folder);
  }
}
