package hamper.pdf;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.text.Bidi;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/**
 * The fonts of a document: what they have no letter for is an empty box, and letters that are read
 * from the right stand in the order in which they are seen.
 */
final class Type {
  private static final String FOLDER = "/hamper/fonts/";
  private static final int BOX = 0x25A1;
  private static final float UNITS = 1000;

  /**
   * A font, and how wide each letter of it is (thousandths of its size); what it has not is the
   * box.
   */
  private record Face(PDFont font, Map<Integer, Float> widths) {
    boolean has(int letter) {
      return widths.computeIfAbsent(letter, this::measured) >= 0;
    }

    /** Below 0: there is no such letter. */
    private float measured(int letter) {
      try {
        return font.getStringWidth(Character.toString(letter));
      } catch (IllegalArgumentException e) {
        return -1;
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }

    float width(int letter) {
      return has(letter) ? widths.get(letter) : width(BOX);
    }
  }

  private final Face plain;
  private final Face bold;

  Type(PDDocument document) throws IOException {
    plain = load(document, "DejaVuSansCondensed.ttf");
    bold = load(document, "DejaVuSansCondensed-Bold.ttf");
  }

  private static Face load(PDDocument document, String name) throws IOException {
    try (InputStream in = Type.class.getResourceAsStream(FOLDER + name)) {
      return new Face(PDType0Font.load(document, in), new HashMap<>());
    }
  }

  private Face face(boolean isBold) {
    return isBold ? bold : plain;
  }

  PDFont font(boolean isBold) {
    return face(isBold).font();
  }

  /** As it is drawn from left to right. */
  String shown(String text, boolean isBold) {
    StringBuilder shown = new StringBuilder();
    text.codePoints().forEach(one -> shown.appendCodePoint(face(isBold).has(one) ? one : BOX));
    String kept = shown.toString();
    if (!Bidi.requiresBidi(kept.toCharArray(), 0, kept.length())) {
      return kept;
    }
    Bidi bidi = new Bidi(kept, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT);
    int runs = bidi.getRunCount();
    byte[] levels = new byte[runs];
    String[] parts = new String[runs];
    for (int i = 0; i < runs; i++) {
      levels[i] = (byte) bidi.getRunLevel(i);
      String part = kept.substring(bidi.getRunStart(i), bidi.getRunLimit(i));
      parts[i] = levels[i] % 2 == 1 ? new StringBuilder(part).reverse().toString() : part;
    }
    Bidi.reorderVisually(levels, 0, parts, 0, runs);
    return String.join("", parts);
  }

  /** How wide a text is (pt). */
  float width(String text, float size, boolean isBold) {
    Face face = face(isBold);
    double units = text.codePoints().mapToDouble(face::width).sum();
    return (float) (units / UNITS * size);
  }

  /** A text in lines that fit; a word that does not is broken. */
  List<String> lines(String text, float size, boolean isBold, float room) {
    List<String> lines = new ArrayList<>();
    String line = "";
    for (String word : text.split(" ")) {
      String longer = line.isEmpty() ? word : line + " " + word;
      if (width(longer, size, isBold) <= room) {
        line = longer;
        continue;
      }
      if (!line.isEmpty()) {
        lines.add(line);
      }
      line = word;
      while (width(line, size, isBold) > room && line.length() > 1) {
        int fits = fitting(line, size, isBold, room);
        lines.add(line.substring(0, fits));
        line = line.substring(fits);
      }
    }
    if (!line.isEmpty() || lines.isEmpty()) {
      lines.add(line);
    }
    return lines;
  }

  /** How many letters of a word fit, one at least; a pair is not broken. */
  private int fitting(String word, float size, boolean isBold, float room) {
    int fits = 1;
    while (fits < word.length() && width(word.substring(0, fits + 1), size, isBold) <= room) {
      fits++;
    }
    return Character.isHighSurrogate(word.charAt(fits - 1)) && fits < word.length()
        ? fits + 1
        : fits;
  }
}
