package hamper.edit;

import hamper.display.Plan;

/** Removes a controller; what hung on it goes back to the tray. */
public record RemoveController(String controller) implements RemovesOne {
  @Override
  public Kind<?> kind() {
    return Kind.CONTROLLERS;
  }

  @Override
  public String label(Plan plan) {
    int pieces =
        plan.existingController(controller).runs().stream()
            .mapToInt(run -> run.legs().size())
            .sum();
    String removed = RemovesOne.super.label(plan);
    return switch (pieces) {
      case 0 -> removed;
      case 1 -> removed + ", 1 piece back to the tray";
      default -> removed + ", %d pieces back to the tray".formatted(pieces);
    };
  }
}
