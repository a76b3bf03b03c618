package hamper.server.api;

import hamper.files.BadFileException;
import hamper.files.DisplayFile;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;

/** Files that come as the body of a request. */
final class Bodies {
  private Bodies() {}

  /**
   * @throws BadFileException where it is larger than is read
   */
  static byte[] file(HttpServletRequest request) throws IOException {
    // one byte more than is read tells a file that is too large from one that just fits
    byte[] bytes = request.getInputStream().readNBytes(DisplayFile.MOST_BYTES + 1);
    if (bytes.length > DisplayFile.MOST_BYTES) {
      throw tooLarge(request.getContentLengthLong());
    }
    return bytes;
  }

  private static BadFileException tooLarge(long length) {
    String size = length > 0 ? "%,d bytes".formatted(length) : "more bytes than are read";
    return new BadFileException(
        List.of(
            new BadFileException.Reason(
                "file",
                "%s; allowed are %,d. Split it, or leave out what is not planned here"
                    .formatted(size, DisplayFile.MOST_BYTES))));
  }
}
