package hamper.e2e;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;

/** The program with its demo display, anew for each class, and a window as new for each test. */
abstract class DemoCase {
  static final Path data = SharedProgram.DATA;
  static Program program;
  Window window;
  Page page;

  @BeforeAll
  static void startProgram() throws IOException {
    program = SharedProgram.demo();
  }

  @BeforeEach
  void open() {
    window = Window.anew(program.url);
    page = window.page;
    window.opened();
  }

  @AfterEach
  void close() {
    try {
      window.noErrors();
    } finally {
      window.leave();
    }
  }
}
