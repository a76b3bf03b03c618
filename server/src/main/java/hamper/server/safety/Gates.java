package hamper.server.safety;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Ports that are listened on, and what holds for whoever comes by each. */
@Component
public final class Gates {
  private final Environment environment;
  private final Map<Integer, Gate> open = new ConcurrentHashMap<>();

  Gates(Environment environment) {
    this.environment = environment;
  }

  /** Of whoever sits at the machine; 0 before anything is listened on. */
  public int ownPort() {
    return environment.getProperty("local.server.port", Integer.class, 0);
  }

  Optional<Gate> at(int port) {
    return Optional.ofNullable(open.get(port));
  }

  public void open(int port, Gate gate) {
    open.put(port, gate);
  }

  public void close(int port) {
    open.remove(port);
  }
}
