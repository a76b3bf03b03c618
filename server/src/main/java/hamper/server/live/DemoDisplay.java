package hamper.server.live;

import hamper.catalog.Catalog;
import hamper.display.Display;
import hamper.files.DisplayFile;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;

/** Saltmarsh Quay, the display that ships with Hamper. */
public final class DemoDisplay {
  private static final String RESOURCE = "/hamper/demo/saltmarsh-quay.hamper.json";

  private DemoDisplay() {}

  public static Display read(Catalog catalog) {
    try (InputStream in = DemoDisplay.class.getResourceAsStream(RESOURCE)) {
      return DisplayFile.read(in.readAllBytes(), catalog).display();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
