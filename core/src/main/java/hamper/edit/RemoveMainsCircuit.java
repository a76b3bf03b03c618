package hamper.edit;

import hamper.display.Display;
import hamper.display.Enclosure;
import hamper.display.Plan;
import hamper.display.SitePower;
import hamper.display.Supply;
import java.util.List;
import java.util.Optional;

/** Removes a mains circuit; what hung on it hangs on none that is known afterwards. */
public record RemoveMainsCircuit(String mains) implements Edit {
  @Override
  public Display change(Plan plan) {
    SitePower power = plan.display().power();
    List<Supply> supplies =
        power.supplies().stream()
            .map(
                one ->
                    one.mains().equals(Optional.of(mains)) ? one.withMains(Optional.empty()) : one)
            .toList();
    List<Enclosure> enclosures =
        plan.enclosures().all().stream()
            .map(
                one ->
                    one.mains().equals(Optional.of(mains)) ? one.withMains(Optional.empty()) : one)
            .toList();
    return Kind.MAINS.without(
        plan,
        List.of(mains),
        plan.display().withEnclosures(enclosures).withPower(power.withSupplies(supplies)));
  }

  @Override
  public String label(Plan plan) {
    return "Remove mains circuit " + Kind.MAINS.title(plan, mains);
  }
}
