package hamper.server.api;

import hamper.change.ToldDifference;
import hamper.config.Configuration;
import hamper.config.Configurations;
import hamper.config.Output;
import hamper.facts.Facts;
import hamper.handover.TakeOver;
import hamper.server.handover.DeviceReader;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a device has, beside the plan, and taken into it. */
@RestController
@RequestMapping("/api/displays/{id}/handover/controllers/{controller}")
@Tag(name = "handover")
class TakingController {
  private final Displays displays;
  private final DeviceReader reader;
  private final Publisher publisher;

  TakingController(Displays displays, DeviceReader reader, Publisher publisher) {
    this.displays = displays;
    this.reader = reader;
    this.publisher = publisher;
  }

  /**
   * One output of a device, or the device itself, beside the plan.
   *
   * @param key by which it is taken
   * @param planned whether the plan has anything there
   * @param has whether the device has
   * @param lines what the device has otherwise than it is planned; none where both are the same
   */
  record DevicePart(String key, String title, boolean planned, boolean has, List<String> lines) {}

  /** What a device has, part by part. */
  record DeviceView(int version, List<DevicePart> parts) {}

  /**
   * What is taken over.
   *
   * @param version of the display that it was looked at with
   * @param keys of parts
   */
  record TakeRequest(int version, Set<String> keys) {
    TakeRequest {
      keys = Set.copyOf(keys);
    }
  }

  @GetMapping("/device")
  @Operation(summary = "What the device has, beside what is planned; 409 where it cannot be read")
  DeviceView device(@PathVariable String id, @PathVariable String controller)
      throws InterruptedException {
    LiveDisplay.Look look = displays.get(id).look();
    Facts facts = look.facts();
    int index = HandoverController.indexOf(facts, controller);
    Configuration has = reader.read(id, facts, controller);
    Configuration planned = Configurations.of(facts.plan(), facts.resolution(), index);
    Map<String, ToldDifference> differs = ToldDifference.between(planned, has).byPart();
    Map<String, Output> here = outputs(planned);
    Map<String, Output> there = outputs(has);
    List<DevicePart> parts = new ArrayList<>();
    parts.add(part(TakeOver.DEVICE, "The device and its inputs", true, true, differs));
    for (Output output : has.outputs()) {
      String key = TakeOver.keyOf(output);
      boolean wanted = here.containsKey(key) && here.get(key).used();
      if (wanted || there.get(key).used()) {
        parts.add(part(key, output.label(), wanted, output.used(), differs));
      }
    }
    return new DeviceView(look.version(), parts);
  }

  private static Map<String, Output> outputs(Configuration of) {
    Map<String, Output> outputs = new LinkedHashMap<>();
    of.outputs().forEach(output -> outputs.put(TakeOver.keyOf(output), output));
    return outputs;
  }

  private static DevicePart part(
      String key, String title, boolean planned, boolean has, Map<String, ToldDifference> differs) {
    ToldDifference own = differs.get(key);
    return new DevicePart(key, title, planned, has, own == null ? List.of() : own.lines());
  }

  @PostMapping("/taking")
  @Operation(summary = "Take parts of what the device has into the plan, as one step")
  Delta take(
      @PathVariable String id, @PathVariable String controller, @RequestBody TakeRequest request)
      throws InterruptedException {
    Facts facts = displays.get(id).look().facts();
    HandoverController.indexOf(facts, controller);
    Configuration has = reader.read(id, facts, controller);
    return publisher.publish(
        id,
        (live, before) ->
            live.editExactly(
                request.version(),
                TakeOver.edit(live.look().facts().plan(), controller, has, request.keys()),
                before));
  }
}
