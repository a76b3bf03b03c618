package hamper.server.safety;

import hamper.capture.CaptureReader;
import hamper.files.DisplayFile;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** No body is read beyond the largest file that is taken, whatever its length is said to be. */
@Component
class BodyLimitFilter extends OncePerRequestFilter {
  private static final long MOST = DisplayFile.MOST_BYTES;

  /** Captures go to the disk, and are never in memory whole. */
  private static final Pattern CAPTURES = Pattern.compile("/api/displays/[^/]+/capture");

  /** Of the crew, who sends a photo at most. */
  private static final Pattern CREW = Pattern.compile("/crew/.*");

  private static final long MOST_OF_CREW = 2L * 1024 * 1024;

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    chain.doFilter(new Limited(request, most(request.getRequestURI())), response);
  }

  private static long most(String path) {
    if (CAPTURES.matcher(path).matches()) {
      return CaptureReader.MOST_FILE;
    }
    return CREW.matcher(path).matches() ? MOST_OF_CREW : MOST;
  }

  private static final class Limited extends HttpServletRequestWrapper {
    private final long most;
    private ServletInputStream body;

    Limited(HttpServletRequest request, long most) {
      super(request);
      this.most = most;
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      if (body == null) {
        body = new LimitedStream(super.getInputStream(), most);
      }
      return body;
    }
  }

  private static final class LimitedStream extends ServletInputStream {
    private final ServletInputStream stream;
    private final long most;
    private long left;

    LimitedStream(ServletInputStream stream, long most) {
      this.stream = stream;
      this.most = most;
      left = most + 1; // so that whoever reads files can tell which are too large
    }

    @Override
    public int read() throws IOException {
      byte[] one = new byte[1];
      return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
    }

    @Override
    public int read(byte[] target, int offset, int length) throws IOException {
      int count = stream.read(target, offset, length);
      left -= Math.max(0, count);
      if (left < 0) {
        throw new BodyTooLargeException(most);
      }
      return count;
    }

    @Override
    public boolean isFinished() {
      return stream.isFinished();
    }

    @Override
    public boolean isReady() {
      return stream.isReady();
    }

    @Override
    public void setReadListener(ReadListener listener) {
      stream.setReadListener(listener);
    }
  }
}
