package hamper.e2e;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** The program with its demo display, one for all tests of a class, and a window for each. */
abstract class DemoCase {
  @TempDir static Path data;
  static Program program;
  Window window;
  Page page;

  @BeforeAll
  static void startProgram() throws IOException {
    program = Program.demo(data, 0);
  }

  @AfterAll
  static void stopProgram() {
    program.close();
  }

  @BeforeEach
  void open() {
    window = new Window(program.url);
    page = window.page;
    window.opened();
  }

  @AfterEach
  void close() {
    try {
      window.noErrors();
    } finally {
      window.close();
    }
  }
}
