package marvek.server.laps;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Function;
import marvek.core.brief.Targets;
import marvek.core.cause.Cause;
import marvek.core.cause.Finding;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.CornerReading;
import marvek.core.numeric.Median;
import marvek.core.page.CornerPage;
import marvek.formats.Spelled;
import marvek.server.books.Books;
import marvek.server.contract.OneOf;
import marvek.server.sessions.Sessions;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** One corner over the sessions of a book, against what was the target each time. */
@Service
class History {
  private final Debriefs debriefs;
  private final Laps laps;
  private final Sessions sessions;
  private final Books books;

  History(Debriefs debriefs, Laps laps, Sessions sessions, Books books) {
    this.debriefs = debriefs;
    this.laps = laps;
    this.sessions = sessions;
    this.books = books;
  }

  /**
   * A corner in a session, in the middle of the laps that count.
   *
   * @param surface that it was driven on
   * @param brake_m where the driver acted, as the page writes it; null without
   * @param brakeSpread_m half of the laps lie within it
   * @param page_m the page's own point
   * @param lost_s slower than the page
   * @param charged_s what the corner is to blame for, by its account
   * @param rule the dearest cause of it; null without one
   * @param rule_s what that costs in a lap that shows it
   * @param page_s the page's own time for the corner
   * @param target_s of the lap, as the brief set it from what was driven until then
   * @param targetCorner_s of the corner, as much slower than the page as the target is
   * @param lap_s best lap that counts; null in a session that is still to be driven
   */
  record Entry(
      UUID session,
      String name,
      Instant begins,
      @OneOf(Conditions.Surface.class) String surface,
      int revision,
      int laps,
      Double brake_m,
      Double brakeSpread_m,
      Double page_m,
      Double lowest_mps,
      Double time_s,
      Double lost_s,
      @Nullable Double charged_s,
      @OneOf(Cause.class) @Nullable String rule,
      @Nullable Double rule_s,
      Double page_s,
      double target_s,
      Double targetCorner_s,
      Double lap_s) {}

  /** The sessions with laps in the order they were driven, and the one that comes after them. */
  List<Entry> of(UUID bookId, int corner) {
    List<Sessions.Kept> all = sessions.of(books.get(bookId));
    int lastDriven = -1;
    for (int k = 0; k < all.size(); k++) {
      lastDriven = laps.any(all.get(k).id()) ? k : lastDriven;
    }
    List<Entry> entries = new ArrayList<>();
    Map<Conditions.Surface, Double> bests = new EnumMap<>(Conditions.Surface.class);
    for (int k = 0; k < Math.min(all.size(), lastDriven + 2) && lastDriven >= 0; k++) {
      Sessions.Kept session = all.get(k);
      double best = session.bestLapS() == null ? Double.MAX_VALUE : session.bestLapS();
      if (laps.any(session.id()) || k > lastDriven) {
        SessionLaps read = debriefs.read(session).own();
        int p = indexOf(read.computed().reference().pages(), corner);
        if (p >= 0 && (k > lastDriven || !read.counted().isEmpty())) {
          Entry entry = entry(session, read, p, target(read.computed(), bests));
          entries.add(entry);
          best = entry.lap_s() == null ? best : Math.min(best, entry.lap_s());
        }
      }
      if (best < Double.MAX_VALUE) {
        bests.merge(debriefs.computed(session).conditions().surface(), best, Math::min);
      }
    }
    return entries;
  }

  private static double target(Books.Computed computed, Map<Conditions.Surface, Double> bests) {
    Double best = bests.get(computed.conditions().surface());
    double bookS = computed.reference().lap().timeS();
    return best == null ? bookS : Targets.nextS(bookS, best);
  }

  private static int indexOf(List<CornerPage> pages, int corner) {
    for (int p = 0; p < pages.size(); p++) {
      if (pages.get(p).corner() == corner) {
        return p;
      }
    }
    return -1;
  }

  private static Entry entry(Sessions.Kept session, SessionLaps read, int p, double targetS) {
    CornerPage page = read.computed().reference().pages().get(p);
    CornerReading written = read.page().corners().get(p);
    Road road = SessionLaps.road(read.computed());
    double[] later =
        values(
            read,
            p,
            r ->
                r.braking().onM() == null || written.braking().onM() == null
                    ? null
                    : road.offsetBetween(
                        road.wrapStation(written.braking().onM()),
                        road.wrapStation(r.braking().onM())));
    Double at = page.brake().atM();
    Double time = middle(values(read, p, CornerReading::timeS));
    OptionalDouble best = read.counted().stream().mapToDouble(lap -> lap.lap().timeS()).min();
    double bookS = read.computed().reference().lap().timeS();
    Finding dearest = dearest(read, page.corner());
    return new Entry(
        session.id(),
        session.name(),
        session.begins(),
        Spelled.of(read.computed().conditions().surface()),
        read.revision(),
        read.counted().size(),
        at == null || later.length == 0
            ? null
            : Double.valueOf(road.wrapStation(at + Median.of(later))),
        later.length == 0 ? null : Median.of(Median.deviations(later)),
        at,
        middle(values(read, p, r -> r.slowest().speedMps())),
        time,
        time == null || written.timeS() == null ? null : time - written.timeS(),
        charged(read, p),
        dearest == null ? null : Spelled.of(dearest.cause()),
        dearest == null ? null : dearest.costS(),
        written.timeS(),
        targetS,
        written.timeS() == null ? null : Double.valueOf(written.timeS() * targetS / bookS),
        best.isPresent() ? best.getAsDouble() : null);
  }

  /** By the accounts of the laps that count, in the middle of them. */
  private static Double charged(SessionLaps read, int p) {
    return middle(
        read.counted().stream()
            .mapToDouble(lap -> read.accounts(lap).corners().get(p).lostS())
            .toArray());
  }

  private static @Nullable Finding dearest(SessionLaps read, int corner) {
    return read.counted().isEmpty()
        ? null
        : read.findings().stream()
            .filter(f -> f.corner() == corner && f.costS() != null)
            .max(Comparator.comparingDouble(Finding::perLapS))
            .orElse(null);
  }

  private static double[] values(SessionLaps read, int p, Function<CornerReading, Double> value) {
    return read.counted().stream()
        .map(lap -> value.apply(lap.corners().get(p)))
        .filter(v -> v != null && !v.isNaN())
        .mapToDouble(Double::doubleValue)
        .toArray();
  }

  private static Double middle(double[] values) {
    return values.length == 0 ? null : Median.of(values);
  }
}
