package hamper.files;

import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a prop is made of, in one short cell. Format: docs/formats/props.md.
 *
 * <pre>
 * 50               a string of 50 pixels
 * 85+60            a string of two sections
 * 14+12g2          two sections, the second in groups of two pixels
 * 4x200            four strings of 200
 * circuit          a circuit; 3x circuit: three
 * 12 slots at 45   a fixture of 12 channels with start slot 45
 * 30 rgbw at 101   a strip decoder of 30 pixels at slot 101
 * 16 dimmed unit 3 a serial dimmer of 16 circuits with unit number 3
 * wall 64x32       a wall of 64 by 32 pixels
 * tv 58x33cm/5mm   a screen of 58 by 33 cm, a pixel each 5 mm
 * </pre>
 *
 * @param count of equal pieces
 * @param sizes pixels of each section; channels; pixels; circuits; or width and height, of a screen
 *     in mm
 * @param groups of each section of a string
 * @param number start slot or unit number; 0 where there is none
 */
record WhatCell(Kind kind, int count, List<Integer> sizes, List<Integer> groups, double number) {
  /** Of something that has no groups. */
  WhatCell(Kind kind, int count, List<Integer> sizes, int number) {
    this(kind, count, sizes, List.of(), number);
  }

  enum Kind {
    STRING,
    CIRCUIT,
    FIXTURE,
    DECODER,
    DIMMER,
    WALL,
    SCREEN
  }

  private static final int MOST_PIECES = 100;
  private static final Pattern TIMES = Pattern.compile("(\\d{1,6})\\s*[x×]\\s*(\\S.*)");

  private enum Form {
    STRING(
        "(SECTION(?:\\s*\\+\\s*SECTION)*)\\s*(?:px|pixels?)?"
            .replace("SECTION", "\\d{1,6}(?:\\s*g\\s*\\d{1,6})?"),
        WhatCell::string),
    CIRCUIT(
        "(?:circuits?|relays?|motors?)",
        (count, m) -> new WhatCell(Kind.CIRCUIT, count, List.of(), 0)),
    FIXTURE(
        "(\\d{1,6})\\s*(?:slots?|channels?|ch)\\s*(?:at|@)\\s*(\\d{1,6})",
        (count, m) -> of(Kind.FIXTURE, count, m)),
    DECODER("(\\d{1,6})\\s*rgbw\\s*(?:at|@)\\s*(\\d{1,6})", (n, m) -> of(Kind.DECODER, n, m)),
    DIMMER("(\\d{1,6})\\s*dimmed\\s*unit\\s*(\\d{1,6})", (n, m) -> of(Kind.DIMMER, n, m));

    private final Pattern pattern;
    private final BiFunction<Integer, Matcher, WhatCell> read;

    Form(String pattern, BiFunction<Integer, Matcher, WhatCell> read) {
      this.pattern = Pattern.compile(pattern);
      this.read = read;
    }
  }

  private static final Pattern WALL = Pattern.compile("wall\\s*(\\d{1,6})\\s*[x×]\\s*(\\d{1,6})");

  /** Width, height and pitch; millimetres where no unit is written. */
  private static final Pattern SCREEN =
      Pattern.compile(
          "(?:tv|screen)\\s*(NUMBER)\\s*[x×]\\s*(NUMBER)\\s*(mm|cm|m)?\\s*(?:/|at|@)\\s*(NUMBER)\\s*(?:mm)?"
              .replace("NUMBER", "\\d{1,6}(?:[.,]\\d{1,3})?"));

  /**
   * @throws RefusedException where it says none of these
   */
  static WhatCell read(String cell) {
    String text = cell.toLowerCase(Locale.ROOT).strip();
    Matcher wall = WALL.matcher(text);
    if (wall.matches()) {
      return new WhatCell(Kind.WALL, 1, List.of(number(wall, 1), number(wall, 2)), 0);
    }
    Matcher screen = SCREEN.matcher(text);
    if (screen.matches()) {
      double unit = Map.of("cm", 10, "m", 1000).getOrDefault(screen.group(3), 1);
      return new WhatCell(
          Kind.SCREEN,
          1,
          List.of(
              (int) Math.round(decimal(screen, 1) * unit),
              (int) Math.round(decimal(screen, 2) * unit)),
          List.of(),
          decimal(screen, 4));
    }
    Matcher times = TIMES.matcher(text);
    boolean several = times.matches();
    int count = several ? Require.inRange("pieces", number(times, 1), 1, MOST_PIECES) : 1;
    String one = several ? times.group(2) : text;
    for (Form form : Form.values()) {
      Matcher matcher = form.pattern.matcher(one);
      if (matcher.matches()) {
        return form.read.apply(count, matcher);
      }
    }
    throw new RefusedException(
        "what",
        cell.isEmpty() ? "nothing" : Require.quoted(cell),
        "write pixels such as 50, 85+60, 14+12g2 or 4x200, or circuit, 12 slots at 45,"
            + " 30 rgbw at 101, 16 dimmed unit 3, wall 64x32, tv 58x33cm/5mm");
  }

  private static WhatCell string(int count, Matcher matcher) {
    List<String[]> sections =
        Arrays.stream(matcher.group(1).split("\\+")).map(part -> part.split("g")).toList();
    return new WhatCell(
        Kind.STRING,
        count,
        sections.stream().map(part -> Integer.parseInt(part[0].strip())).toList(),
        sections.stream()
            .map(part -> part.length > 1 ? Integer.parseInt(part[1].strip()) : 0)
            .toList(),
        0);
  }

  private static WhatCell of(Kind kind, int count, Matcher matcher) {
    return new WhatCell(kind, count, List.of(number(matcher, 1)), number(matcher, 2));
  }

  private static double decimal(Matcher matcher, int place) {
    return Double.parseDouble(matcher.group(place).replace(',', '.'));
  }

  private static int number(Matcher matcher, int place) {
    return Integer.parseInt(matcher.group(place));
  }
}
