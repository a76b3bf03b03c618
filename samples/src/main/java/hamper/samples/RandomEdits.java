package hamper.samples;

import hamper.catalog.PixelType;
import hamper.catalog.PortKind;
import hamper.display.Accepted;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.edit.AcceptFinding;
import hamper.edit.AdapterChange;
import hamper.edit.AddToCatalogue;
import hamper.edit.Change;
import hamper.edit.DisplaySettingsChange;
import hamper.edit.DuplicateProp;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.edit.MoveSlots;
import hamper.edit.OrderUniverses;
import hamper.edit.PowerInput;
import hamper.edit.PutProps;
import hamper.edit.RemakeWall;
import hamper.edit.RemoveProps;
import hamper.edit.RunChange;
import hamper.edit.SetAdapter;
import hamper.edit.SetDisplay;
import hamper.edit.SetFeed;
import hamper.edit.SetPieces;
import hamper.edit.SetPort;
import hamper.edit.SetSections;
import hamper.edit.Together;
import hamper.edit.TurnSections;
import hamper.edit.WithdrawAcceptance;
import hamper.value.RefusedException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * What planners do in an evening, at random: the same seed always does the same. An edit that the
 * plan refuses is not among them.
 */
public final class RandomEdits {
  private static final int MOST_TRIES = 200;

  private final Random random;
  private final Choice choice;
  private final List<Function<Plan, Edit>> kinds = new ArrayList<>();

  private final RandomStringEdits strings;
  private final RandomPatchEdits patching;
  private final List<Function<Plan, Edit>> others =
      List.of(
          this::slots,
          this::turn,
          this::powerInput,
          this::adapter,
          this::feed,
          this::port,
          this::wall,
          this::prop,
          this::addProp,
          this::duplicate,
          this::removeProp,
          this::rename,
          this::accept,
          this::withdraw,
          this::types,
          this::together,
          this::settings);

  public RandomEdits(long seed) {
    random = new Random(seed);
    choice = new Choice(random);
    strings = new RandomStringEdits(choice);
    patching = new RandomPatchEdits(choice);
    kinds.addAll(strings.kinds());
    kinds.addAll(patching.kinds());
    kinds.addAll(new RandomControllerEdits(choice).kinds());
    kinds.addAll(others);
    kinds.addAll(new RandomSiteEdits(choice).kinds());
  }

  /** Another edit that this plan takes. */
  public Edit next(Plan plan) {
    return taken(plan, () -> choice.one(kinds));
  }

  /** Another setting of some section, that this plan takes. */
  public Edit nextOfSection(Plan plan) {
    return taken(plan, () -> strings::section);
  }

  /**
   * Universes put in order anyhow. It has a draw of its own: among the others it would take so much
   * of what they make apart.
   */
  public Edit nextOrder() {
    OrderUniverses.By by = OrderUniverses.By.values()[random.nextInt(3)];
    return new OrderUniverses(by, 1 + random.nextInt(12), random.nextBoolean());
  }

  private Edit taken(Plan plan, Supplier<Function<Plan, Edit>> kind) {
    for (int i = 0; i < MOST_TRIES; i++) {
      try {
        Edit edit = kind.get().apply(plan);
        edit.applyTo(plan);
        return edit;
      } catch (RefusedException e) {
        continue; // such as feeds on a wall: another one
      }
    }
    throw new IllegalStateException("no edit in %d tries is taken".formatted(MOST_TRIES));
  }

  private Edit turn(Plan plan) {
    return new TurnSections(List.of(new SetSections.At(choice.string(plan).id(), 0)));
  }

  private Edit powerInput(Plan plan) {
    Optional<String> supply =
        Optional.of(choice.one(plan.display().power().supplies()).id())
            .filter(id -> random.nextBoolean());
    return new PowerInput(choice.controller(plan).id(), Optional.empty(), 1, supply);
  }

  private Edit adapter(Plan plan) {
    return new SetAdapter(
        choice.controller(plan).id(),
        0,
        new AdapterChange(Change.to("Adapter " + random.nextInt(9)), Change.stays()));
  }

  private Edit feed(Plan plan) {
    Leg leg = choice.leg(plan);
    Feed feed = choice.one(leg.feeds());
    return patching.step(
        SetFeed.between(
            leg,
            leg.withFeeds(
                leg.feeds().stream()
                    .map(one -> one == feed ? one.withPosition(1 + random.nextInt(9)) : one)
                    .toList())));
  }

  private Edit slots(Plan plan) {
    return new MoveSlots(List.of(choice.piece(plan).id()), random.nextInt(9) - 4);
  }

  private Edit port(Plan plan) {
    Change<Integer> brightness =
        random.nextBoolean() ? Change.to(random.nextInt(101)) : Change.none();
    return new SetPort(
        new PortRef(choice.controller(plan).id(), PortKind.PIXEL, 1 + random.nextInt(8)),
        new RunChange(Change.stays(), brightness));
  }

  private Edit wall(Plan plan) {
    return new RemakeWall(
        choice.one(plan.walls()).piece().id(), choice.one(List.of(RemakeWall.Way.values())));
  }

  private Edit prop(Plan plan) {
    Prop like = choice.one(plan.display().props());
    return EditsBetween.fields(
        like,
        new Prop(
            like.id(),
            "Renamed " + random.nextInt(1000),
            like.zone(),
            Optional.of(random.nextInt(101)),
            like.pieces()));
  }

  private Edit addProp(Plan plan) {
    String id = choice.id();
    PixelString string =
        new PixelString(
            id + "-1", "string", choice.string(plan).pixelType(), List.of(Section.of(30)));
    return new PutProps(
        List.of(new Prop(id, "New " + id, Optional.empty(), Optional.empty(), List.of(string))));
  }

  private Edit duplicate(Plan plan) {
    Prop like = choice.one(plan.display().props());
    return new DuplicateProp(like.id(), List.of(choice.id(), choice.id()), random.nextBoolean());
  }

  private Edit removeProp(Plan plan) {
    return new RemoveProps(List.of(choice.one(plan.display().props()).id()));
  }

  private Edit settings(Plan plan) {
    return new SetDisplay(
        Change.stays(),
        Optional.of(
            new DisplaySettingsChange(
                Change.to(1 + random.nextInt(20)),
                Change.to(1 + random.nextInt(9)),
                Change.to(25 + random.nextInt(30)),
                Change.stays(),
                Change.stays())));
  }

  private Edit rename(Plan plan) {
    PixelString old = choice.string(plan);
    return SetPieces.between(
        old,
        new PixelString(
            old.id(),
            "Line " + random.nextInt(1000),
            old.pixelType(),
            old.sections(),
            old.dataIn(),
            old.connector(),
            random.nextInt(5),
            old.wiring()));
  }

  private Edit accept(Plan plan) {
    return new AcceptFinding(
        new Accepted(
            Optional.of("%016x".formatted(random.nextInt(9))),
            "not-patched",
            "Prop %d".formatted(random.nextInt(9)),
            "It may be so"));
  }

  private Edit withdraw(Plan plan) {
    Accepted one = choice.one(plan.display().accepted());
    return new WithdrawAcceptance(one.identity(), one.code(), one.message());
  }

  private Edit types(Plan plan) {
    PixelType like = choice.one(plan.catalog().pixelTypes());
    PixelType own =
        new PixelType(
            choice.id(),
            "Own " + random.nextInt(1000),
            like.chip(),
            like.colourOrder(),
            like.bits(),
            like.bitRateKHz(),
            like.resetMicros(),
            like.headBits(),
            like.tailBits(),
            like.volts(),
            like.leastVolts(),
            like.fullMilliamps(),
            like.idleMilliamps());
    return new AddToCatalogue(List.of(), List.of(own));
  }

  private Edit together(Plan plan) {
    Edit first = patching.patch(plan);
    return new Together("Two at once", List.of(first, patching.gap(first.applyTo(plan).plan())));
  }
}
