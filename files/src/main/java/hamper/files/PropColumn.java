package hamper.files;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The columns of a table of props. Format: docs/formats/props.md. */
enum PropColumn {
  PROP("prop", "name"),
  WHAT("what", "pixels"),
  ZONE("zone"),
  TYPE("type", "pixel type"),
  PIECE("piece", "string"),
  DATA_IN("data in"),
  CONNECTOR("connector", "plug"),
  LEAD("lead", "lead m", "lead (m)"),
  GROUP("group"),
  FOLD("fold"),
  DIRECTION("direction"),
  NULLS("null pixels", "nulls"),
  ORDER("colour order", "order"),
  BRIGHTNESS("brightness", "brightness %");

  /** What rows without a header hold, one after another. */
  static final List<PropColumn> USUAL = List.of(PROP, WHAT, ZONE, TYPE, DATA_IN, CONNECTOR, LEAD);

  private final List<String> names;

  PropColumn(String... names) {
    this.names = List.of(names);
  }

  /** As a header has it. */
  String title() {
    return names.get(0);
  }

  static Optional<PropColumn> of(String header) {
    String wanted = header.toLowerCase(Locale.ROOT);
    return Arrays.stream(values()).filter(column -> column.names.contains(wanted)).findFirst();
  }

  static String titles() {
    return String.join(", ", Arrays.stream(values()).map(PropColumn::title).toList());
  }
}
