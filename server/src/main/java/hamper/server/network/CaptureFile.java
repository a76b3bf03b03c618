package hamper.server.network;

import hamper.capture.CaptureException;
import hamper.capture.CaptureReader;
import hamper.capture.CaptureSummary;
import hamper.facts.Facts;
import hamper.listen.Air;
import hamper.listen.Datagrams;
import hamper.listen.HeardFrames;
import java.io.IOException;
import java.io.InputStream;
import java.nio.channels.Channels;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.function.IntConsumer;
import java.util.function.UnaryOperator;

/**
 * A capture on the disk, read from front to back, never whole: places to read on from are kept, a
 * second of it apart.
 */
final class CaptureFile {
  /** Between places that are kept (µs, of the capture). */
  private static final long APART_MICROS = 1_000_000;

  /** As many places as are kept of a long one; then they lie further apart. */
  private static final int MOST_MARKS = 20_000;

  /** What is sent at all is sent again within so long (µs). */
  private static final long BACK_MICROS = 5_000_000;

  /** So far the next frame is looked for (µs). */
  private static final long AHEAD_MICROS = 10_000_000;

  private static final int PROGRESS_EVERY = 4_096;

  private final Path file;
  private final long size;

  /** Turns what was sent to stand-ins into what it stands for. */
  private final UnaryOperator<Datagrams> translation;

  private final NavigableMap<Long, CaptureReader.Mark> marks = new TreeMap<>();
  private long apart = APART_MICROS;

  CaptureFile(Path file, UnaryOperator<Datagrams> translation) throws IOException {
    this.file = file;
    this.translation = translation;
    size = Files.size(file);
  }

  Path path() {
    return file;
  }

  long size() {
    return size;
  }

  /** What was heard. */
  record Read(Air air, CaptureSummary summary, long firstMicros, long lastMicros) {}

  /**
   * Reads all of it.
   *
   * @param percent told now and then
   */
  Read read(Facts facts, IntConsumer percent) throws IOException, CaptureException {
    Air air = new Air();
    HeardFrames frames = new HeardFrames(facts);
    long[] first = {Long.MIN_VALUE};
    Datagrams both =
        translation.apply(
            (micros, from, fromPort, to, toPort, bytes, length) -> {
              air.take(micros, from, fromPort, to, toPort, bytes, length);
              frames.take(micros, from, fromPort, to, toPort, bytes, length);
              if (first[0] == Long.MIN_VALUE) {
                first[0] = frames.last();
              }
            });
    try (InputStream in = Files.newInputStream(file)) {
      CaptureReader reader = CaptureReader.open(in);
      long[] at = {Long.MIN_VALUE};
      Datagrams timed =
          (micros, from, fromPort, to, toPort, bytes, length) -> {
            at[0] = micros;
            both.take(micros, from, fromPort, to, toPort, bytes, length);
          };
      CaptureReader.Mark before = reader.mark();
      long count = 0;
      while (reader.next(timed)) {
        if (at[0] != Long.MIN_VALUE && (marks.isEmpty() || at[0] - marks.lastKey() >= apart)) {
          keep(at[0], before);
        }
        before = reader.mark();
        if (++count % PROGRESS_EVERY == 0) {
          if (Thread.currentThread().isInterrupted()) {
            throw new IOException("it was stopped");
          }
          percent.accept((int) (before.position() * 100 / Math.max(1, size)));
        }
      }
      return new Read(air, reader.summary(), first[0], frames.last());
    }
  }

  private void keep(long micros, CaptureReader.Mark mark) {
    marks.put(micros, mark);
    if (marks.size() > MOST_MARKS) {
      apart *= 2;
      boolean[] odd = {false};
      marks.values().removeIf(one -> odd[0] = !odd[0]);
    }
  }

  /**
   * A moment of it.
   *
   * @param before when the frame before ended; the same where there is none
   * @param after when the next frame ends; the same where there is none
   */
  record Moment(HeardFrames frames, long micros, long before, long after) {}

  /**
   * What all controllers had been sent at a moment.
   *
   * @param micros of the capture's clock
   */
  Moment at(Facts facts, long micros) throws IOException {
    HeardFrames frames = new HeardFrames(facts);
    HeardFrames ahead = new HeardFrames(facts);
    if (marks.isEmpty()) {
      return new Moment(frames, micros, micros, micros);
    }
    var from = marks.floorEntry(micros - BACK_MICROS);
    CaptureReader.Mark mark = (from == null ? marks.firstEntry() : from).getValue();
    long[] before = {micros};
    long[] after = {micros};
    boolean[] over = {false};
    Datagrams to =
        translation.apply(
            (at, sender, fromPort, receiver, toPort, bytes, length) -> {
              ahead.take(at, sender, fromPort, receiver, toPort, bytes, length);
              long ended = ahead.ended();
              if (at <= micros) {
                frames.take(at, sender, fromPort, receiver, toPort, bytes, length);
              }
              if (ended != Long.MIN_VALUE && ended < micros) {
                before[0] = ended;
              } else if (ended > micros) {
                after[0] = ended;
                over[0] = true;
              }
              over[0] |= at > micros + AHEAD_MICROS;
            });
    try (var channel = Files.newByteChannel(file)) {
      channel.position(mark.position());
      InputStream in = Channels.newInputStream(channel);
      CaptureReader reader = CaptureReader.from(in, mark);
      while (!over[0] && reader.next(to)) {
        // until the next frame has ended
      }
      if (!over[0] && ahead.last() > micros) {
        after[0] = ahead.last(); // the last frame of all
      }
    }
    return new Moment(frames, micros, before[0], after[0]);
  }
}
