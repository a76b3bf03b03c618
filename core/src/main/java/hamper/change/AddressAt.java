package hamper.change;

import hamper.address.ChannelSpan;
import hamper.address.UniverseChannel;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.resolve.Placement;
import hamper.resolve.Resolution;
import java.util.List;
import java.util.Optional;

/**
 * Where a section, circuit or fixture stands, in every way in which addresses are written; it can
 * be kept and compared with later ones when the plan that it was taken from is gone.
 *
 * @param prop the id of the prop
 * @param name of the prop
 * @param title of the piece, as people call it
 * @param section in its piece, from 1
 * @param controller the tag of the controller
 * @param written the port, such as K1-7
 * @param channels that it answers to
 * @param start first slot on the wire; none on DDP
 * @param own first channel of the controller's block, from 1; 0 where it has none
 * @param displayStart first display channel, from 1; 0 where it has none
 */
public record AddressAt(
    String prop,
    String name,
    String piece,
    String title,
    int section,
    String controller,
    String written,
    int channels,
    Optional<UniverseChannel> start,
    int own,
    int displayStart) {

  /** Of a whole plan, in the order of its controllers. */
  public static List<AddressAt> of(Plan plan, Resolution resolution) {
    return resolution.placements().map(at -> of(plan, at)).toList();
  }

  /**
   * Of one controller.
   *
   * @param index its place in the list
   */
  public static List<AddressAt> of(Plan plan, Resolution resolution, int index) {
    return resolution.byController().get(index).stream().map(at -> of(plan, at)).toList();
  }

  private static AddressAt of(Plan plan, Placement at) {
    PieceAt piece = plan.existingPiece(at.piece());
    return new AddressAt(
        piece.prop().id(),
        piece.prop().name(),
        at.piece(),
        piece.title(),
        at.section() + 1,
        plan.display().controllers().get(at.controller()).tag(),
        plan.written(at.port()),
        at.channels(),
        at.start(),
        at.controllerChannels().map(ChannelSpan::start).orElse(0),
        at.displayStart());
  }

  /** The same section, wherever it stands. */
  String key() {
    return "%s/%d".formatted(piece, section);
  }

  /** Whether what is sent to this one lights the other too. */
  boolean standsWith(AddressAt other) {
    return controller.equals(other.controller)
        && channels == other.channels
        && start.equals(other.start)
        && own == other.own
        && displayStart == other.displayStart;
  }

  /** On the wire, such as "12:301"; the controller's own channel where it has no universes. */
  public String text() {
    return start
        .map(at -> "%d:%d".formatted(at.universe(), at.channel()))
        .orElseGet(() -> own == 0 ? "no address" : "channel " + own);
  }
}
