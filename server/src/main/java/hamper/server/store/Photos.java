package hamper.server.store;

import hamper.value.RefusedException;
import hamper.value.Require;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Optional;
import java.util.UUID;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/**
 * Photos beside the displays: files in the data folder, not in the database nor its copies. Each is
 * drawn anew, so that where it was taken and by what is gone.
 */
public final class Photos {
  /** Larger files are refused unread. */
  public static final int MOST_BYTES = 2 * 1024 * 1024;

  /** Of the longer side, as it is kept (px). */
  static final int LONGEST_SIDE = 1600;

  /** More than a telephone takes is not unpacked (px). */
  private static final long MOST_PIXELS = 60_000_000;

  private static final int MOST_OF_A_DISPLAY = 2000;

  private final Path folder;

  public Photos(Engine engine) {
    folder = engine.path().resolve("photos");
  }

  /**
   * Keeps a photo.
   *
   * @return the name by which it is asked for
   * @throws RefusedException where it is too large, or no picture
   */
  public String keep(String display, byte[] bytes) throws IOException {
    Require.id("display", display);
    Require.that(
        bytes.length <= MOST_BYTES,
        "photo",
        "%,d bytes".formatted(bytes.length),
        "at most %,d; make it smaller before it is sent".formatted(MOST_BYTES));
    byte[] drawn = drawnAnew(bytes);
    Path own = folder.resolve(display);
    OwnerOnly.makeFolder(folder);
    OwnerOnly.makeFolder(own);
    try (var there = Files.list(own)) {
      Require.that(
          there.count() < MOST_OF_A_DISPLAY,
          "photo",
          MOST_OF_A_DISPLAY + " photos",
          "no more are kept of one display");
    }
    String name = UUID.randomUUID().toString();
    Path file = own.resolve(name + ".jpg");
    Files.createFile(file, OwnerOnly.forFile());
    Files.write(file, drawn);
    return name;
  }

  /** As JPEG; empty where there is none of that name. */
  public Optional<byte[]> find(String display, String name) throws IOException {
    Require.id("display", display);
    Require.id("photo", name);
    Path file = folder.resolve(display).resolve(name + ".jpg");
    return Files.isRegularFile(file) ? Optional.of(Files.readAllBytes(file)) : Optional.empty();
  }

  private static byte[] drawnAnew(byte[] bytes) throws IOException {
    BufferedImage picture = read(bytes);
    double scale =
        Math.min(1, (double) LONGEST_SIDE / Math.max(picture.getWidth(), picture.getHeight()));
    int width = Math.max(1, (int) Math.round(picture.getWidth() * scale));
    int height = Math.max(1, (int) Math.round(picture.getHeight() * scale));
    BufferedImage drawn = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = drawn.createGraphics();
    graphics.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
    graphics.drawImage(picture, 0, 0, width, height, null);
    graphics.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(drawn, "jpg", out);
    return out.toByteArray();
  }

  /** Every so many pixels only, where there are more than twice as many as are kept. */
  private static ImageReadParam coarse(ImageReader reader) throws IOException {
    int longest = Math.max(reader.getWidth(0), reader.getHeight(0));
    int each = Math.max(1, longest / (2 * LONGEST_SIDE));
    ImageReadParam param = reader.getDefaultReadParam();
    param.setSourceSubsampling(each, each, 0, 0);
    return param;
  }

  private static BufferedImage read(byte[] bytes) throws IOException {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        throw new RefusedException("photo", "no picture", "send a JPEG or a PNG");
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in);
        long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
        Require.that(
            pixels <= MOST_PIXELS,
            "photo",
            "%,d pixels".formatted(pixels),
            "at most %,d".formatted(MOST_PIXELS));
        return reader.read(0, coarse(reader));
      } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException e) {
        throw new RefusedException("photo", "a damaged picture", "send a JPEG or a PNG");
      } finally {
        reader.dispose();
      }
    }
  }
}
