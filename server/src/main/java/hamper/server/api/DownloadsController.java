package hamper.server.api;

import hamper.config.Configuration;
import hamper.config.Configurations;
import hamper.config.SendList;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.files.AddressFiles;
import hamper.files.AddressTable;
import hamper.files.Bundle;
import hamper.files.ComparisonFiles;
import hamper.files.ConfigurationFiles;
import hamper.files.DisplayFile;
import hamper.files.PlanSheetFiles;
import hamper.files.SheetFiles;
import hamper.files.ShowListFiles;
import hamper.files.UnitFiles;
import hamper.handover.ControllerHandover;
import hamper.server.live.Displays;
import hamper.server.live.NoSuchDisplayException;
import hamper.server.store.MilestoneStore;
import hamper.sheet.SettingSheet;
import hamper.sheet.ShowList;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is handed over as files: configurations, send list, address table, the display. */
@RestController
@RequestMapping("/api/displays/{id}")
@Tag(name = "handover")
class DownloadsController {
  static final MediaType CSV = new MediaType("text", "csv");
  static final MediaType XLSX =
      new MediaType("application", "vnd.openxmlformats-officedocument.spreadsheetml.sheet");

  private final Displays displays;
  private final Standings standings;
  private final MilestoneStore milestones;
  private final HandedLists lists;

  DownloadsController(
      Displays displays, Standings standings, MilestoneStore milestones, HandedLists lists) {
    this.lists = lists;
    this.displays = displays;
    this.standings = standings;
    this.milestones = milestones;
  }

  @GetMapping("/configurations/{controller}")
  @Operation(summary = "A controller's configuration document, to download")
  ResponseEntity<byte[]> configuration(@PathVariable String id, @PathVariable String controller) {
    List<Configuration> all = standings.of(id, facts(id)).configurations();
    Configuration configuration =
        all.stream()
            .filter(one -> one.controller().equals(controller))
            .findFirst()
            .orElseThrow(() -> new NoSuchDisplayException("controller", controller));
    return download(
        ConfigurationFiles.fileNames(all).get(controller),
        MediaType.APPLICATION_JSON,
        ConfigurationFiles.bytes(ConfigurationFiles.json(configuration)));
  }

  @GetMapping("/sheets/{controller}.txt")
  @Operation(summary = "A controller's setting sheet as plain text, to download")
  ResponseEntity<byte[]> sheet(@PathVariable String id, @PathVariable String controller) {
    var look = displays.get(id).look();
    Facts facts = look.facts();
    int index = HandoverController.indexOf(facts, controller);
    Configuration told = Configurations.of(facts.plan(), facts.resolution(), index);
    return download(
        told.tag() + ".txt",
        MediaType.TEXT_PLAIN,
        ConfigurationFiles.bytes(
            SheetFiles.text(SettingSheet.of(facts.plan(), told), look.version())));
  }

  @GetMapping("/units/{piece}")
  @Operation(summary = "The document of a decoder or a dimmer pack, to download")
  ResponseEntity<byte[]> unit(@PathVariable String id, @PathVariable String piece) {
    Plan plan = facts(id).plan();
    String json =
        plan.piece(piece)
            .flatMap(at -> UnitFiles.json(plan, at))
            .orElseThrow(() -> new NoSuchDisplayException("unit", piece));
    return download(
        UnitFiles.fileName(plan, piece),
        MediaType.APPLICATION_JSON,
        ConfigurationFiles.bytes(json));
  }

  @GetMapping("/send-list.json")
  @Operation(summary = "The send list, to download")
  ResponseEntity<byte[]> sendListJson(@PathVariable String id) {
    Facts facts = facts(id);
    String json =
        ConfigurationFiles.sendListJson(
            facts.plan().display().name(), SendList.of(facts.plan(), facts.resolution()));
    return download("send-list.json", MediaType.APPLICATION_JSON, ConfigurationFiles.bytes(json));
  }

  @GetMapping("/send-list.csv")
  @Operation(summary = "The send list as CSV, to download")
  ResponseEntity<byte[]> sendListCsv(@PathVariable String id) {
    Facts facts = facts(id);
    String csv = ConfigurationFiles.sendListCsv(SendList.of(facts.plan(), facts.resolution()));
    return download("send-list.csv", CSV, ConfigurationFiles.bytes(csv));
  }

  @GetMapping("/bundle.zip")
  @Operation(summary = "All configurations, cards and the send list in one ZIP, to download")
  ResponseEntity<byte[]> bundle(@PathVariable String id) {
    var look = displays.get(id).look();
    return download(
        "handover.zip",
        new MediaType("application", "zip"),
        Bundle.zip(look.facts(), look.version()));
  }

  @GetMapping("/show-list.csv")
  @Operation(summary = "The list for whoever makes the show as CSV, to download")
  ResponseEntity<byte[]> showListCsv(@PathVariable String id) {
    return download(
        "show-list.csv", CSV, ConfigurationFiles.bytes(ShowListFiles.csv(showList(id))));
  }

  @GetMapping("/show-list.xlsx")
  @Operation(summary = "The list for whoever makes the show as a spreadsheet, to download")
  ResponseEntity<byte[]> showListXlsx(@PathVariable String id) {
    return download("show-list.xlsx", XLSX, ShowListFiles.xlsx(showList(id)));
  }

  @GetMapping("/show-list.txt")
  @Operation(summary = "The list for whoever makes the show as plain text, to download")
  ResponseEntity<byte[]> showListText(@PathVariable String id) {
    return download(
        "show-list.txt",
        MediaType.TEXT_PLAIN,
        ConfigurationFiles.bytes(ShowListFiles.text(showList(id))));
  }

  private ShowList showList(String id) {
    var look = displays.get(id).look();
    Facts facts = look.facts();
    return ShowList.of(
        facts.plan(), facts.resolution(), look.version(), lists.movedSince(id, facts));
  }

  @GetMapping("/moved.csv")
  @Operation(summary = "Sections that stand elsewhere than when they were given, to download")
  ResponseEntity<byte[]> moved(@PathVariable String id) {
    var moved = ControllerHandover.moved(facts(id), standings.of(id, facts(id)).season());
    return download("moved.csv", CSV, ConfigurationFiles.bytes(ComparisonFiles.movedCsv(moved)));
  }

  @GetMapping("/plan.csv")
  @Operation(summary = "The plan as a spreadsheet that comes back, as CSV")
  ResponseEntity<byte[]> planCsv(@PathVariable String id) {
    Facts facts = displays.get(id).look().facts();
    return download("plan.csv", CSV, PlanSheetFiles.csv(facts.plan(), facts.resolution()));
  }

  @GetMapping("/plan.xlsx")
  @Operation(summary = "The plan as a spreadsheet that comes back, as XLSX")
  ResponseEntity<byte[]> planXlsx(@PathVariable String id) {
    Facts facts = displays.get(id).look().facts();
    return download("plan.xlsx", XLSX, PlanSheetFiles.xlsx(facts.plan(), facts.resolution()));
  }

  @GetMapping("/addresses.xlsx")
  @Operation(summary = "The address table as XLSX")
  ResponseEntity<byte[]> addressesXlsx(@PathVariable String id) {
    return download("addresses.xlsx", XLSX, AddressFiles.xlsx(table(id)));
  }

  @GetMapping("/addresses.csv")
  @Operation(summary = "Every section with its addresses as CSV, to download")
  ResponseEntity<byte[]> addressesCsv(@PathVariable String id) {
    String csv = AddressFiles.csv(table(id));
    return download("addresses.csv", CSV, ConfigurationFiles.bytes(csv));
  }

  @GetMapping("/addresses.json")
  @Operation(summary = "Every section with its addresses, to download")
  ResponseEntity<byte[]> addressesJson(@PathVariable String id) {
    return download(
        "addresses.json",
        MediaType.APPLICATION_JSON,
        ConfigurationFiles.bytes(AddressFiles.json(table(id))));
  }

  @GetMapping("/file")
  @Operation(summary = "The display file, to download")
  ResponseEntity<byte[]> file(@PathVariable String id) {
    var display = facts(id).plan().display();
    String name = display.name().replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "");
    return download(
        (name.isEmpty() ? "display" : name) + DisplayFile.ENDING,
        MediaType.APPLICATION_JSON,
        DisplayFile.write(display, milestones.all(id)));
  }

  private AddressTable table(String id) {
    return AddressTable.of(facts(id).plan(), facts(id).resolution());
  }

  private Facts facts(String id) {
    return displays.get(id).look().facts();
  }

  static ResponseEntity<byte[]> download(String name, MediaType type, byte[] bytes) {
    ContentDisposition disposition =
        ContentDisposition.attachment().filename(name, StandardCharsets.UTF_8).build();
    return ResponseEntity.ok()
        .contentType(type)
        .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
        .body(bytes);
  }
}
