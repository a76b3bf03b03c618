package hamper.wire;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.management.ThreadMXBean;
import java.lang.management.ManagementFactory;
import org.junit.jupiter.api.Test;

/** Neither writing packets nor reading them takes memory, once it runs. */
class AllocationTest {
  private static final ThreadMXBean THREADS = (ThreadMXBean) ManagementFactory.getThreadMXBean();
  private static final int WARM = 20_000;
  private static final int MEASURED = 20_000;

  /** So that nothing that is read counts as unused. */
  private long read;

  private void takesNothing(String what, Runnable work) {
    for (int i = 0; i < WARM; i++) {
      work.run();
    }
    long before = THREADS.getCurrentThreadAllocatedBytes();
    for (int i = 0; i < MEASURED; i++) {
      work.run();
    }
    long bytes = THREADS.getCurrentThreadAllocatedBytes() - before;
    assertThat(bytes).as(what).isLessThan(MEASURED);
  }

  @Test
  void packetsAreWrittenAndReadInPlace() {
    byte[] cid = new byte[16];
    E131.Stream stream = new E131.Stream(cid, "Hamper", 7, 100, 0);
    byte[] data = new byte[E131.dataSize(510)];
    E131.writeData(data, stream, 0, 0, 0, 510);
    takesNothing("E1.31 data", () -> E131.setSequence(data, (int) (read & 255)));
    takesNothing(
        "E1.31 data read",
        () -> {
          if (E131.refuseData(data, data.length, true) == null) {
            read +=
                E131.universe(data)
                    + E131.sequence(data)
                    + E131.slots(data)
                    + E131.priority(data)
                    + (E131.isFrom(data, cid) ? 1 : 0);
          }
        });
    byte[] sync = new byte[E131.SYNC_SIZE];
    takesNothing(
        "E1.31 synchronization",
        () -> {
          E131.writeSync(sync, cid, 1, 900);
          read += E131.refuseSync(sync, sync.length, true) == null ? 1 : 0;
        });
    byte[] dmx = new byte[ArtNet.dmxSize(512)];
    takesNothing(
        "ArtDmx",
        () -> {
          ArtNet.writeDmx(dmx, 300, 1, 0, 512);
          if (ArtNet.refuseDmx(dmx, dmx.length, true) == null) {
            read += ArtNet.portAddress(dmx) + ArtNet.slots(dmx);
          }
        });
    byte[] ddp = new byte[Ddp.size(1440)];
    takesNothing(
        "DDP",
        () -> {
          Ddp.writeHeader(ddp, Ddp.PUSH, 1, Ddp.RGB, Ddp.OUTPUT, 2880, 1440, -1);
          if (Ddp.refuse(ddp, ddp.length, true) == null) {
            read += Ddp.offset(ddp) + Ddp.length(ddp);
          }
        });
    assertThat(read).isPositive();
  }
}
