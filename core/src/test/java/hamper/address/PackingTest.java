package hamper.address;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * A pixel that straddles two universes on a device that cannot goes dark: here is where that ends.
 */
class PackingTest {
  @ParameterizedTest(
      name = "{0}: {2} addresses of {3} channels from {1} in universes of 512 end at {5}")
  @CsvSource({
    "CONTIGUOUS,  511, 2, 3, 511,  516",
    "WHOLE_PIXEL, 511, 2, 3, 513,  518",
    "WHOLE_PIXEL, 510, 1, 3, 510,  512",
    "WHOLE_PIXEL,   1, 170, 3, 1,  510",
    "WHOLE_PIXEL,   1, 171, 3, 1,  515",
    "WHOLE_PIXEL,   1, 341, 3, 1, 1027",
    "WHOLE_PIXEL, 500, 600, 1, 500, 1099",
    "WHOLE_PIXEL,   2, 128, 4, 2,  516",
  })
  void pixelsGoWhereTheDevicePutsThem(
      Packing packing, int from, int addresses, int width, int start, int last) {
    ChannelSpan span = packing.lay(512, from, addresses, width);
    assertThat(span.start()).isEqualTo(start);
    assertThat(span.last()).isEqualTo(last);
  }

  @ParameterizedTest(name = "universe of {0}, {1} channels a pixel, from {2}")
  @CsvSource({"510,3,1", "512,3,1", "512,4,7", "96,4,90", "170,3,169", "512,5,511", "100,6,97"})
  void layingInOneGoEqualsLayingPixelByPixel(int size, int width, int from) {
    for (int addresses = 1; addresses < 400; addresses++) {
      int at = from;
      int start = 0;
      for (int pixel = 0; pixel < addresses; pixel++) {
        if ((at - 1) % size + width > size) {
          at += size - (at - 1) % size;
        }
        start = start == 0 ? at : start;
        at += width;
      }
      assertThat(Packing.WHOLE_PIXEL.lay(size, from, addresses, width))
          .isEqualTo(new ChannelSpan(start, at));
    }
  }
}
