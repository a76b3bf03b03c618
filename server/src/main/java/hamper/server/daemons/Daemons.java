package hamper.server.daemons;

import java.util.concurrent.ThreadFactory;

/** Threads that do not keep the program from ending. */
public final class Daemons {
  private Daemons() {}

  /** Makes threads of this name, as an executor asks for them. */
  public static ThreadFactory named(String name) {
    return work -> thread(name, work);
  }

  /** One, not started yet. */
  public static Thread thread(String name, Runnable work) {
    Thread thread = new Thread(work, name);
    thread.setDaemon(true);
    return thread;
  }
}
