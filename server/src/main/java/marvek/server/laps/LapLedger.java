package marvek.server.laps;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Supplier;
import marvek.core.cause.Accounts;
import marvek.core.cause.LapAccounts;
import marvek.core.laps.ReadLap;
import marvek.core.laps.Thresholds;
import marvek.core.page.Stakes;
import marvek.server.books.Books;

/**
 * What the laps of a session lost, against the page's own lap read the way theirs are: with pedals
 * or by its speed alone. Worked out when somebody asks, and then kept.
 */
final class LapLedger {
  private final Books.Computed computed;
  private final Supplier<List<Stakes>> stakes;
  private final boolean pedals;
  private final Function<Boolean, ReadLap> reading;
  private final Map<Boolean, ReadLap> pages = new ConcurrentHashMap<>();
  private final Map<Boolean, Accounts> accounts = new ConcurrentHashMap<>();
  private final Map<String, LapAccounts> known = new ConcurrentHashMap<>();

  /**
   * @param stakes of the pages; they take a while
   * @param pedals whether any of the laps has them
   * @param reading the page's own lap as it is read, with pedals or without
   */
  LapLedger(
      Books.Computed computed,
      Supplier<List<Stakes>> stakes,
      boolean pedals,
      Function<Boolean, ReadLap> reading) {
    this.computed = computed;
    this.stakes = stakes;
    this.pedals = pedals;
    this.reading = reading;
    page();
  }

  /** The page's own lap as the best of the files tell theirs. */
  ReadLap page() {
    return pages.computeIfAbsent(pedals, reading);
  }

  List<Stakes> stakes() {
    return stakes.get();
  }

  /** Of a lap that was recorded from line to line. */
  LapAccounts of(SessionLaps.DrivenLap lap) {
    return known.computeIfAbsent(lap.id(), id -> against(lap.throttle()).of(lap.read()));
  }

  private Accounts against(boolean withPedals) {
    return accounts.computeIfAbsent(
        withPedals,
        with ->
            new Accounts(
                computed.reference().pages(),
                stakes(),
                computed.reference().lap(),
                pages.computeIfAbsent(with, reading),
                Thresholds.DEFAULT));
  }
}
