package hamper.display;

import hamper.value.Require;
import java.util.Optional;

/**
 * Which supply feeds a power input of a controller, or of one of its remote boxes.
 *
 * @param bank for a remote box, the bank of its chain, from 1
 * @param input its number on the device, from 1; for a remote box, its place in the chain
 * @param supply the id of the supply
 */
public record PoweredInput(Optional<Integer> bank, int input, String supply) {
  public PoweredInput {
    Require.inRange("bank", bank, 1, 256);
    Require.inRange("input", input, 1, 64);
    Require.id("supply", supply);
  }

  /** An input of the controller itself. */
  public PoweredInput(int input, String supply) {
    this(Optional.empty(), input, supply);
  }

  /** What it feeds, whatever supply that is. */
  public Socket socket() {
    return new Socket(bank, input);
  }

  /**
   * A power input.
   *
   * @param bank for a remote box, the bank of its chain
   * @param input its number; for a remote box, its place in the chain
   */
  public record Socket(Optional<Integer> bank, int input) {
    /** As people say it: power input 2, or box 1 of bank 3. */
    public String title() {
      return bank.map(one -> "box %d of bank %d".formatted(input, one))
          .orElse("power input " + input);
    }
  }
}
