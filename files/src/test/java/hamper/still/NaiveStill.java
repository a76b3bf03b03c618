package hamper.still;

import hamper.address.ChannelSpan;
import hamper.address.StartsPer;
import hamper.catalog.AddressStyle;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.edit.HoldPlaces;
import hamper.edit.HoldPlaces.ControllerPlace;
import hamper.edit.HoldPlaces.LinePlace;
import hamper.edit.HoldPlaces.SectionPlace;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Placement;
import hamper.resolve.Resolution;
import hamper.resolve.Resolver;
import hamper.samples.Trial;
import hamper.value.RefusedException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Holds everything where it stood, and tries each thing that the edit touched at every channel
 * there is: slow, and nothing to be thought wrong in.
 */
final class NaiveStill {
  /** The short form tries one of so many channels: room is seldom less than a pixel or two. */
  private static final int STEP = Trial.size(5, 1);

  private NaiveStill() {}

  /** Whether any such place leaves all starts outside the edit where they were. */
  static boolean findsRoom(Plan was, Resolution stood, Plan is) {
    Outside outside = Outside.of(was, stood, is);
    Resolution plain = Resolver.resolve(is);
    List<SectionPlace> sections = new ArrayList<>();
    List<ControllerPlace> controllers = new ArrayList<>();
    List<LinePlace> lines = new ArrayList<>();
    List<Placement> touched = new ArrayList<>();
    int most = 0;
    for (Controller controller : is.display().controllers()) {
      if (was.controller(controller.id()).isEmpty()) {
        continue;
      }
      ControllerBlock block = stood.blocks().get(was.indexOf(controller.id()));
      block
          .firstUniverse()
          .ifPresent(first -> controllers.add(new ControllerPlace(controller.id(), first)));
      block.dmxUniverses().forEach((port, universe) -> lines.add(new LinePlace(port, universe)));
    }
    for (Placement at : plain.placements().toList()) {
      Controller controller = is.display().controllers().get(at.controller());
      boolean counts = is.modelOf(controller).dialect().style() == AddressStyle.PIXEL_COUNTS;
      boolean acts =
          !counts && (is.inForce(controller).startsPer() != StartsPer.PORT || at.position() == 1);
      Optional<Placement> then = outside.stood(at);
      if (at.mirror() || !acts || !at.kind().flows() || at.controllerChannels().isEmpty()) {
        continue;
      }
      most = Math.max(most, at.controllerChannels().get().end());
      if (then.isPresent()) {
        int start = then.get().controllerChannels().map(ChannelSpan::start).orElse(1);
        sections.add(new SectionPlace(at.piece(), at.section(), start));
      } else if (!at.held()) {
        // what somebody holds elsewhere is wanted there
        touched.add(at);
      }
    }
    if (touched.size() > 1) {
      return false; // too many ways to try
    }
    for (int channel = 0; channel <= most + 1; channel += channel == 0 ? 1 : STEP) {
      List<SectionPlace> tried = new ArrayList<>(sections);
      if (channel > 0 && touched.isEmpty()) {
        break;
      } else if (channel > 0) {
        Placement at = touched.get(0);
        tried.add(new SectionPlace(at.piece(), at.section(), channel));
      }
      try {
        Plan held = is.with(new HoldPlaces(tried, controllers, lines).change(is));
        Resolution stands = Resolver.resolve(held);
        if (outside.moved(stands) == 0
            && stands.overlaps().pairs().size() <= plain.overlaps().pairs().size()
            && stands.problems().size() <= plain.problems().size()
            && shared(stands) <= Math.max(shared(plain), shared(stood))) {
          return true;
        }
      } catch (RefusedException e) {
        // no such display can be
      }
    }
    return false;
  }

  /** Pairs of controllers that have a universe number in common. */
  private static int shared(Resolution resolution) {
    int shared = 0;
    for (ControllerBlock one : resolution.blocks()) {
      for (ControllerBlock other : resolution.blocks()) {
        boolean both =
            one.flowingUniverses() > 0
                && other.flowingUniverses() > 0
                && one.firstUniverse().isPresent()
                && other.firstUniverse().isPresent();
        if (both
            && one != other
            && one.firstUniverse().get() < other.firstUniverse().get() + other.flowingUniverses()
            && other.firstUniverse().get() < one.firstUniverse().get() + one.flowingUniverses()) {
          shared++;
        }
      }
    }
    return shared;
  }
}
