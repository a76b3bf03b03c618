package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.Identified;
import hamper.value.RecordShape;
import java.util.List;

/** Changes fields of things of one kind; its first field names them by their ids. */
sealed interface SetsFields<T extends Record & Identified> extends Edit
    permits SetControllers,
        SetProps,
        SetZones,
        SetSubnets,
        SetSupplies,
        SetMainsCircuits,
        SetEnclosures,
        SetLinks {
  ChangeOf<T> set();

  @SuppressWarnings("unchecked") // ids, in each of them
  private List<String> ids() {
    return (List<String>) RecordShape.of(getClass()).value((Record) this, 0);
  }

  @Override
  default Display change(Plan plan) {
    return Kind.changedBy(set()).changing(plan, ids(), set()::over);
  }

  @Override
  default String label(Plan plan) {
    Kind<T> kind = Kind.changedBy(set());
    return Told.of(plan, ids(), id -> kind.title(plan, id), kind.plural(), (Record) set());
  }
}
