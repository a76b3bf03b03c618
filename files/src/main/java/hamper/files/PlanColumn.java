package hamper.files;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** What a column of a planner's own spreadsheet may mean. Format: docs/formats/plan-sheet.md. */
public enum PlanColumn {
  PROP(
      "Prop", "prop", "prop name", "name", "element", "what hangs", "requisite", "figur", "objekt"),
  PIECE("Piece", "piece", "string", "part", "teil", "strang", "kette"),
  PIXELS("Pixels", "pixels", "pixel", "px", "nodes", "count", "pixelzahl", "anzahl", "what"),
  TYPE("Type", "type", "pixel type", "chip", "typ", "pixeltyp"),
  ZONE("Zone", "zone", "area", "where", "bereich", "ort"),
  CONTROLLER("Controller", "controller", "device", "tag", "gerät", "geraet", "steuergerät"),
  PORT("Port", "port", "output", "out", "ausgang", "anschluss"),
  POSITION("Position", "position", "place", "no on port", "order on port", "platz", "stelle"),
  NULL_PIXELS("Null pixels", "null pixels", "nulls", "nullpixel"),
  START(
      "Start", "start", "start address", "address", "startadresse", "adresse", "universe:channel"),
  UNIVERSE("Universe", "universe", "start universe", "uni", "universum", "startuniversum"),
  CHANNEL("Channel", "channel", "start channel", "ch", "kanal", "startkanal"),
  DISPLAY_START(
      "Display channel",
      "display channel",
      "display start",
      "absolute",
      "absolute channel",
      "absolut",
      "absoluter kanal"),
  ORDER("Colour order", "colour order", "color order", "order", "rgb order", "farbfolge"),
  BRIGHTNESS("Brightness", "brightness", "brightness %", "dim", "helligkeit");

  /** What stands in brackets behind a head, such as a unit. */
  private static final Pattern BRACKETS = Pattern.compile("\\s*[(\\[].*[)\\]]\\s*$");

  private final String title;
  private final List<String> heads;

  PlanColumn(String title, String... heads) {
    this.title = title;
    this.heads = List.of(heads);
  }

  /** As Hamper writes it in a head. */
  public String title() {
    return title;
  }

  /** What a head means by itself: case, underscores, dots and units in brackets do not matter. */
  static Optional<PlanColumn> of(String head) {
    String wanted =
        BRACKETS
            .matcher(head.toLowerCase(Locale.ROOT).strip())
            .replaceAll("")
            .replaceAll("[_.\\s]+", " ")
            .replaceAll("[#:]$", "")
            .strip();
    return Arrays.stream(values()).filter(column -> column.heads.contains(wanted)).findFirst();
  }
}
