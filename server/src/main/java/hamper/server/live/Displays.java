package hamper.server.live;

import hamper.catalog.Catalog;
import hamper.display.Display;
import hamper.handover.Milestone;
import hamper.server.store.DisplayStore;
import hamper.server.store.DisplayStore.Listed;
import hamper.server.store.StorageFailedException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;

/** All displays; each is read from the store when first asked for, and stays in memory. */
@Service
public class Displays {
  private final DisplayStore store;
  private final Catalog catalog;
  private final Map<String, LiveDisplay> live = new ConcurrentHashMap<>();

  public Displays(DisplayStore store, Catalog catalog) {
    this.store = store;
    this.catalog = catalog;
  }

  /**
   * All of them, by name; none is opened for it. While the disk cannot be read these are the ones
   * in memory.
   */
  public List<Listed> list() {
    try {
      return store.list();
    } catch (StorageFailedException e) {
      return live.values().stream()
          .map(Displays::listed)
          .sorted(Comparator.comparing(Listed::name).thenComparing(Listed::id))
          .toList();
    }
  }

  private static Listed listed(LiveDisplay live) {
    LiveDisplay.Look look = live.look();
    Display display = look.facts().plan().display();
    return new Listed(
        live.id(),
        display.name(),
        look.version(),
        display.props().size(),
        display.controllers().size(),
        Instant.now(),
        Optional.empty());
  }

  /** Those that were removed and can be brought back, the latest first. */
  public List<Listed> removed() {
    return store.removed();
  }

  /**
   * Takes a display out of the list; it can be brought back for {@link DisplayStore#KEPT}.
   *
   * @throws NoSuchDisplayException where there is none
   */
  public void remove(String id) {
    listed(id);
    store.setRemoved(id, true);
    live.remove(id);
  }

  /**
   * @throws NoSuchDisplayException where no removed display has this id
   */
  public Listed bringBack(String id) {
    if (store.removed().stream().noneMatch(one -> one.id().equals(id))) {
      throw new NoSuchDisplayException("removed display", id);
    }
    store.setRemoved(id, false);
    return listed(id);
  }

  /** Forgets what was removed too long ago to be brought back. */
  public void forgetOld() {
    store.forget(Instant.now().minus(DisplayStore.KEPT));
  }

  /** Opens all of them, so that trouble is told now; answers it, a sentence each. */
  public List<String> openAll() {
    List<String> trouble = new ArrayList<>();
    for (Listed one : list()) {
      try {
        get(one.id());
      } catch (UnreadableDisplayException e) {
        trouble.add(e.getMessage());
      }
    }
    return trouble;
  }

  /**
   * @throws NoSuchDisplayException where there is none
   * @throws UnreadableDisplayException where what is stored of it makes no display
   */
  public LiveDisplay get(String id) {
    return live.computeIfAbsent(id, this::open);
  }

  /** Adds a display under a new id. */
  public Listed add(Display display) {
    String id = UUID.randomUUID().toString();
    store.add(id, display);
    return listed(id);
  }

  /** Adds a display with milestones under a new id: both or neither. */
  public Listed add(Display display, List<Milestone> milestones) {
    String id = UUID.randomUUID().toString();
    store.add(id, display, milestones);
    return listed(id);
  }

  private Listed listed(String id) {
    return store.find(id).orElseThrow(() -> new NoSuchDisplayException("display", id));
  }

  private LiveDisplay open(String id) {
    Listed listed = listed(id);
    try {
      return LiveDisplay.open(id, store, catalog);
    } catch (StorageFailedException e) {
      throw e;
    } catch (RuntimeException e) {
      throw new UnreadableDisplayException(listed.name(), e);
    }
  }
}
