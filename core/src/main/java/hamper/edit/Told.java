package hamper.edit;

import hamper.address.Protocol;
import hamper.display.Controller;
import hamper.display.Enclosure;
import hamper.display.Hold;
import hamper.display.MainsCircuit;
import hamper.display.Plan;
import hamper.display.Subnet;
import hamper.display.Supply;
import hamper.display.Zone;
import hamper.value.Decimals;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What a change says, in words: "Set brightness of K1 to 40 %". */
final class Told {
  private static final String LET_MOVE = "Let starts move";

  /** More fields than these are not named one by one. */
  private static final int MOST_NAMED = 3;

  /** A field's words, where they are not those of its name, and its unit. */
  private record Words(String field, String unit) {}

  private static final Map<String, Words> WORDS =
      Map.ofEntries(
          Map.entry("brightness", new Words("brightness", " %")),
          Map.entry("efficiencyPercent", new Words("efficiency", " %")),
          Map.entry("leadMetres", new Words("lead", " m")),
          Map.entry("cableMetres", new Words("cable", " m")),
          Map.entry("cableGauge", new Words("cable wire", "")),
          Map.entry("gauge", new Words("wire", "")),
          Map.entry("spacingMetres", new Words("pixel spacing", " m")),
          Map.entry("connectorAmps", new Words("connector's rating", " A")),
          Map.entry("dataOnly", new Words("data only", "")),
          Map.entry("leakageMilliamps", new Words("leakage", " mA")),
          Map.entry("residualMilliamps", new Words("residual-current breaker", " mA")),
          Map.entry("switchOnAmps", new Words("switch-on current", " A")),
          Map.entry("shortestOnSeconds", new Words("shortest time on", " s")),
          Map.entry("shortestOffSeconds", new Words("shortest time off", " s")),
          Map.entry("longestOnSeconds", new Words("longest time on", " s")),
          Map.entry("metres", new Words("length", " m")),
          Map.entry("from", new Words("end", "")),
          Map.entry("to", new Words("end", "")),
          Map.entry("fuseAmps", new Words("fuse", " A")),
          Map.entry("volts", new Words("voltage", " V")),
          Map.entry("amps", new Words("rating", " A")),
          Map.entry("otherWatts", new Words("other load", " W")),
          Map.entry("eastMetres", new Words("place", "")),
          Map.entry("northMetres", new Words("place", "")),
          Map.entry("pitchMillimetres", new Words("pitch", " mm")),
          Map.entry("widthMillimetres", new Words("width", " mm")),
          Map.entry("heightMillimetres", new Words("height", " mm")),
          Map.entry("backward", new Words("direction", "")),
          Map.entry("cut", new Words("joint", "")),
          Map.entry("dataIn", new Words("data in", "")),
          Map.entry("dhcpFirst", new Words("DHCP range", "")),
          Map.entry("dhcpLast", new Words("DHCP range", "")),
          Map.entry("fromStorage", new Words("storage", "")),
          Map.entry("framesPerSecond", new Words("frame rate", "")),
          Map.entry("keepsStill", new Words("keeping still", "")),
          Map.entry("ledsPerPixel", new Words("LEDs a pixel", "")),
          Map.entry("mains", new Words("mains circuit", "")),
          Map.entry("mirrorOf", new Words("mirror", "")),
          Map.entry("reserveUniverses", new Words("reserved universes", "")),
          Map.entry("reserveChannels", new Words("reserved channels", "")),
          Map.entry("threshold", new Words("level", "")));

  private Told() {}

  /**
   * @param title names a thing by its id
   * @param plural of what they are
   */
  static String of(
      Plan plan, List<String> ids, Function<String, String> title, String plural, Record change) {
    String of = title.apply(ids.get(0)); // refuses one that is not there
    return of(plan, ids.size() == 1 ? of : ids.size() + " " + plural, change);
  }

  /** Of one thing, or of many that are named together. */
  static String of(Plan plan, String of, Record change) {
    List<Fields.Said> said = Fields.said(change);
    List<String> fields = said.stream().map(one -> words(one.name()).field()).distinct().toList();
    if (fields.isEmpty() || fields.size() > MOST_NAMED) {
      return "Change " + of;
    } else if (fields.size() == 1 && said.size() == 1) {
      return one(plan, of, said.get(0));
    }
    Map<String, String> values = new LinkedHashMap<>();
    said.forEach(
        one -> values.merge(words(one.name()).field(), to(plan, one), (a, b) -> a + " and" + b));
    List<String> told = values.entrySet().stream().map(e -> e.getKey() + e.getValue()).toList();
    String last = told.get(told.size() - 1);
    String before = String.join(", ", told.subList(0, told.size() - 1));
    String all = before.isEmpty() ? last : before + " and " + last;
    return "Set %s of %s".formatted(all, of);
  }

  /** " 31", or " none"; nothing where the value is too long to be read there. */
  private static String to(Plan plan, Fields.Said said) {
    return said.value().isEmpty()
        ? " none"
        : value(plan, said.name(), said.value().get()).map(to -> " " + to).orElse("");
  }

  private static String one(Plan plan, String of, Fields.Said said) {
    String field = said.name();
    if (said.value().isEmpty()) {
      return switch (field) {
        case "hold" -> "Let go " + of;
        case "box" -> "Take %s off its box".formatted(of);
        case "mirrorOf" -> "End the mirror " + of;
        case "keepsStill" -> LET_MOVE;
        default -> "Clear %s of %s".formatted(words(field).field(), of);
      };
    }
    Object value = said.value().get();
    if (value instanceof Hold hold) {
      return "Hold %s at %s".formatted(of, hold);
    }
    return switch (field) {
      case "name", "tag" -> "Rename %s to %s".formatted(of, value);
      case "backward" -> "Turn " + of;
      case "box" -> "Hang %s on box %s".formatted(of, value);
      case "cut" -> joint(of, (List<?>) value);
      case "keepsStill" -> value.equals(true) ? "Keep starts where they are" : LET_MOVE;
      default ->
          value(plan, field, value)
              .map(to -> "Set %s of %s to %s".formatted(words(field).field(), of, to))
              .orElseGet(() -> "Set %s of %s".formatted(words(field).field(), of));
    };
  }

  private static String joint(String of, List<?> cut) {
    if (cut.isEmpty()) {
      return "Let everything pass the joint before " + of;
    }
    return "Cut %s before %s"
        .formatted(cut.stream().map(Told::plain).collect(Collectors.joining(" and ")), of);
  }

  /** A value as people read it; empty where it is too long to be read there. */
  private static Optional<String> value(Plan plan, String field, Object value) {
    if (value instanceof List<?> || value instanceof String text && text.length() > 40) {
      return Optional.empty();
    }
    return Optional.of(
        switch (field) {
          case "zone" -> plan.zones().find(value.toString()).map(Zone::name).orElse("");
          case "source", "backup" ->
              plan.controller(value.toString()).map(Controller::tag).orElse("");
          case "supply" -> plan.supplies().find(value.toString()).map(Supply::name).orElse("");
          case "mains" -> plan.mains().find(value.toString()).map(MainsCircuit::name).orElse("");
          case "enclosure", "from", "to" ->
              plan.enclosures().find(value.toString()).map(Enclosure::name).orElse("");
          case "multicast" -> ((Subnet.Multicast) value).title();
          default -> plain(value) + words(field).unit();
        });
  }

  private static String plain(Object value) {
    if (value instanceof Protocol protocol) {
      return protocol.title();
    } else if (value instanceof Enum<?> one) {
      return one.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    } else if (value instanceof Boolean yes) {
      return yes ? "yes" : "no";
    } else if (value instanceof Double number) {
      return Decimals.plain(number);
    }
    return value.toString();
  }

  /** firstUniverse is the first universe. */
  private static Words words(String field) {
    Words known = WORDS.get(field);
    return known != null
        ? known
        : new Words(field.replaceAll("(?<=[a-z])(?=[A-Z])", " ").toLowerCase(Locale.ROOT), "");
  }
}
