package hamper.decoder;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.ColourOrder;
import hamper.display.HungLeg;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.files.CatalogueFiles;
import hamper.files.ConfigurationFiles;
import hamper.guide.Cause;
import hamper.guide.Doing;
import hamper.guide.GuideKind;
import hamper.guide.Guides;
import hamper.guide.Inquiry;
import hamper.guide.Question;
import hamper.guide.Walk;
import hamper.pattern.Pattern;
import hamper.resolve.Placement;
import hamper.samples.RandomYards;
import hamper.samples.Trial;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Light;
import hamper.send.Lights;
import hamper.send.Ramp;
import hamper.send.Target;
import hamper.send.Targets;
import hamper.standin.Played;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A device is told something else than planned, and somebody answers what is seen: the guide finds
 * it. What is seen is played by the stand-in's own reading of the document.
 */
@Tag("trial")
class GuidesTellApartTest {
  private static final JsonMapper MAPPER = new JsonMapper();
  private static final int DISPLAYS = Trial.size(60, 100);
  private static final int STRINGS_A_DISPLAY = 3;
  private static final int MOST_QUESTIONS = 6;

  /** Something that a device is told otherwise. */
  private record Otherwise(String kind, String cause, Consumer<ObjectNode> told) {}

  private final Map<String, int[]> totals = new TreeMap<>();
  private final List<String> missed = new ArrayList<>();

  @Test
  void whatWasToldOtherwiseIsFoundFromAnswersAlone() {
    for (long seed = 1; seed <= DISPLAYS; seed++) {
      Facts facts = Facts.of(RandomYards.of(CatalogueFiles.shipped(), seed));
      Map<String, FrameLayout> layouts = FrameLayouts.of(facts);
      int strings = 0;
      for (var configuration : facts.configurations()) {
        ControllerFacts own =
            facts.controllers().get(facts.plan().indexOf(configuration.controller()));
        JsonNode told = MAPPER.readTree(ConfigurationFiles.json(configuration)).get("told");
        JsonNode model =
            MAPPER.readTree(
                CatalogueFiles.entry(facts.plan().modelOf(own.controller())).toString());
        if (!configuration.untold().isEmpty()) {
          continue; // it cannot do what is planned at all
        }
        for (RunFacts run : own.runs()) {
          for (HungLeg leg : run.run().legs()) {
            boolean string = run.run().carriesPixels() && !run.placements().isEmpty();
            if (string && strings < STRINGS_A_DISPLAY && leg.leg().mirrorOf().isEmpty()) {
              strings++;
              new OneString(facts, own, run, leg, layouts.get(own.controller().id()), told, model)
                  .tryAll(seed);
            }
          }
        }
      }
    }
    totals.forEach(
        (kind, counts) ->
            System.out.printf(
                "[guides] %-10s told otherwise %5d, not to be seen %4d, found alone %5d, one of two"
                    + " %4d, most questions %d%n",
                kind, counts[0], counts[1], counts[2], counts[3], counts[4]));
    missed.stream().limit(12).forEach(System.out::println);
    assertThat(missed).isEmpty();
    assertThat(totals).containsKeys("order", "nulls", "group", "backward", "brightness", "deaf");
    assertThat(totals.values()).allMatch(counts -> counts[2] + counts[3] > 0);
  }

  private final class OneString {
    private final Facts facts;
    private final ControllerFacts own;
    private final RunFacts run;
    private final HungLeg leg;
    private final FrameLayout layout;
    private final JsonNode told;
    private final JsonNode model;
    private final Played planned;
    private final String piece;

    OneString(
        Facts facts,
        ControllerFacts own,
        RunFacts run,
        HungLeg leg,
        FrameLayout layout,
        JsonNode told,
        JsonNode model) {
      this.facts = facts;
      this.own = own;
      this.run = run;
      this.leg = leg;
      this.layout = layout;
      this.told = told;
      this.model = model;
      this.planned = new Played(told, model);
      this.piece = leg.leg().piece();
    }

    void tryAll(long seed) {
      for (Otherwise one : all()) {
        ObjectNode otherwise = (ObjectNode) told.deepCopy();
        one.told().accept(otherwise);
        if (!otherwise.equals(told)) {
          walk(seed, one, new Played(otherwise, model));
        }
      }
    }

    private List<Otherwise> all() {
      List<Otherwise> all = new ArrayList<>();
      ColourOrder planned = leg.at().orderOf(leg.at().string().sections().get(0));
      for (String letters : permutations(planned.letters())) {
        all.add(
            new Otherwise(
                "order",
                "order-" + taken(planned.letters(), letters),
                doc -> set(doc, "colourOrder", node -> node.put("colourOrder", letters))));
      }
      int nulls = leg.leg().nullPixels() + leg.at().string().sections().get(0).nullPixels();
      for (int i = 0; i <= 3; i++) {
        int other = i;
        if (other != nulls) {
          all.add(new Otherwise("nulls", "nulls-" + other, doc -> nulls(doc, other)));
        }
      }
      all.add(forgotten("group", "group"));
      all.add(forgotten("fold", "fold"));
      all.add(forgotten("backward", "direction"));
      all.add(forgotten("brightness", "brightness"));
      int size = own.controller().settings().universeSize();
      int other = size == 512 ? 510 : 512;
      all.add(new Otherwise("size", "size-" + other, doc -> inputs(doc, size, other)));
      all.add(new Otherwise("deaf", "universe", this::deaf));
      return all;
    }

    private Otherwise forgotten(String option, String cause) {
      return new Otherwise(
          option,
          cause,
          doc ->
              set(
                  doc,
                  option,
                  node -> {
                    if (option.equals("brightness") && node.get(option).asInt() == 100) {
                      return;
                    }
                    if (option.equals("backward") && !node.get(option).asBoolean()) {
                      return;
                    }
                    node.remove(option);
                  }));
    }

    private ObjectNode output(ObjectNode doc) {
      for (JsonNode output : doc.get("outputs")) {
        if (output.get("kind").asString().equals("PIXEL")
            && output.get("port").asInt() == run.port().port()) {
          return (ObjectNode) output;
        }
      }
      throw new AssertionError(run.port());
    }

    /** Wherever the device is told an option of this string. */
    private void set(ObjectNode doc, String option, Consumer<ObjectNode> how) {
      ObjectNode output = output(doc);
      if (output.path("options").has(option)) {
        how.accept((ObjectNode) output.get("options"));
      }
      for (int i = 0; i < run.placements().size(); i++) {
        if (run.placements().get(i).leg() == leg.index()) {
          ObjectNode section = (ObjectNode) output.get("sections").get(i);
          if (section.has(option)) {
            how.accept(section);
          }
        }
      }
    }

    private void nulls(ObjectNode doc, int other) {
      ObjectNode output = output(doc);
      List<Placement> placements = run.placements();
      for (int i = 0; i < placements.size(); i++) {
        if (placements.get(i).leg() == leg.index()) {
          ObjectNode section = (ObjectNode) output.get("sections").get(i);
          if (section.has("nullPixels")) {
            section.put("nullPixels", other);
          } else if (i == 0 && output.path("options").has("nullPixels")) {
            ((ObjectNode) output.get("options")).put("nullPixels", other);
          }
          return;
        }
      }
    }

    private void inputs(ObjectNode doc, int size, int other) {
      for (JsonNode input : doc.get("inputs")) {
        if (input.path("count").asInt() > 0
            && input.get("size").asInt() == size
            && !input.has("dmxPort")
            && (size == 510 || size == 512)) {
          ((ObjectNode) input).put("size", other);
        }
      }
    }

    /** The last universe of what flows. */
    private void deaf(ObjectNode doc) {
      ObjectNode last = null;
      for (JsonNode input : doc.get("inputs")) {
        last = input.has("dmxPort") || input.path("count").asInt() == 0 ? last : (ObjectNode) input;
      }
      if (last != null) {
        last.put("count", last.get("count").asInt() - 1);
      }
    }

    private void walk(long seed, Otherwise one, Played otherwise) {
      GuideKind kind = one.kind().equals("order") ? GuideKind.WRONG_COLOURS : GuideKind.SHIFTED;
      Inquiry inquiry = inquiries.computeIfAbsent(kind, key -> Guides.of(key, facts, piece));
      int[] counts = totals.computeIfAbsent(one.kind(), key -> new int[5]);
      counts[0]++;
      thisWalk.clear();
      List<Walk.Answer> answers = new ArrayList<>();
      Walk walk = Walk.of(inquiry, answers);
      while (walk.next().isPresent() && answers.size() < MOST_QUESTIONS) {
        Question question = walk.next().get();
        answers.add(new Walk.Answer(question.id(), answer(inquiry, question, otherwise)));
        walk = Walk.of(inquiry, answers);
      }
      if (answers.stream().allMatch(given -> isAsPlanned(inquiry, given))
          && !visible(inquiry, otherwise)) {
        counts[1]++;
        return;
      }
      counts[4] = Math.max(counts[4], answers.size());
      List<String> left = walk.left().stream().map(Cause::id).toList();
      boolean known = inquiry.causes().stream().anyMatch(cause -> cause.id().equals(one.cause()));
      // of a short string several push all of it off its end: they are one cause
      boolean found =
          known
              ? left.contains(one.cause())
              : left.stream().anyMatch(cause -> cause.startsWith("nulls-"));
      if (found && left.size() <= 2) {
        counts[left.size() == 1 ? 2 : 3]++;
      } else {
        missed.add(
            "display %d, %s on %s, %s: %s after %s"
                .formatted(
                    seed, leg.at().title(), run.run().written(), one.cause(), left, answers));
      }
    }

    private final Map<GuideKind, Inquiry> inquiries = new HashMap<>();
    private final Map<Pattern, byte[]> frames = new HashMap<>();
    private final Map<Pattern, byte[]> plans = new HashMap<>();

    private boolean visible(Inquiry inquiry, Played otherwise) {
      return inquiry.questions().stream()
          .anyMatch(
              question ->
                  !answer(inquiry, question, otherwise).equals(answer(inquiry, question, planned)));
    }

    private boolean isAsPlanned(Inquiry inquiry, Walk.Answer given) {
      Question question =
          inquiry.questions().stream()
              .filter(one -> one.id().equals(given.question()))
              .findFirst()
              .orElseThrow();
      return answer(inquiry, question, planned).equals(given.answer());
    }

    /** What is answered as planned, and in this walk; each is asked for several times. */
    private final Map<String, String> asPlanned = new HashMap<>();

    private final Map<String, String> thisWalk = new HashMap<>();

    private String answer(Inquiry inquiry, Question question, Played device) {
      return (device == planned ? asPlanned : thisWalk)
          .computeIfAbsent(
              inquiry.kind() + question.id(), key -> worked(inquiry, question, device));
    }

    private String worked(Inquiry inquiry, Question question, Played device) {
      Pattern pattern = ((Doing.Light) question.doing()).pattern();
      byte[] frame = frames.computeIfAbsent(pattern, this::frame);
      byte[] plan = plans.computeIfAbsent(pattern, key -> played(planned, frame));
      byte[] shown = device == planned ? plan : played(device, frame);
      Guides.Clocked clocked =
          new Guides.Clocked(Map.of(run.port(), shown), Map.of(run.port(), plan));
      return Guides.seen(inquiry, facts, piece, question, clocked).orElseThrow();
    }

    private byte[] played(Played device, byte[] frame) {
      return device.shown(
          "PIXEL " + run.port().port(),
          text -> {
            int place = place(text);
            return place < 0 ? 0 : frame[place] & 255;
          });
    }

    private final Map<String, Integer> places = new HashMap<>();

    private int place(String text) {
      return places.computeIfAbsent(
          text,
          key -> {
            if (key.startsWith("byte ")) {
              return layout.place(Integer.parseInt(key.substring(5)));
            }
            String[] parts = key.split(":");
            return parts.length < 2
                ? FrameLayout.NOT_SENT
                : layout.place(Integer.parseInt(parts[0]), Integer.parseInt(parts[1]));
          });
    }

    private byte[] frame(Pattern pattern) {
      Light light = Light.of(facts, own, layout);
      byte[] frame = new byte[layout.length()];
      light.dark(frame);
      Targets what = Targets.of(new Target.OfPiece(piece));
      Lights.Hold hold = new Lights.Hold("Ann", what, pattern, 0, Ramp.steady(100), Map.of(), 100);
      light.spots().stream()
          .filter(spot -> spot.piece().equals(piece))
          .forEach(spot -> light.light(frame, spot, hold, 100, false, 0));
      return frame;
    }
  }

  private static List<String> permutations(String letters) {
    if (letters.length() < 3 || letters.length() > 4) {
      return List.of();
    }
    List<String> found = new ArrayList<>();
    permute("", letters, found);
    found.remove(letters);
    return found;
  }

  private static void permute(String begun, String left, List<String> found) {
    if (left.isEmpty()) {
      found.add(begun);
    }
    for (int i = 0; i < left.length(); i++) {
      permute(begun + left.charAt(i), left.substring(0, i) + left.substring(i + 1), found);
    }
  }

  private static String taken(String planned, String told) {
    StringBuilder taken = new StringBuilder();
    for (char letter : planned.toCharArray()) {
      taken.append(planned.charAt(told.indexOf(letter)));
    }
    return taken.toString();
  }
}
