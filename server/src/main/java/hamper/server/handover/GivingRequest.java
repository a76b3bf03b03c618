package hamper.server.handover;

import java.util.Set;

/**
 * What is to be given.
 *
 * @param controllers ids
 * @param faultsSeen ids of controllers whose faults somebody has looked at
 * @param replaced ids of controllers that are replaced by whatever unit answers
 * @param readBack whether they are only asked what they have
 * @param back whether they get what they were given before instead of what is planned
 * @param by the name that the window said; empty where it said none
 */
public record GivingRequest(
    Set<String> controllers,
    Set<String> faultsSeen,
    Set<String> replaced,
    boolean readBack,
    boolean back,
    String by) {
  public GivingRequest {
    controllers = Set.copyOf(controllers);
    faultsSeen = Set.copyOf(faultsSeen);
    replaced = Set.copyOf(replaced);
  }
}
