package hamper.samples;

import hamper.address.ColourOrder;
import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.PortKind;
import hamper.catalog.ProtocolSupport;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.LegAt;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.SitePower;
import hamper.display.Subnet;
import hamper.display.Supply;
import hamper.edit.AddFeeds;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.edit.PatchPieces;
import hamper.edit.PutController;
import hamper.edit.PutProps;
import hamper.edit.PutSupply;
import hamper.edit.SetLegs;
import hamper.network.AddressLine;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * A display that is built step by step, as a planner would: each device right until it is changed.
 */
public final class Yard {
  private static final Subnet SHOW =
      new Subnet(
          "show",
          "Show network",
          new IpAddress("10.0.0.0"),
          16,
          Optional.of(new IpAddress("10.0.200.1")),
          Optional.of(new IpAddress("10.0.250.254")),
          Optional.of(Subnet.Multicast.ASKED));

  private static final Supply SUPPLY =
      new Supply(
          "yard-12v", "Supply", Optional.empty(), 12, 1000, Optional.empty(), Optional.empty());

  /** Of the stock node that its strings are made of, said of every section. */
  private static final ColourOrder ORDER = new ColourOrder("RGB");

  private Plan plan;
  private int made;

  private Yard(Plan plan) {
    this.plan = plan;
  }

  /** A subnet and a host that sends, h1. */
  public static Yard empty(Catalog catalog) {
    Display display =
        Display.empty("Yard")
            .withSubnets(List.of(SHOW))
            .withPower(new SitePower(List.of(SUPPLY), List.of()));
    Yard yard = new Yard(new Plan(display, catalog));
    yard.controller("h1", "show-computer");
    return yard;
  }

  /** Goes on where another stopped; that one stays as it is. */
  public static Yard on(Plan plan) {
    Yard yard = new Yard(plan);
    if (plan.supplies().find(SUPPLY.id()).isEmpty()) {
      yard.edit(new PutSupply(SUPPLY));
    }
    return yard;
  }

  public Plan plan() {
    return plan;
  }

  public Yard edit(Edit edit) {
    plan = edit.applyTo(plan).plan();
    return this;
  }

  /**
   * Places a device: the next free address, its first protocol by unicast, fed by h1, its power
   * inputs by one supply of 12 V.
   */
  public Yard controller(String id, String model) {
    DeviceModel found = plan.catalog().model(model).orElseThrow();
    Optional<ProtocolSupport> first = found.protocols().stream().findFirst();
    IpAddress address = AddressLine.of(plan.display()).get(0).free().get(0);
    ControllerSettings settings =
        ControllerSettings.of(first.map(ProtocolSupport::protocol).orElse(Protocol.NONE))
            .withAddress(Optional.of(address));
    int size = first.map(one -> size(one)).orElse(512);
    ControllerSettings fed =
        settings
            .withUniverseSize(size)
            .withSource(first.isPresent() ? Optional.of("h1") : Optional.empty());
    return edit(
        new PutController(
            new Controller(id, id.toUpperCase(), id, model, fed, Optional.empty(), List.of())
                .withPowered(Feeding.powered(found, SUPPLY.id()))));
  }

  private static int size(ProtocolSupport support) {
    return support.universeSizes().contains(510) ? 510 : 512;
  }

  /** Changes what is set for a device. */
  public Yard settings(String id, UnaryOperator<ControllerSettings> change) {
    return change(id, one -> one.withSettings(change.apply(one.settings())));
  }

  /** Makes a device what no edit could make of it, such as one with a leg on a port it has not. */
  public Yard change(String id, UnaryOperator<Controller> change) {
    List<Controller> changed =
        plan.display().controllers().stream()
            .map(one -> one.id().equals(id) ? change.apply(one) : one)
            .toList();
    plan = plan.with(plan.display().withControllers(changed));
    return this;
  }

  /** Changes a leg, its feeds too. */
  public Yard leg(String piece, UnaryOperator<Leg> change) {
    Leg before = plan.leg(piece).orElseThrow().leg();
    Leg after = change.apply(before);
    edit(SetLegs.between(before, after));
    EditsBetween.feeds(before, after).forEach(this::edit);
    return this;
  }

  /** A prop of one string on a pixel port, after what hangs there. */
  public Yard string(String id, String controller, int port, Section... sections) {
    List<Section> said =
        Arrays.stream(sections)
            .map(s -> s.colourOrder().isPresent() ? s : s.withColourOrder(Optional.of(ORDER)))
            .toList();
    return hang(new PixelString(id, "string", "node-12v", said), controller, port);
  }

  public Yard string(String id, String controller, int port, int pixels) {
    return string(id, controller, port, Section.of(pixels));
  }

  /** A prop of this piece, hung on the port of its kind. */
  public Yard hang(Piece piece, String controller, int port) {
    PortKind kind = piece.portKind();
    loose(piece)
        .edit(
            new PatchPieces(
                List.of(piece.id()), new PortRef(controller, kind, port), Optional.empty()));
    return piece instanceof PixelString string ? feed(string) : this;
  }

  /** Feeds along the string, counted from its socket. */
  private Yard feed(PixelString string) {
    LegAt at = plan.leg(string.id()).orElseThrow();
    Run run =
        plan.existingController(at.port().controller())
            .run(at.port().kind(), at.port().port())
            .orElseThrow();
    int before = 0;
    for (Leg leg : run.legs().subList(0, at.index())) {
      before += ((PixelString) plan.existingPiece(leg.piece()).piece()).places();
    }
    List<Feed> feeds = Feeding.feeds(SUPPLY.id(), before, string.places());
    return feeds.isEmpty() ? this : edit(new AddFeeds(string.id(), feeds));
  }

  /** A prop of these pieces that hang nowhere. */
  public Yard loose(Piece... pieces) {
    made++;
    String id = "prop-%s-%d".formatted(pieces[0].id(), made);
    return edit(
        new PutProps(
            List.of(
                new Prop(
                    id, pieces[0].id(), Optional.empty(), Optional.empty(), List.of(pieces)))));
  }
}
