package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;

/**
 * A change somebody asks for: a value, which can be kept, told and applied.
 *
 * <p>Ids of new things are chosen by whoever asks, so that the same edit always gives the same
 * display.
 */
public sealed interface Edit
    permits PatchPieces,
        UnpatchPieces,
        SetLegs,
        SetPort,
        SetSections,
        SetPieces,
        MoveSlots,
        TurnSections,
        RemakeWall,
        SetControllers,
        SetAdapter,
        PowerInput,
        AddControllers,
        SetProps,
        SetZones,
        SetSubnets,
        SetSupplies,
        SetMainsCircuits,
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
        PutZone,
        RemoveZone,
        PutController,
        RemoveController,
        MoveController,
        SetDisplay,
        PatchAcross,
        SetMode,
        ExchangeController,
        HoldGiven,
        HoldPlaces,
        OrderUniverses,
        PutSubnet,
        RemoveSubnet,
        AddToCatalogue,
        PutSupply,
        RemoveSupply,
        PutMainsCircuit,
        RemoveMainsCircuit,
        PutEnclosure,
        SetEnclosures,
        RemoveEnclosure,
        PutLink,
        SetLinks,
        RemoveLink,
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

  /** Applies the edit; nothing has changed where it throws. */
  default Applied applyTo(Plan plan) {
    Plan after = plan.with(change(plan));
    return new Applied(after, Restore.back(label(plan), after.display(), plan.display()));
  }

  /**
   * @param plan after the edit
   * @param inverse takes it back
   */
  record Applied(Plan plan, Restore inverse) {}
}
