package hamper.display;

import hamper.catalog.Banks;
import java.util.LinkedHashMap;
import java.util.Map;

/** What of a plan can have a tag: strings, cables that lead to them, cables of banks. */
public final class Tagged {
  private Tagged() {}

  /** With their names: strings as props have them, then cables along the wires. */
  public static Map<Tag.On, String> things(Plan plan) {
    Map<Tag.On, String> all = new LinkedHashMap<>();
    for (Prop prop : plan.display().props()) {
      for (Piece piece : prop.pieces()) {
        if (piece instanceof PixelString) {
          all.put(Tag.On.string(piece.id()), prop.titleOf(piece));
        }
      }
    }
    for (Controller controller : plan.display().controllers()) {
      for (BankCable cable : controller.cables()) {
        all.put(Tag.On.bank(controller.id(), cable), bank(controller, cable.bank(), cable.box()));
      }
      for (HungRun run : plan.runsOf(controller)) {
        for (HungLeg leg : run.legs()) {
          if (run.cableTo(leg, plan).metres() > 0) {
            all.put(Tag.On.cable(leg.at().piece().id()), "cable to " + leg.at().title());
          }
        }
      }
    }
    return all;
  }

  /** How a thing is called, be it gone from the plan. */
  public static String nameOf(Plan plan, Tag.On on) {
    return switch (on.kind()) {
      case STRING -> plan.existingPiece(on.of()).title();
      case CABLE -> "cable to " + plan.existingPiece(on.of()).title();
      case BANK ->
          "%s bank %d, box %d"
              .formatted(plan.existingController(on.of()).tag(), on.bank().get(), on.box().get());
    };
  }

  private static String bank(Controller controller, int bank, int box) {
    return "%s bank %d, box %s".formatted(controller.tag(), bank, Banks.letter(box));
  }
}
