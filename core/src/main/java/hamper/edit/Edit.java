package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/**
 * A change somebody asks for: a value, which can be kept, told and applied.
 *
 * <p>Ids of new things are chosen by whoever asks, so that the same edit always gives the same
 * display.
 */
public sealed interface Edit
    permits AddsOne,
        SetsFields,
        RemovesOne,
        PatchPieces,
        UnpatchPieces,
        SetLegs,
        SetPort,
        SetSections,
        SetPieces,
        MoveSlots,
        TurnSections,
        RemakeWall,
        SetAdapter,
        PowerInput,
        AddControllers,
        AddFeeds,
        SetFeed,
        RemoveFeed,
        SplitSection,
        CutString,
        JoinSections,
        MoveBoundary,
        PutProps,
        RemoveProps,
        DuplicateProp,
        PatchNearest,
        Together,
        AcceptFinding,
        WithdrawAcceptance,
        MoveController,
        SetDisplay,
        PatchAcross,
        SetMode,
        ExchangeController,
        HoldGiven,
        HoldPlaces,
        OrderUniverses,
        AddToCatalogue,
        GiveTags,
        SetTag,
        SetWorkshop,
        SetStock,
        HangPieces,
        Restore {

  /**
   * The display after the edit.
   *
   * @throws hamper.value.RefusedException where the plan has no such thing, or the result cannot be
   */
  Display change(Plan plan);

  /** What it does, as the undo button and the log say it; told on the plan before it. */
  String label(Plan plan);

  /**
   * Whether it says by how much and not to what: two such edits of one field do not get in each
   * other's way.
   */
  default boolean relative() {
    return false;
  }

  /** All of them: what stands between is told apart here, and nowhere else. */
  static List<Class<? extends Edit>> kinds() {
    return kinds(Edit.class).toList();
  }

  private static Stream<Class<? extends Edit>> kinds(Class<? extends Edit> of) {
    return of.isRecord()
        ? Stream.of(of)
        : Arrays.stream(of.getPermittedSubclasses())
            .flatMap(kind -> kinds(kind.asSubclass(Edit.class)));
  }

  /** Applies the edit; nothing has changed where it throws. */
  default Applied applyTo(Plan plan) {
    Plan after = plan.with(change(plan));
    return new Applied(after, Restore.between(label(plan), after.display(), plan.display()));
  }

  /**
   * @param plan after the edit
   * @param inverse takes it back
   */
  record Applied(Plan plan, Restore inverse) {}
}
