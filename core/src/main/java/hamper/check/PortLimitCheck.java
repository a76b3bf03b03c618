package hamper.check;

import hamper.load.PortLoad;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;

/** More pixels on a port than the model drives, or than fit in a frame. */
final class PortLimitCheck implements Check {
  @Override
  public String code() {
    return "port-limit";
  }

  @Override
  public String title() {
    return "Too many pixels on a port";
  }

  @Override
  public Severity severity() {
    return Severity.FAULT;
  }

  @Override
  public String yard() {
    return "The last pixels stay dark, or the whole port stutters.";
  }

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
    facts.loads().stream()
        .filter(load -> load.over() > 0)
        .forEach(load -> out.accept(told(facts, load)));
  }

  private Finding told(Facts facts, PortLoad load) {
    int rate = facts.plan().display().settings().framesPerSecond();
    String why =
        load.limitBy() == PortLoad.LimitBy.MODEL
            ? "the model drives %d".formatted(load.limit())
            : String.format(
                Locale.ROOT,
                "%d fit in a frame of %.1f ms at %d frames/s",
                load.limit(),
                1000.0 / rate,
                rate);
    return finding(
        "%s carries %d pixels%s, %d too many: %s"
            .formatted(
                facts.plan().written(load.port()),
                load.places(),
                load.nullPixels() > 0 ? " (%d null)".formatted(load.nullPixels()) : "",
                load.over(),
                why),
        load.places() + " pixels",
        load.limit() + " pixels",
        List.of(Subject.port(load.port())));
  }
}
