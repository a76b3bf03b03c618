package hamper.display;

import hamper.value.Require;

/**
 * Which supply feeds a power input of a controller.
 *
 * @param input its number on the device, from 1
 * @param supply the id of the supply
 */
public record PoweredInput(int input, String supply) {
  public PoweredInput {
    Require.inRange("input", input, 1, 64);
    Require.id("supply", supply);
  }
}
