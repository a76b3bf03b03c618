package hamper.server.trial;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.catalog.Catalog;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.samples.CaptureWriter;
import hamper.samples.PlayedAir;
import hamper.samples.Trial;
import hamper.server.JavaProgram;
import hamper.server.cli.Hamper;
import hamper.server.live.DemoDisplay;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A capture of 500 MB is read by a program that has 24 MB for all its values: what it keeps does
 * not grow with the file. In short a tenth of it.
 */
@Tag("whole")
@Tag("trial")
class LargeCaptureTest {
  private static final int LONG_BYTES = 500_000_000;
  private static final int SHORT_BYTES = 50_000_000;
  private static final int MOST_HEAP = 24;
  private static final long MOST_KILOBYTES = 100_000;

  @TempDir Path folder;

  private static Facts demo() {
    Catalog catalog = CatalogueFiles.shipped();
    return Facts.of(new Plan(DemoDisplay.read(catalog), catalog));
  }

  private long written(Path file, long least) throws IOException {
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file), 1 << 20)) {
      CaptureWriter writer =
          new CaptureWriter(out, CaptureWriter.Framing.ETHERNET, ByteOrder.LITTLE_ENDIAN, false);
      PlayedAir air = new PlayedAir(demo());
      long bytes = 0;
      while (bytes < least) {
        air.play(40, writer);
        out.flush();
        bytes = Files.size(file);
      }
      return bytes;
    }
  }

  @Test
  void whatIsKeptOfACaptureDoesNotGrowWithIt() throws Exception {
    Path capture = folder.resolve("large.pcap");
    long bytes = written(capture, Trial.size(SHORT_BYTES, LONG_BYTES));
    List<String> command =
        JavaProgram.of(
            // an archive of classes is in memory too, and is not what is measured
            List.of("-Xmx" + MOST_HEAP + "m", "-XX:+UseSerialGC", "-Xshare:off"),
            Hamper.class,
            "listen",
            Path.of("src/main/resources/hamper/demo/saltmarsh-quay.hamper.json").toString(),
            "--capture",
            capture.toString());
    long begin = System.nanoTime();
    Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
    long most = 0;
    while (process.isAlive()) {
      most = Math.max(most, kilobytes(process.pid()));
      Thread.sleep(20);
    }
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.exitValue()).as(said).isZero();
    assertThat(said).contains("56 planned: 56 heard");
    assertThat(most).as("resident memory (kB)").isLessThan(MOST_KILOBYTES);
    Trial.say(
        "a capture of %,d bytes: read in %.1f s, %,d kB resident at most",
        bytes, (System.nanoTime() - begin) / 1e9, most);
  }

  /** Resident memory of a process at its highest; 0 where the system does not say it. */
  private static long kilobytes(long pid) {
    try {
      for (String line : Files.readAllLines(Path.of("/proc/" + pid + "/status"))) {
        if (line.startsWith("VmHWM:")) {
          return Long.parseLong(line.replaceAll("\\D", ""));
        }
      }
    } catch (IOException e) {
      // it has ended meanwhile
    }
    return 0;
  }
}
