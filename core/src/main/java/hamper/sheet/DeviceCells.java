package hamper.sheet;

import hamper.address.Packing;
import hamper.config.Configuration;
import hamper.config.Input;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a device is told of itself and of its inputs. */
final class DeviceCells {
  private DeviceCells() {}

  static SheetRow row(Configuration told) {
    List<SheetCell> cells = new ArrayList<>();
    cells.add(SheetCell.words("model", "model", told.model()));
    told.mode().ifPresent(mode -> cells.add(SheetCell.words("mode", "mode", mode)));
    cells.add(SheetCell.words("protocol", "protocol", told.protocol().title()));
    cells.add(SheetCell.words("transport", "transport", told.transport().title()));
    told.address()
        .ifPresent(at -> cells.add(SheetCell.words(SheetCell.ADDRESS, "address", at.text())));
    told.packing()
        .ifPresent(
            packing ->
                cells.add(
                    SheetCell.words(
                        "packing", "a pixel that meets the end of a universe", packing(packing))));
    if (told.ownStorage()) {
      cells.add(SheetCell.words("ownStorage", "plays", "a show of its own storage"));
    }
    return new SheetRow("Device", "", Optional.empty(), cells);
  }

  private static String packing(Packing packing) {
    return packing == Packing.CONTIGUOUS ? "goes on in the next" : "begins in the next";
  }

  /**
   * @param number from 1
   */
  static SheetRow input(Input input, int number) {
    String at = "input %d/".formatted(number);
    List<SheetCell> cells = new ArrayList<>();
    input
        .universe()
        .ifPresent(
            first ->
                cells.add(
                    new SheetCell(
                        at + "universe",
                        input.count() == 1 ? "universe" : "first universe",
                        first.toString(),
                        "",
                        Optional.of(new SheetCell.Standing(first, "universes", 0)))));
    if (input.universe().isPresent()) {
      cells.add(SheetCell.number(at + "count", "universes", input.count(), "universes"));
      cells.add(SheetCell.number(at + "size", "channels each", input.size(), "channels each"));
    } else {
      cells.add(SheetCell.number(at + "size", "bytes", input.size(), "bytes"));
    }
    input
        .start()
        .ifPresent(
            start ->
                cells.add(
                    new SheetCell(
                        at + "start",
                        "from channel",
                        start.toString(),
                        "",
                        Optional.of(new SheetCell.Standing(start, "channels", 0)))));
    input
        .dmxPort()
        .ifPresent(line -> cells.add(SheetCell.number(at + "dmxPort", "to DMX line", line, "")));
    return new SheetRow("Input " + number, "", Optional.empty(), cells);
  }
}
