package hamper.why;

import hamper.facts.Facts;
import hamper.value.RefusedException;
import java.util.List;

/** Answers why a number is what it is: the sum, asked for when somebody wants to know. */
public final class Answers {
  private Answers() {}

  /**
   * @return the number in every way that it is counted, each with its sum; empty where there is no
   *     such number, because nothing hangs there or it could not be laid
   * @throws RefusedException where the display has no such thing
   */
  public static List<Why> of(Facts facts, Question question) {
    return switch (question.kind()) {
      case START -> new StartWhy(facts).of(piece(facts, question), question.section().orElse(1));
      case CABLE -> CableWhy.of(facts, piece(facts, question));
      case FIRST_UNIVERSE -> BlockWhy.of(facts, controller(facts, question)).firstUniverse();
      case UNIVERSES -> BlockWhy.of(facts, controller(facts, question)).universes();
      case DISPLAY_START -> BlockWhy.of(facts, controller(facts, question)).displayStart();
      case TRAFFIC -> TrafficWhy.of(facts, controller(facts, question));
      case PORT_TRAFFIC -> TrafficWhy.of(facts, question);
      case PIXELS -> PortWhy.of(facts, question).map(PortWhy::pixels).orElse(List.of());
      case PIXEL_LIMIT -> PortWhy.of(facts, question).map(PortWhy::limit).orElse(List.of());
      case FRAME_TIME -> PortWhy.of(facts, question).map(PortWhy::frameTime).orElse(List.of());
      case AMPS -> PortWhy.of(facts, question).map(one -> one.amps(false)).orElse(List.of());
      case FULL_AMPS -> PortWhy.of(facts, question).map(one -> one.amps(true)).orElse(List.of());
      case VOLTS -> VoltsWhy.of(facts, question);
      case SUPPLY_AMPS -> SiteWhy.supply(facts, question.part().orElseThrow());
      case MAINS_WATTS -> SiteWhy.mains(facts, question.part().orElseThrow());
    };
  }

  private static String piece(Facts facts, Question question) {
    String id = question.piece().orElseThrow();
    if (facts.plan().piece(id).isEmpty()) {
      throw new RefusedException("piece", id, "the display has no piece of this id");
    }
    return id;
  }

  private static int controller(Facts facts, Question question) {
    String id = question.controller().orElseThrow();
    if (facts.plan().controller(id).isEmpty()) {
      throw new RefusedException("controller", id, "the display has no controller of this id");
    }
    return facts.plan().indexOf(id);
  }
}
