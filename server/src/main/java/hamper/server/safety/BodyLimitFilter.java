package hamper.server.safety;

import hamper.files.DisplayFile;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** No body is read beyond the largest file that is taken, whatever its length is said to be. */
@Component
class BodyLimitFilter extends OncePerRequestFilter {
  /** One more than a file has, so that whoever reads files can tell which are too large (bytes). */
  private static final long MOST = DisplayFile.MOST_BYTES + 1L;

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    chain.doFilter(new Limited(request), response);
  }

  private static final class Limited extends HttpServletRequestWrapper {
    private ServletInputStream body;

    Limited(HttpServletRequest request) {
      super(request);
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      if (body == null) {
        body = new LimitedStream(super.getInputStream());
      }
      return body;
    }
  }

  private static final class LimitedStream extends ServletInputStream {
    private final ServletInputStream stream;
    private long left = MOST;

    LimitedStream(ServletInputStream stream) {
      this.stream = stream;
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
        throw new BodyTooLargeException(DisplayFile.MOST_BYTES);
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
