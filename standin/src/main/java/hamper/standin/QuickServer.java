package hamper.standin;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetSocketAddress;

/** The HTTP servers of doors. The JDK reads its settings once, before the first is made. */
final class QuickServer {
  static {
    // without it a short answer waits 40 ms for the acknowledgement of its head
    System.setProperty("sun.net.httpserver.nodelay", "true");
  }

  private QuickServer() {}

  /**
   * @throws IOException where the address is taken
   */
  static HttpServer at(InetSocketAddress address) throws IOException {
    return HttpServer.create(address, 0);
  }
}
