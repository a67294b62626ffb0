package marvek.server.putaway;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;

/** Things that are put away in a table of their own feature. */
public abstract class InTable implements PutsAway {
  private final String kind;
  private final Supplier<UUID> driver;

  /** The rows that are put away. */
  protected final AwayTable table;

  /**
   * @param driver id of the one on whose behalf something is done
   */
  protected InTable(String kind, AwayTable table, Supplier<UUID> driver) {
    this.kind = kind;
    this.table = table;
    this.driver = driver;
  }

  @Override
  public final String kind() {
    return kind;
  }

  /** Each by itself: nothing goes with it that is worth a word, and nothing needs it. */
  @Override
  public List<Away> away() {
    return table.rows(driver()).stream()
        .map(row -> new Away(row.id(), row.name(), row.at(), List.of(), List.of()))
        .toList();
  }

  /** Id of the one on whose behalf something is done. */
  protected final UUID driver() {
    return driver.get();
  }

  @Override
  public final boolean isThere(UUID id) {
    return table.isThere(id, driver());
  }

  @Override
  public final boolean putAway(UUID id, Instant at) {
    return table.putAway(id, driver(), at);
  }

  @Override
  public final boolean takeBack(UUID id) {
    return table.takeBack(id, driver());
  }

  @Override
  public final boolean remove(UUID id) {
    return table.remove(id, driver());
  }
}
