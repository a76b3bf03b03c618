package hamper.server.proof;

import java.util.List;

/**
 * What a proof found. A plan that passes is a checked plan; that a string is seen right is said by
 * a person who stands at it.
 *
 * @param controllers with what each showed
 * @param packets that were sent
 * @param lost datagrams that did not arrive, and were sent again
 * @param wrong bytes that showed something else than was meant; counted apart from what was lost
 * @param examples of wrong pixels, at most {@link #MOST_EXAMPLES}
 * @param leftOut what gets no packet, and why
 * @param millis that it took
 */
public record ProofReport(
    List<ControllerProof> controllers,
    long packets,
    long lost,
    long pixels,
    long wrong,
    List<WrongPixel> examples,
    List<LeftOut> leftOut,
    long millis) {
  public static final int MOST_EXAMPLES = 500;

  public ProofReport {
    controllers = List.copyOf(controllers);
    examples = List.copyOf(examples);
    leftOut = List.copyOf(leftOut);
  }

  /** Whether every pixel showed what was meant. */
  public boolean passed() {
    return wrong == 0 && controllers.stream().allMatch(one -> one.refused().isEmpty());
  }

  /**
   * @param standIn where its stand-in is: its loopback address, and ports where they are not the
   *     usual
   * @param pixels pixels, circuits and slots compared
   * @param refused why its configuration was not taken, or could not be read back; empty else
   */
  public record ControllerProof(
      String controller,
      String tag,
      String model,
      String standIn,
      long pixels,
      long packets,
      long wrong,
      String refused) {}

  /**
   * @param written its port as the crew reads it
   * @param position from 1, null pixels counted; of a wall row by row from the top left
   * @param meant levels as they should shine, byte by byte as clocked
   */
  public record WrongPixel(
      String controller, String written, int position, List<Integer> meant, List<Integer> shown) {}

  /** A controller or port that gets no packet. */
  public record LeftOut(String what, String why) {}
}
