package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.files.Json;
import hamper.server.cli.Hamper;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** People who script get the same answers, with exit codes that they can rely on. */
class CommandLineTest {
  private static final String DEMO = "src/main/resources/hamper/demo/saltmarsh-quay.hamper.json";
  private static final String EXAMPLE = "../docs/formats/example.hamper.json";

  @TempDir Path folder;

  /** Of commands only the one that is called is read. */
  @Test
  void helpKnowsEveryCommandAndAWordThatIsNoneIsToldTheNearest() {
    assertThat(Ran.of("--help").out())
        .contains("  demo  ", "  check  ", "  standins  ", "  restore  ")
        .doesNotContain("  yard  ");
    assertThat(Ran.of("check", "--help").out()).startsWith("Usage: hamper check ");
    Ran wrong = Ran.of("chekc", DEMO);
    assertThat(wrong.code()).isEqualTo(Hamper.UNUSABLE);
    assertThat(wrong.err()).contains("'chekc'", "hamper check");
  }

  @Test
  void checkFindsThePlantedMistakesAndNothingElse() {
    Ran ran = Ran.of("check", DEMO);
    assertThat(ran.code()).isEqualTo(1);
    assertThat(ran.out())
        .contains("Tide clock rim on K1-5 and Tide clock hands on K1-6 share 90 channels")
        .contains("K4-3 carries 430 pixels, 30 too many")
        .endsWith("3 faults, 12 risks, 0 hints\n");
  }

  @Test
  void paperIsWrittenSheetBySheetWithLabelsWhereAnythingHasATag() throws IOException {
    Path out = folder.resolve("paper");
    Ran ran = Ran.of("paper", DEMO, "--out", out.toString(), "--size", "LETTER");
    assertThat(ran.code()).as(ran.err()).isZero();
    try (var files = Files.list(out)) {
      assertThat(files.map(file -> file.getFileName().toString()))
          .contains("all-sheets.pdf", "K1.pdf", "summary.pdf", "shopping-list.pdf")
          .contains("everything.xlsx")
          .doesNotContain("labels.pdf");
    }
    assertThat(Files.readAllBytes(out.resolve("K6.pdf"))).startsWith('%', 'P', 'D', 'F');
  }

  @Test
  void arrangeHangsWhatItCanAndSaysWhyAndWhatIsLeft() throws IOException {
    Path out = folder.resolve("arranged.hamper.json");
    Ran ran = Ran.of("arrange", DEMO, "--out", out.toString());
    assertThat(ran.code()).as("some are left").isEqualTo(1);
    assertThat(ran.out())
        .contains("Weather vane on K2-1: in the same zone, Boathouse")
        .contains("left: Cargo net. ")
        .contains("5 of 10 pieces, on 4 controllers");
    assertThat(Ran.of("check", out.toString()).out()).endsWith("3 faults, 7 risks, 2 hints\n");
  }

  @Test
  void checkTellsScriptsTheSame() {
    JsonNode findings = Json.MAPPER.readTree(Ran.of("check", DEMO, "--format", "json").out());
    assertThat(findings.get("faults").asInt()).isEqualTo(3);
    assertThat(findings.get("findings").get(0).get("subjects").get(0).get("piece").asString())
        .isEqualTo("tide-rim-1");
  }

  @Test
  void aCleanDisplayExitsWithNought() {
    assertThat(Ran.of("check", EXAMPLE).code()).isZero();
  }

  @Test
  void diffSaysWhatDiffersBetweenFilesOrSinceAMilestone() throws IOException {
    String demo = Files.readString(Path.of(DEMO));
    String grown = demo.replaceFirst("(?s)(\"gangway-rail-1\".*?\"pixels\"\\s*:\\s*)85", "$190");
    assertThat(grown).isNotEqualTo(demo);
    Path later = Files.writeString(folder.resolve("later.hamper.json"), grown);
    Ran ran = Ran.of("diff", DEMO, later.toString());
    assertThat(ran.code()).isEqualTo(1);
    assertThat(ran.out())
        .contains("Gangway rail: changed")
        .contains("K1: Port 4: 210 → 215 pixels")
        .contains("K1-7 7:22 → K1-7 7:37");
    assertThat(Ran.of("diff", DEMO, DEMO).code()).isZero();
    assertThat(Ran.of("diff", DEMO, DEMO).out()).isEmpty();
    JsonNode json =
        Json.MAPPER.readTree(Ran.of("diff", DEMO, later.toString(), "--format", "json").out());
    assertThat(json.get("format").asString()).isEqualTo("hamper-comparison");
    assertThat(json.get("told").get(0).get("tag").asString()).isEqualTo("K1");

    String old = "../files/src/test/resources/display-files/version-3.hamper.json";
    Ran since = Ran.of("diff", old, "--milestone", "Opening night");
    assertThat(since.code()).isEqualTo(1);
    assertThat(since.out()).contains("name of the display");
    Ran none = Ran.of("diff", old, "--milestone", "Closing night");
    assertThat(none.code()).isEqualTo(2);
    assertThat(none.err()).contains("Opening night").hasLineCount(1);
    assertThat(Ran.of("diff", DEMO).code()).isEqualTo(2);
  }

  @Test
  void unusableInputExitsWithTwoAndOneSentence() throws IOException {
    Path broken = Files.writeString(folder.resolve("broken.json"), "{\"format\": ");
    for (String command : new String[] {"check", "addresses"}) {
      Ran ran = Ran.of(command, broken.toString());
      assertThat(ran.code()).isEqualTo(2);
      assertThat(ran.err()).contains("not JSON").hasLineCount(1);
      assertThat(ran.out()).isEmpty();
    }
    Ran missing = Ran.of("check", folder.resolve("none.json").toString());
    assertThat(missing.code()).isEqualTo(2);
    assertThat(missing.err()).contains("there is no such file");
  }

  @Test
  void addressesGiveEverySectionOnceInBothForms() {
    String csv = Ran.of("addresses", EXAMPLE).out();
    assertThat(csv.lines().skip(1))
        .containsExactly(
            "K1,PIXEL,1,1,Eaves,string 1,1,100,0,100,300,1,300,1,300,1,1,1,300,1,,,false,false,",
            "K1,PIXEL,1,2,Eaves,string 1,2,50,1,25,75,301,375,301,375,1,301,1,375,1,,,false,false,",
            "K1,DMX,1,1,Door lamp,lamp,1,,,,4,511,514,511,514,2,1,2,4,2,,,true,false,");
    JsonNode json = Json.MAPPER.readTree(Ran.of("addresses", EXAMPLE, "--format", "json").out());
    assertThat(json.get("sections")).hasSize(3);
    assertThat(json.get("sections").get(1).get("controllerStart").asInt()).isEqualTo(301);
    assertThat(json.get("controllers").get(0).get("channels").asInt()).isEqualTo(1022);
  }

  @Test
  void configureWritesADocumentAControllerAndTheSendListTwiceTheSame() throws IOException {
    Path once = folder.resolve("once");
    Path again = folder.resolve("again");
    assertThat(Ran.of("configure", DEMO, "--out", once.toString()).code()).isZero();
    Ran.of("configure", DEMO, "--out", again.toString());
    try (var files = Files.list(once)) {
      assertThat(files.map(file -> file.getFileName().toString()))
          .containsExactlyInAnyOrder(
              "K1.configuration.json",
              "K2.configuration.json",
              "K3.configuration.json",
              "K4.configuration.json",
              "K5.configuration.json",
              "K6.configuration.json",
              "K7.configuration.json",
              "K8.configuration.json",
              "K9.configuration.json",
              "K10.configuration.json",
              "K5-DMX1-cave-1.unit.json",
              "H1-S1-lanterns-1.unit.json",
              "H1-S1-lanterns-2.unit.json",
              "send-list.csv",
              "send-list.json");
    }
    for (String name : new String[] {"K1.configuration.json", "send-list.json"}) {
      assertThat(Files.mismatch(once.resolve(name), again.resolve(name))).isEqualTo(-1);
    }
  }

  @Test
  void aDisplayGoesInAndComesOutAsItWas() throws IOException {
    String data = folder.resolve("data").toString();
    assertThat(Ran.of("import", DEMO, "--data", data).out()).endsWith("Saltmarsh Quay\n");
    assertThat(Ran.of("export", "--data", data).out()).endsWith("Saltmarsh Quay\n").hasLineCount(1);
    Path once = folder.resolve("once.json");
    assertThat(Ran.of("export", "Saltmarsh Quay", "--data", data, "--out", once.toString()).code())
        .isZero();
    assertThat(Ran.of("addresses", once.toString()).out())
        .isEqualTo(Ran.of("addresses", DEMO).out());
    assertThat(Ran.of("export", "Nowhere", "--data", data).err())
        .contains("0 displays are called \"Nowhere\"");
  }

  @Test
  void aPortInUseIsSaidInOneSentence() throws IOException {
    try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getByName("127.0.0.1"))) {
      Ran ran = Ran.of("serve", "--port", "" + taken.getLocalPort(), "--data", folder.toString());
      assertThat(ran.code()).isEqualTo(2);
      assertThat(ran.err())
          .hasLineCount(1)
          .contains("Port %d is already in use".formatted(taken.getLocalPort()));
    }
  }

  @Test
  void sendLightsStandInsForAWhile() {
    Ran ran = Ran.of("send", EXAMPLE, "--pattern", "turns", "--seconds", "1", "--percent", "20");
    assertThat(ran.err()).isEmpty();
    assertThat(ran.code()).isZero();
    assertThat(ran.out()).contains("colours in turn to stand-ins: ").contains(" 0 not taken");
    assertThat(Ran.of("send", EXAMPLE, "--pattern", "sparkle").err())
        .contains("--pattern sparkle: allowed is ends, white, colour");
    Ran nobody = Ran.of("send", EXAMPLE, "--only", "K99");
    assertThat(nobody.code()).isEqualTo(2);
    assertThat(nobody.err()).contains("--only K99: there is no controller, port, zone");
    assertThat(Ran.of("send", EXAMPLE, "--seconds", "0").code()).isEqualTo(2);
  }

  @Test
  void numbersAreToldAlikeWhereACommaIsWritten() {
    String usual = Ran.of("check", DEMO).out();
    assertThat(usual).containsPattern("\\d\\.\\d A");
    Locale before = Locale.getDefault();
    try {
      Locale.setDefault(Locale.GERMANY);
      assertThat(Ran.of("check", DEMO).out()).isEqualTo(usual);
    } finally {
      Locale.setDefault(before);
    }
  }
}
