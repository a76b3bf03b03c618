package hamper.display;

import hamper.address.Protocol;
import hamper.value.Require;
import java.util.Optional;

/**
 * How a controller gets its levels.
 *
 * @param fromStorage whether it plays its own storage and is only started by its source
 * @param backup a second source of lower priority, on E1.31
 * @param fullUniverses whether the source sends 512 slots whatever is used
 * @param synchronization the universe of E1.31 synchronization packets, or any number for ArtSync
 * @param hostName by which it is found where its address may change; may be empty
 */
public record Sending(
    boolean fromStorage,
    Optional<String> backup,
    boolean fullUniverses,
    Optional<Integer> synchronization,
    String hostName) {
  /** E1.31 priority of the first source. */
  public static final int PRIORITY = 100;

  /** E1.31 priority of a backup: heard only when the first is gone. */
  public static final int BACKUP_PRIORITY = 50;

  public Sending {
    backup.ifPresent(id -> Require.id("backup", id));
    Require.inRange("synchronization", synchronization, 1, Protocol.HIGHEST_UNIVERSE);
    Require.text("hostName", hostName, 80);
  }

  /** Live, from one source, only what is used. */
  public static Sending live() {
    return new Sending(false, Optional.empty(), false, Optional.empty(), "");
  }
}
