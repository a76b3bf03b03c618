package hamper.pdf;

import hamper.paper.CrewSheet;
import hamper.paper.CrewSheet.FeedRow;
import hamper.paper.CrewSheet.LegRow;
import hamper.paper.CrewSheet.PortRow;
import java.io.IOException;
import java.util.List;

/** Draws what is plugged in, port by port: to be read by headlamp, in black and white. */
final class PortsBlock {
  private static final float PORT_SIZE = 14;
  private static final float PORT_WIDTH = 74;
  private static final float RIBBON = 13;

  private final Sheets sheets;

  private final int longest;

  private PortsBlock(Sheets sheets, int longest) {
    this.sheets = sheets;
    this.longest = longest;
  }

  /**
   * @param longest places of the longest run of the sheet: one scale for all its ribbons
   */
  static void draw(Sheets sheets, CrewSheet.PortsOf ports, int longest) throws IOException {
    new PortsBlock(sheets, longest).group(ports);
  }

  private void group(CrewSheet.PortsOf group) throws IOException {
    sheets.heading(group.title());
    List<PortRow> ports = group.ports();
    int i = 0;
    while (i < ports.size()) {
      int last = i;
      while (last + 1 < ports.size() && ports.get(i).free() && ports.get(last + 1).free()) {
        last++;
      }
      if (ports.get(i).free()) {
        free(ports.get(i), ports.get(last));
        i = last + 1;
      } else {
        port(ports.get(i));
        i++;
      }
    }
  }

  private void free(PortRow first, PortRow last) throws IOException {
    sheets.need(24);
    sheets.write(first.written(), 0, sheets.at() + PORT_SIZE, PORT_SIZE, true);
    String told = first == last ? "free" : "to %s: free".formatted(last.written());
    float x = Math.max(PORT_WIDTH, sheets.textWidth(first.written(), PORT_SIZE, true) + 8);
    sheets.write(told, x, sheets.at() + PORT_SIZE, SheetPages.TEXT, false);
    sheets.skip(22);
    rule();
  }

  private void rule() throws IOException {
    sheets.line(0, sheets.at(), sheets.width(), sheets.at());
    sheets.skip(4);
  }

  private void port(PortRow port) throws IOException {
    float room = sheets.width() - PORT_WIDTH;
    float height = port.places() > 0 ? RIBBON + 6 : 0;
    for (LegRow leg : port.legs()) {
      height += sheets.height(leg.told(), room, SheetPages.TEXT, false);
    }
    // a port stays together, unless it is longer than half a page
    sheets.need(Math.min(height + 10, 330));
    float top = sheets.at();
    sheets.write(port.written(), 0, top + PORT_SIZE, PORT_SIZE, true);
    if (!port.at().isEmpty()) {
      sheets.write(port.at(), 0, top + PORT_SIZE + 13, Sheets.SMALLEST, false);
    }
    if (port.places() > 0) {
      ribbon(port, top + 2);
      sheets.skip(RIBBON + 6);
    }
    for (LegRow leg : port.legs()) {
      sheets.paragraph(leg.told(), PORT_WIDTH, room, SheetPages.TEXT, false);
    }
    for (FeedRow feed : port.feeds()) {
      sheets.paragraph(feed.told(), PORT_WIDTH, room, SheetPages.TEXT, false);
    }
    float least = port.at().isEmpty() ? 22 : 34;
    if (sheets.at() > top && sheets.at() < top + least) {
      sheets.skip(top + least - sheets.at());
    }
    rule();
  }

  private void ribbon(PortRow port, float y) throws IOException {
    float scale = (sheets.width() - PORT_WIDTH) / longest;
    boolean hatched = false;
    for (LegRow leg : port.legs()) {
      float x = PORT_WIDTH + (leg.from() - 1) * scale;
      float width = Math.max(1, leg.pixels() * scale);
      if (leg.nullPixels() > 0) {
        float gap = leg.nullPixels() * scale;
        sheets.rectangle(x - gap, y + RIBBON / 2 - 1.5f, gap, 3, 0);
      }
      sheets.rectangle(x, y, width, RIBBON, 1);
      if (hatched) {
        sheets.hatch(x, y, width, RIBBON);
      }
      arrow(x, y, width, leg.backward());
      hatched = !hatched;
    }
    for (FeedRow feed : port.feeds()) {
      float x = PORT_WIDTH + (feed.place() - 1) * scale;
      sheets.line(x, y - 3, x, y + RIBBON + 3);
    }
  }

  /** Which way its pixels are counted. */
  private void arrow(float x, float y, float width, boolean backward) throws IOException {
    if (width < 18) {
      return;
    }
    float middle = y + RIBBON / 2;
    float tip = backward ? x + 4 : x + 14;
    float back = backward ? x + 10 : x + 8;
    sheets.rectangle(x + 2, y + 2, 15, RIBBON - 4, 1);
    sheets.line(x + 4, middle, x + 14, middle);
    sheets.line(tip, middle, back, middle - 3);
    sheets.line(tip, middle, back, middle + 3);
  }
}
