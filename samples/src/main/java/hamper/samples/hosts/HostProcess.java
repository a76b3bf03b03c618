package hamper.samples.hosts;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;

/** A program on one of the hosts, told and heard line by line. */
public final class HostProcess implements AutoCloseable {
  private static final int PATIENCE = 60;

  private final Process process;
  private final BlockingQueue<String> said = new LinkedBlockingQueue<>();
  private final List<String> all = new ArrayList<>();

  HostProcess(Process process) {
    this.process = process;
    Thread hearing = new Thread(this::hear);
    hearing.setDaemon(true);
    hearing.start();
  }

  private void hear() {
    try (BufferedReader out =
        new BufferedReader(
            new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
      out.lines().forEach(said::add);
    } catch (IOException | UncheckedIOException e) {
      // it has ended
    }
  }

  public void tell(String line) throws IOException {
    process.getOutputStream().write((line + "\n").getBytes(StandardCharsets.UTF_8));
    process.getOutputStream().flush();
  }

  /** The rest of the next line that begins so. */
  public String await(String begin) throws InterruptedException {
    long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE);
    while (System.nanoTime() < until) {
      String line = said.poll(100, TimeUnit.MILLISECONDS);
      if (line != null) {
        all.add(line);
        if (line.startsWith(begin)) {
          return line.substring(begin.length()).strip();
        }
      } else if (!process.isAlive() && said.isEmpty()) {
        break;
      }
    }
    throw new IllegalStateException(
        "It does not say \"%s\":%n%s".formatted(begin, String.join("\n", all)));
  }

  /** Ends it as Ctrl+C does, and waits for that. */
  public void end() throws InterruptedException {
    process.destroy();
    process.waitFor(PATIENCE, TimeUnit.SECONDS);
  }

  @Override
  public void close() {
    process.destroyForcibly();
  }
}
