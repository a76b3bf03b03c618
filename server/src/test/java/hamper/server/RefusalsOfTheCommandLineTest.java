package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.server.cli.Hamper;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every refusal: one sentence that says what, where and what to do, exit code 2, nothing on
 * standard output. Exit code 1 says that faults were found, and nothing else.
 */
class RefusalsOfTheCommandLineTest {
  private static final String DEMO = "src/main/resources/hamper/demo/saltmarsh-quay.hamper.json";

  @TempDir Path folder;

  /**
   * @param command {@code @name} stands for a file or folder below the temporary one
   */
  private record Refusal(String command, String... says) {
    @Override
    public String toString() {
      return command;
    }
  }

  static Stream<Refusal> refusals() {
    return Stream.of(
        new Refusal("check @none.json", "@none.json: there is no such file"),
        new Refusal("check @folder", "@folder: it is not a file"),
        new Refusal("check @empty.json", "not an object of format \"hamper-display\" but empty"),
        new Refusal("check @text.json", "line 1, column 1", "not JSON"),
        new Refusal("check @cut.json", "not JSON", "it ends in the middle"),
        new Refusal("check @deep.json", "nested too deeply"),
        new Refusal("check @twice.json", "the field stands twice: \"name\""),
        new Refusal("check @large.json", "20,971,521 bytes; allowed are 20,971,520"),
        new Refusal("check @huge-number.json", "pixels: 1.0E308; allowed are numbers up to"),
        new Refusal("check @long-label.json", "at most"),
        new Refusal("check @newer.json", "formatVersion", "this Hamper reads versions 1 to 4"),
        new Refusal("check @foreign.json", "format", "hamper-catalogue"),
        new Refusal("check @hidden.json", "name"),
        new Refusal("addresses @text.json", "not JSON"),
        new Refusal("configure @text.json --out @out", "not JSON"),
        new Refusal("configure DEMO --out @text.json", "@text.json", "it is a file"),
        new Refusal("import @text.json --data @data", "not JSON"),
        new Refusal("import DEMO --data @text.json", "@text.json: it is a file", "--data"),
        new Refusal("import DEMO --data @empty-db", "it is empty (0 bytes)", "hamper restore"),
        new Refusal("import DEMO --data @foreign-db", "it is not a database of Hamper"),
        new Refusal("import DEMO --data /sys/hamper", "/sys/hamper", "it cannot be written"),
        new Refusal("export --data @none", "@none: there is no such folder", "--data"),
        new Refusal("export --data @folder", "@folder: no displays are kept there"),
        new Refusal("export Nowhere --data @kept", "0 displays are called \"Nowhere\""),
        new Refusal("export --data @foreign-db", "it is not a database of Hamper"),
        new Refusal(
            "export Saltmarsh-Quay --data @kept --out @none/x.json", "0 displays are called"),
        new Refusal("restore --data @none", "@none: there is no such folder"),
        new Refusal("restore 2026-11-25 --data @folder", "there is no copy", "there are none"),
        new Refusal("restore ../kept --data @folder", "there is no copy called \"../kept\""),
        new Refusal("serve --port 70000", "Port 70000: allowed is 0 to 65535"),
        new Refusal("serve --port 0 --data @text.json", "it is a file"),
        new Refusal("serve --port 0 --data @empty-db", "it is empty (0 bytes)"),
        new Refusal("serve --port 0 --data @foreign-db", "it is not a database of Hamper"),
        new Refusal("demo --port 0 --data /sys/hamper", "it cannot be written"));
  }

  @BeforeEach
  void files() throws IOException {
    String demo = Files.readString(Path.of(DEMO));
    write("empty.json", "");
    write("text.json", "Dear planner");
    write("cut.json", demo.substring(0, 5_000));
    write("deep.json", "[".repeat(10_000));
    write("twice.json", demo.replaceFirst("\"name\"", "\"name\": \"x\", \"name\""));
    write("huge-number.json", demo.replaceFirst("\"pixels\": ?\\d+", "\"pixels\": 1e308"));
    write("long-label.json", demo.replaceFirst("\"name\": ?\"[^\"]*\"", longName()));
    write("newer.json", demo.replaceFirst("\"formatVersion\": ?2", "\"formatVersion\": 99"));
    write("foreign.json", "{\"format\":\"hamper-catalogue\",\"formatVersion\":1}");
    write("hidden.json", demo.replaceFirst("\"name\": ?\"", "\"name\": \"\\\\u202E"));
    Files.createDirectories(folder.resolve("folder"));
    Files.createDirectories(folder.resolve("empty-db"));
    Files.createFile(folder.resolve("empty-db/hamper.mv.db"));
    Files.createDirectories(folder.resolve("foreign-db"));
    write("foreign-db/hamper.mv.db", "somebody else's");
  }

  private static String longName() {
    return "\"name\" : \"" + "x".repeat(401) + "\"";
  }

  private void write(String name, String content) throws IOException {
    Files.writeString(folder.resolve(name), content);
  }

  @ParameterizedTest
  @MethodSource("refusals")
  void eachIsOneSentenceAndExitCodeTwo(Refusal refusal) throws IOException {
    if (refusal.command().contains("@large.json")) {
      write("large.json", " ".repeat((20 << 20) + 1));
    }
    if (refusal.command().contains("@kept")) {
      Ran.of("import", DEMO, "--data", folder.resolve("kept").toString());
    }
    String[] args =
        Stream.of(refusal.command().split(" "))
            .map(word -> word.replace("@", folder + "/").replace("DEMO", DEMO))
            .toArray(String[]::new);
    Ran ran = Ran.of(args);
    assertThat(ran.code()).as(ran.err()).isEqualTo(2);
    assertThat(ran.out()).isEmpty();
    assertThat(ran.err()).hasLineCount(1).doesNotContain("Exception", "java.", "StreamRead");
    for (String words : refusal.says()) {
      assertThat(ran.err()).contains(words.replace("@", folder + "/"));
    }
    assertThat(folder.resolve("none")).doesNotExist();
    assertThat(folder.resolve("folder/hamper.mv.db")).doesNotExist();
  }

  @Test
  void aFolderOnADiskThatCannotBeWrittenIsSaidToBe() throws Exception {
    Path kept = folder.resolve("kept");
    Ran.of("import", DEMO, "--data", kept.toString());
    String script =
        "mount -t tmpfs tmpfs \"$0\" && cp -r \"$1\"/. \"$0\" && mount -o remount,ro \"$0\""
            + " && shift && exec \"$@\"";
    Path disk = Files.createDirectories(folder.resolve("disk"));
    boolean root = "root".equals(System.getProperty("user.name"));
    List<String> before =
        List.of(
            "unshare", root ? "-m" : "-rm", "bash", "-c", script, disk.toString(), kept.toString());
    for (String command : new String[] {"serve --port 0", "export"}) {
      Ran ran = process(before, (command + " --data " + disk).split(" "), null);
      assertThat(ran.code()).as(ran.err()).isEqualTo(2);
      assertThat(ran.err()).hasLineCount(1).contains(disk.toString(), "it cannot be written");
    }
  }

  @Test
  void anAnswerThatCannotBeWrittenIsNoSuccess() throws Exception {
    Ran ran = process(List.of(), new String[] {"addresses", DEMO}, new File("/dev/full"));
    assertThat(ran.code()).isEqualTo(2);
    assertThat(ran.err()).hasLineCount(1).contains("standard output: it cannot be written");
  }

  private Ran process(List<String> before, String[] args, File out) throws Exception {
    List<String> command = new ArrayList<>(before);
    command.addAll(JavaProgram.of(Hamper.class, args));
    File err = folder.resolve("err.txt").toFile();
    File told = out == null ? folder.resolve("out.txt").toFile() : out;
    Process process = new ProcessBuilder(command).redirectOutput(told).redirectError(err).start();
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    return new Ran(process.exitValue(), "", Files.readString(err.toPath()));
  }
}
