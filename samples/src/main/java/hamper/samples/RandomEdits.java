package hamper.samples;

import hamper.catalog.DeviceModel;
import hamper.catalog.Gauge;
import hamper.catalog.PixelType;
import hamper.catalog.PortKind;
import hamper.display.Accepted;
import hamper.display.Conductor;
import hamper.display.Controller;
import hamper.display.Feed;
import hamper.display.Hold;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.edit.AcceptFinding;
import hamper.edit.AdapterChange;
import hamper.edit.AddControllers;
import hamper.edit.AddToCatalogue;
import hamper.edit.Change;
import hamper.edit.CutString;
import hamper.edit.DisplaySettingsChange;
import hamper.edit.DuplicateProp;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.edit.ExchangeController;
import hamper.edit.HoldGiven;
import hamper.edit.HoldPlaces;
import hamper.edit.JoinSections;
import hamper.edit.MoveBoundary;
import hamper.edit.MoveController;
import hamper.edit.MoveSlots;
import hamper.edit.OrderUniverses;
import hamper.edit.PatchAcross;
import hamper.edit.PatchNearest;
import hamper.edit.PatchPieces;
import hamper.edit.PowerInput;
import hamper.edit.PutController;
import hamper.edit.PutProps;
import hamper.edit.RemakeWall;
import hamper.edit.RemoveController;
import hamper.edit.RemoveProps;
import hamper.edit.RunChange;
import hamper.edit.SetAdapter;
import hamper.edit.SetDisplay;
import hamper.edit.SetFeed;
import hamper.edit.SetLegs;
import hamper.edit.SetMode;
import hamper.edit.SetPieces;
import hamper.edit.SetPort;
import hamper.edit.SetSections;
import hamper.edit.SplitSection;
import hamper.edit.Together;
import hamper.edit.TurnSections;
import hamper.edit.UnpatchPieces;
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

  private final List<Function<Plan, Edit>> ofPatching =
      List.of(
          this::section,
          this::section,
          this::brightness,
          this::hold,
          this::split,
          this::cut,
          this::join,
          this::boundary,
          this::patch,
          this::patch,
          this::unpatch,
          this::nearest,
          this::across,
          this::mirror,
          this::gap,
          this::joint,
          this::feeds,
          this::feeds,
          this::box,
          this::mode,
          this::controller,
          this::dimmer,
          this::firstUniverse,
          this::exchange,
          this::holdGiven,
          this::holdPlaces,
          this::moveController,
          this::removeController,
          this::addControllers,
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
    kinds.addAll(ofPatching);
    kinds.addAll(new RandomSiteEdits(choice).kinds());
  }

  /** Another edit that this plan takes. */
  public Edit next(Plan plan) {
    return taken(plan, () -> one(kinds));
  }

  /** Another setting of some section, that this plan takes. */
  public Edit nextOfSection(Plan plan) {
    return taken(plan, () -> this::section);
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

  private <T> T one(List<T> all) {
    return choice.one(all);
  }

  private Prop prop(List<Prop> props) {
    return one(props);
  }

  private Piece piece(Plan plan) {
    return one(prop(plan.display().props()).pieces());
  }

  private PixelString string(Plan plan) {
    if (piece(plan) instanceof PixelString string) {
      return string;
    }
    throw new RefusedException("piece", "something else", "a string is wanted");
  }

  private Controller anyController(Plan plan) {
    return one(plan.display().controllers());
  }

  private String id() {
    return choice.id();
  }

  /** One setting of a section at a time, as people do it. */
  private Edit section(Plan plan) {
    PixelString string = string(plan);
    int index = random.nextInt(string.sections().size());
    Section old = string.sections().get(index);
    int what = random.nextInt(4);
    Section changed =
        new Section(
            what == 0 ? 1 + random.nextInt(120) : old.pixels(),
            what == 1 ? random.nextInt(3) : old.nullPixels(),
            what == 2 ? 1 + random.nextInt(3) : old.group(),
            old.fold(),
            (what == 3) != old.backward(),
            old.colourOrder(),
            old.brightness(),
            old.hold());
    return SetSections.between(new SetSections.At(string.id(), index), old, changed);
  }

  private Edit brightness(Plan plan) {
    PixelString string = string(plan);
    int index = random.nextInt(string.sections().size());
    Section section = string.sections().get(index);
    return SetSections.brightness(
        new SetSections.At(string.id(), index), section, random.nextInt(101));
  }

  private Edit hold(Plan plan) {
    PixelString string = string(plan);
    int index = random.nextInt(string.sections().size());
    Hold hold = new Hold(Optional.empty(), 1 + random.nextInt(3000));
    Section section = string.sections().get(index);
    return SetSections.between(
        new SetSections.At(string.id(), index), section, section.withHold(Optional.of(hold)));
  }

  private Edit split(Plan plan) {
    PixelString string = string(plan);
    int index = random.nextInt(string.sections().size());
    return new SplitSection(
        string.id(), index, 1 + random.nextInt(string.sections().get(index).pixels()));
  }

  private Edit cut(Plan plan) {
    PixelString string = string(plan);
    return new CutString(string.id(), 1 + random.nextInt(string.pixels()), id());
  }

  private Edit join(Plan plan) {
    PixelString string = ofSections(plan);
    return new JoinSections(string.id(), random.nextInt(string.sections().size() - 1));
  }

  private Edit boundary(Plan plan) {
    PixelString string = ofSections(plan);
    return new MoveBoundary(
        string.id(), random.nextInt(string.sections().size() - 1), random.nextInt(80) - 40);
  }

  /** A string of several sections. */
  private PixelString ofSections(Plan plan) {
    return one(
        plan.display().props().stream()
            .flatMap(prop -> prop.pieces().stream())
            .filter(PixelString.class::isInstance)
            .map(PixelString.class::cast)
            .filter(string -> string.sections().size() > 1)
            .toList());
  }

  private Edit patch(Plan plan) {
    PortRef port = new PortRef(anyController(plan).id(), PortKind.PIXEL, 1 + random.nextInt(12));
    return new PatchPieces(List.of(piece(plan).id()), port, Optional.empty());
  }

  private Edit unpatch(Plan plan) {
    return new UnpatchPieces(List.of(piece(plan).id()));
  }

  private Edit nearest(Plan plan) {
    return new PatchNearest(List.of(piece(plan).id(), piece(plan).id()));
  }

  private Edit across(Plan plan) {
    return new PatchAcross(
        prop(plan.display().props()).pieces().stream().map(Piece::id).toList(),
        anyController(plan).id(),
        Optional.empty());
  }

  private Edit mirror(Plan plan) {
    return SetLegs.mirror(string(plan).id(), Optional.of(string(plan).id()));
  }

  private Edit gap(Plan plan) {
    Leg leg = leg(plan);
    return SetLegs.between(
        leg,
        leg.withGap(
            random.nextInt(4),
            Optional.of((double) random.nextInt(20)),
            Optional.of(Gauge.awg(14 + 2 * random.nextInt(5)))));
  }

  private Edit joint(Plan plan) {
    Leg leg = leg(plan);
    return SetLegs.between(leg, leg.withCut(List.of(one(List.of(Conductor.values())))));
  }

  /** One that is there already. */
  private Leg leg(Plan plan) {
    return one(plan.leg(piece(plan).id()).stream().toList()).leg();
  }

  /** As one step, where there is anything to be done. */
  private Edit step(List<Edit> edits) {
    one(edits);
    return EditsBetween.together("Change several things", edits);
  }

  private Edit feeds(Plan plan) {
    PixelString string = string(plan);
    Leg leg = one(plan.leg(string.id()).stream().toList()).leg();
    String supply = one(plan.supplies().all()).id();
    Feed feed =
        new Feed(
            supply,
            1 + random.nextInt(string.places()),
            Optional.of(1.0 + random.nextInt(5)),
            Optional.empty(),
            Optional.of(1.0 + random.nextInt(10)));
    List<Feed> feeds = random.nextInt(4) == 0 ? List.of() : List.of(feed);
    return step(EditsBetween.feeds(leg, leg.withFeeds(feeds)));
  }

  private Edit box(Plan plan) {
    Leg leg = leg(plan);
    return SetLegs.between(leg, leg.withBox(Optional.of(1 + random.nextInt(3))));
  }

  private Edit mode(Plan plan) {
    Controller controller = anyController(plan);
    List<String> modes =
        plan.modelOf(controller).ports().stream()
            .flatMap(group -> group.modes().stream())
            .map(mode -> mode.name())
            .toList();
    return new SetMode(controller.id(), Optional.of(one(modes)));
  }

  private Edit controller(Plan plan) {
    Controller like = anyController(plan);
    return new PutController(
        new Controller(
            id(),
            "N" + random.nextInt(10_000),
            like.name(),
            like.model(),
            like.settings().withAddress(Optional.empty()),
            Optional.empty(),
            List.of()));
  }

  private Edit dimmer(Plan plan) {
    Controller controller = anyController(plan);
    return EditsBetween.fields(
        controller,
        controller.withSettings(
            controller.settings().withBrightness(Optional.of(random.nextInt(101)))));
  }

  private Edit firstUniverse(Plan plan) {
    Controller controller = anyController(plan);
    Optional<Integer> first = Optional.of(1 + random.nextInt(60)).filter(u -> random.nextBoolean());
    return EditsBetween.fields(
        controller,
        controller.withSettings(controller.settings().withBlock(first, random.nextInt(6), 0)));
  }

  private Edit exchange(Plan plan) {
    DeviceModel model = one(plan.catalog().models());
    return new ExchangeController(anyController(plan).id(), model.id());
  }

  private Edit holdGiven(Plan plan) {
    return new HoldGiven(anyController(plan).id());
  }

  private Edit holdPlaces(Plan plan) {
    return new HoldPlaces(
        List.of(new HoldPlaces.SectionPlace(string(plan).id(), 0, 1 + random.nextInt(2_000))),
        List.of(),
        List.of());
  }

  private Edit moveController(Plan plan) {
    return new MoveController(anyController(plan).id(), random.nextInt(7) - 3);
  }

  private Edit addControllers(Plan plan) {
    return new AddControllers(one(plan.catalog().models()).id(), List.of(id()));
  }

  private Edit turn(Plan plan) {
    return new TurnSections(List.of(new SetSections.At(string(plan).id(), 0)));
  }

  private Edit powerInput(Plan plan) {
    Optional<String> supply =
        Optional.of(one(plan.display().power().supplies()).id()).filter(id -> random.nextBoolean());
    return new PowerInput(anyController(plan).id(), Optional.empty(), 1, supply);
  }

  private Edit adapter(Plan plan) {
    return new SetAdapter(
        anyController(plan).id(),
        0,
        new AdapterChange(Change.to("Adapter " + random.nextInt(9)), Change.stays()));
  }

  private Edit feed(Plan plan) {
    Leg leg = leg(plan);
    Feed feed = one(leg.feeds());
    return step(
        SetFeed.between(
            leg,
            leg.withFeeds(
                leg.feeds().stream()
                    .map(one -> one == feed ? one.withPosition(1 + random.nextInt(9)) : one)
                    .toList())));
  }

  private Edit slots(Plan plan) {
    return new MoveSlots(List.of(piece(plan).id()), random.nextInt(9) - 4);
  }

  private Edit port(Plan plan) {
    Change<Integer> brightness =
        random.nextBoolean() ? Change.to(random.nextInt(101)) : Change.none();
    return new SetPort(
        new PortRef(anyController(plan).id(), PortKind.PIXEL, 1 + random.nextInt(8)),
        new RunChange(Change.stays(), brightness));
  }

  private Edit wall(Plan plan) {
    return new RemakeWall(one(plan.walls()).piece().id(), one(List.of(RemakeWall.Way.values())));
  }

  private Edit removeController(Plan plan) {
    return new RemoveController(anyController(plan).id());
  }

  private Edit prop(Plan plan) {
    Prop like = prop(plan.display().props());
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
    String id = id();
    PixelString string =
        new PixelString(id + "-1", "string", string(plan).pixelType(), List.of(Section.of(30)));
    return new PutProps(
        List.of(new Prop(id, "New " + id, Optional.empty(), Optional.empty(), List.of(string))));
  }

  private Edit duplicate(Plan plan) {
    Prop like = prop(plan.display().props());
    return new DuplicateProp(like.id(), List.of(id(), id()), random.nextBoolean());
  }

  private Edit removeProp(Plan plan) {
    return new RemoveProps(List.of(prop(plan.display().props()).id()));
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
    PixelString old = string(plan);
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
    Accepted one = one(plan.display().accepted());
    return new WithdrawAcceptance(one.identity(), one.code(), one.message());
  }

  private Edit types(Plan plan) {
    PixelType like = one(plan.catalog().pixelTypes());
    PixelType own =
        new PixelType(
            id(),
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
    Edit first = patch(plan);
    return new Together("Two at once", List.of(first, gap(first.applyTo(plan).plan())));
  }
}
