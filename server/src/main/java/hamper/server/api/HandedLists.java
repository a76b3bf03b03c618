package hamper.server.api;

import hamper.change.AddressAt;
import hamper.change.MovedAddress;
import hamper.change.SendDifference;
import hamper.config.SendLine;
import hamper.config.SendList;
import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.files.Json;
import hamper.server.store.HandoverStore;
import hamper.server.store.HandoverStore.ListFact;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;

/**
 * Lists that people are handed: the send list of each source, and the list for whoever makes the
 * show.
 */
@Component
class HandedLists {
  /** For whoever makes the show, and not for a source. */
  static final String SHOW = "show";

  private static final TypeReference<List<SendLine>> LINES = new TypeReference<>() {};
  private static final TypeReference<List<AddressAt>> ADDRESSES = new TypeReference<>() {};

  private final HandoverStore store;

  HandedLists(HandoverStore store) {
    this.store = store;
  }

  /**
   * A list, and how it stands.
   *
   * @param source the id of the source; "show": whoever makes the show; "none": lines that no
   *     source is named for
   * @param title of whoever gets it
   * @param lines how many
   * @param version of the display that they have; left out where nobody was given it
   * @param differs what they have to be told otherwise, in words
   */
  record HandedList(
      String source,
      String title,
      int lines,
      Optional<Instant> at,
      String by,
      Optional<Integer> version,
      List<String> differs) {}

  List<HandedList> of(String display, int version, Facts facts) {
    Map<String, ListFact> given = new HashMap<>();
    store.lists(display).forEach(one -> given.put(one.source(), one));
    List<HandedList> lists = new ArrayList<>();
    List<SendLine> all = SendList.of(facts.plan(), facts.resolution());
    for (String source : sources(facts, all)) {
      List<SendLine> own = linesOf(all, source);
      Optional<ListFact> had = Optional.ofNullable(given.get(source));
      lists.add(
          list(
              source,
              facts.plan().controller(source).map(Controller::tag).orElse("no source named"),
              own.size(),
              had,
              had.map(one -> SendDifference.lines(Json.MAPPER.readValue(one.content(), LINES), own))
                  .orElse(List.of())));
    }
    lists.add(show(facts, Optional.ofNullable(given.get(SHOW))));
    return lists;
  }

  /** The list for whoever makes the show. */
  HandedList show(String display, Facts facts) {
    return show(
        facts, store.lists(display).stream().filter(one -> one.source().equals(SHOW)).findFirst());
  }

  private static HandedList show(Facts facts, Optional<ListFact> had) {
    List<AddressAt> addresses = AddressAt.of(facts.plan(), facts.resolution());
    return list(
        SHOW,
        "whoever makes the show",
        addresses.size(),
        had,
        had.map(one -> differs(Json.MAPPER.readValue(one.content(), ADDRESSES), addresses))
            .orElse(List.of()));
  }

  /** Where sections were that moved since whoever makes the show was told, by piece and section. */
  Map<String, String> movedSince(String display, Facts facts) {
    Map<String, String> moved = new HashMap<>();
    store.lists(display).stream()
        .filter(one -> one.source().equals(SHOW))
        .flatMap(
            one ->
                MovedAddress.between(
                    Json.MAPPER.readValue(one.content(), ADDRESSES),
                    AddressAt.of(facts.plan(), facts.resolution()))
                    .stream())
        .forEach(one -> moved.put(key(one.is()), one.was().text()));
    return moved;
  }

  /** What moved, came and went since they were told. */
  private static List<String> differs(List<AddressAt> was, List<AddressAt> is) {
    List<String> lines = new ArrayList<>();
    MovedAddress.between(was, is).forEach(one -> lines.add(one.told()));
    Set<String> before = keys(was);
    Set<String> after = keys(is);
    is.stream()
        .filter(one -> !before.contains(key(one)))
        .forEach(
            one ->
                lines.add("%s: new, at %s %s".formatted(one.title(), one.written(), one.text())));
    was.stream()
        .filter(one -> !after.contains(key(one)))
        .forEach(one -> lines.add("%s: gone from %s".formatted(one.title(), one.written())));
    return lines;
  }

  private static Set<String> keys(List<AddressAt> all) {
    Set<String> keys = new LinkedHashSet<>();
    all.forEach(one -> keys.add(key(one)));
    return keys;
  }

  private static String key(AddressAt at) {
    return "%s/%d".formatted(at.piece(), at.section());
  }

  private static HandedList list(
      String source, String title, int lines, Optional<ListFact> had, List<String> differs) {
    return new HandedList(
        source,
        title,
        lines,
        had.map(ListFact::at),
        had.map(ListFact::by).orElse(""),
        had.map(ListFact::version),
        differs);
  }

  private static Set<String> sources(Facts facts, List<SendLine> all) {
    Set<String> sources = new LinkedHashSet<>();
    all.forEach(line -> sources.add(line.sourceId().orElse("none")));
    return sources;
  }

  private static List<SendLine> linesOf(List<SendLine> all, String source) {
    return all.stream()
        .filter(line -> Objects.equals(line.sourceId().orElse("none"), source))
        .toList();
  }

  /** Somebody was handed a list as it is now. */
  void give(String display, int version, Facts facts, String source, String by) {
    String content =
        source.equals(SHOW)
            ? Json.MAPPER.writeValueAsString(AddressAt.of(facts.plan(), facts.resolution()))
            : Json.MAPPER.writeValueAsString(
                linesOf(SendList.of(facts.plan(), facts.resolution()), source));
    store.add(display, new ListFact(source, Instant.now(), by, version, content));
  }
}
