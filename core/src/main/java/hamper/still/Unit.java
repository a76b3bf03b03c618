package hamper.still;

import hamper.address.ChannelSpan;
import hamper.catalog.PortKind;
import hamper.resolve.Placement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What starts together: one section, or all of a port.
 *
 * @param starts with each of them something of it stays that the edit left alone: how many
 *     channels; also where it stood itself
 * @param needs channels now
 * @param weight channels of what the edit left alone
 * @param holdable whether its start can be held
 */
record Unit(
    Placement first,
    Map<Integer, Integer> starts,
    int needs,
    int weight,
    boolean touched,
    boolean holdable) {

  /**
   * Of one controller.
   *
   * @param perPort whether it takes one start a port
   * @param now where all of it stands without any hold
   * @param then where all of it stood
   */
  static List<Unit> of(
      boolean perPort, List<Placement> now, List<Placement> then, Outside outside) {
    Map<Object, List<Placement>> together = new LinkedHashMap<>();
    for (Placement at : now) {
      if (!at.mirror() && at.kind() != PortKind.DMX && at.controllerChannels().isPresent()) {
        Object key = perPort ? at.port() : new Outside.Key(at.piece(), at.section());
        together.computeIfAbsent(key, any -> new ArrayList<>()).add(at);
      }
    }
    Map<Outside.Key, Placement> before = new HashMap<>();
    then.forEach(at -> before.put(new Outside.Key(at.piece(), at.section()), at));
    return together.values().stream().map(all -> of(all, perPort, before, outside)).toList();
  }

  private static Unit of(
      List<Placement> all, boolean perPort, Map<Outside.Key, Placement> before, Outside outside) {
    Placement first = all.get(0);
    Placement last = all.get(all.size() - 1);
    int begin = first.controllerChannels().get().start();
    Map<Integer, Integer> starts = new LinkedHashMap<>();
    Optional.ofNullable(before.get(new Outside.Key(first.piece(), first.section())))
        .filter(at -> at.port().equals(first.port()))
        .flatMap(Placement::controllerChannels)
        .ifPresent(span -> starts.put(span.start(), 0));
    for (Placement at : all) {
      // the start with which this one stays where it stood
      outside
          .stood(at)
          .flatMap(Placement::controllerChannels)
          .map(span -> span.start() - (at.controllerChannels().get().start() - begin))
          .filter(start -> start >= 1)
          .ifPresent(start -> starts.merge(start, at.channels(), Integer::sum));
    }
    return new Unit(
        first,
        starts,
        last.controllerChannels().get().end() - begin,
        all.stream()
            .filter(at -> outside.stood(at).isPresent())
            .mapToInt(Placement::channels)
            .sum(),
        all.stream().anyMatch(at -> outside.stood(at).isEmpty()),
        !perPort || first.position() == 1);
  }

  ChannelSpan at(int start) {
    return ChannelSpan.ofLength(start, needs);
  }
}
