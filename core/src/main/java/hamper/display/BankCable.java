package hamper.display;

import hamper.value.Require;

/**
 * One cable of a bank: from the controller to its first remote box, or from a box to the next.
 *
 * @param bank from 1
 * @param box the box at its far end, from 1
 * @param metres (m)
 */
public record BankCable(int bank, int box, double metres) {
  public BankCable {
    Require.inRange("bank", bank, 1, 256);
    Require.inRange("box", box, 1, 26);
    Require.inRange("metres", metres, 0, 1000);
  }
}
