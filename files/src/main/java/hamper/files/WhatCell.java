package hamper.files;

import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.BiFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a prop is made of, in one short cell. Format: docs/formats/props.md.
 *
 * <pre>
 * 50               a string of 50 pixels
 * 85+60            a string of two sections
 * 4x200            four strings of 200
 * circuit          a circuit; 3x circuit: three
 * 12 slots at 45   a fixture of 12 channels with start slot 45
 * 30 rgbw at 101   a strip decoder of 30 pixels at slot 101
 * 16 dimmed unit 3 a serial dimmer of 16 circuits with unit number 3
 * wall 64x32       a wall of 64 by 32 pixels
 * </pre>
 *
 * @param count of equal pieces
 * @param sizes pixels of each section; channels; pixels; circuits; or width and height
 * @param number start slot or unit number; 0 where there is none
 */
record WhatCell(Kind kind, int count, List<Integer> sizes, int number) {
  enum Kind {
    STRING,
    CIRCUIT,
    FIXTURE,
    DECODER,
    DIMMER,
    WALL
  }

  private static final int MOST_PIECES = 100;
  private static final Pattern TIMES = Pattern.compile("(\\d{1,6})\\s*[x×]\\s*(\\S.*)");

  private enum Form {
    STRING("(\\d{1,6}(?:\\s*\\+\\s*\\d{1,6})*)\\s*(?:px|pixels?)?", WhatCell::string),
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

  /**
   * @throws RefusedException where it says none of these
   */
  static WhatCell read(String cell) {
    String text = cell.toLowerCase(Locale.ROOT).strip();
    Matcher wall = WALL.matcher(text);
    if (wall.matches()) {
      return new WhatCell(Kind.WALL, 1, List.of(number(wall, 1), number(wall, 2)), 0);
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
        "write pixels such as 50, 85+60 or 4x200, or circuit, 12 slots at 45, 30 rgbw at 101,"
            + " 16 dimmed unit 3, wall 64x32");
  }

  private static WhatCell string(int count, Matcher matcher) {
    List<Integer> sections =
        Arrays.stream(matcher.group(1).split("\\+"))
            .map(part -> Integer.parseInt(part.strip()))
            .toList();
    return new WhatCell(Kind.STRING, count, sections, 0);
  }

  private static WhatCell of(Kind kind, int count, Matcher matcher) {
    return new WhatCell(kind, count, List.of(number(matcher, 1)), number(matcher, 2));
  }

  private static int number(Matcher matcher, int place) {
    return Integer.parseInt(matcher.group(place));
  }
}
