package hamper.server.live;

import hamper.catalog.Catalog;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.server.store.DisplayStore;
import java.util.List;
import java.util.Map;
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

  /** All of them, by name. */
  public List<LiveDisplay> all() {
    return store.ids().stream().map(this::get).toList();
  }

  /**
   * @throws NoSuchDisplayException where there is none
   */
  public LiveDisplay get(String id) {
    return live.computeIfAbsent(id, this::open);
  }

  /** Adds a display under a new id. */
  public LiveDisplay add(Display display) {
    String id = UUID.randomUUID().toString();
    store.add(id, display);
    return get(id);
  }

  private LiveDisplay open(String id) {
    if (!store.ids().contains(id)) {
      throw new NoSuchDisplayException("display", id);
    }
    DisplayStore.Stored stored = store.read(id);
    return new LiveDisplay(id, store, new Plan(stored.display(), catalog), stored.version());
  }
}
