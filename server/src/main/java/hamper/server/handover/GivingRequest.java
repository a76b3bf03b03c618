package hamper.server.handover;

import java.util.Optional;
import java.util.Set;

/**
 * What is to be given.
 *
 * @param controllers ids
 * @param faultsSeen ids of controllers whose faults somebody has looked at
 * @param replaced ids of controllers that are replaced by whatever unit answers
 * @param readBack whether they are only asked what they have
 * @param back whether they get what they were given before instead of what is planned
 * @param at where the only one answers instead of at its planned address: a spare that still has
 *     its maker's
 * @param by the name that the window said; empty where it said none
 */
public record GivingRequest(
    Set<String> controllers,
    Set<String> faultsSeen,
    Set<String> replaced,
    boolean readBack,
    boolean back,
    Optional<String> at,
    String by) {
  public GivingRequest {
    controllers = Set.copyOf(controllers);
    faultsSeen = Set.copyOf(faultsSeen);
    replaced = Set.copyOf(replaced);
  }
}
