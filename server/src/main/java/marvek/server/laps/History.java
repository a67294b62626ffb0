package marvek.server.laps;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;
import marvek.core.circuit.Road;
import marvek.core.laps.CornerReading;
import marvek.core.laps.Middle;
import marvek.core.page.CornerPage;
import marvek.server.books.Books;
import marvek.server.sessions.Sessions;
import org.springframework.stereotype.Service;

/** One corner over the sessions of a book. */
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
   * @param target_s of the lap, as the session had it; null without
   * @param lap_s best lap that counts
   */
  record Entry(
      UUID session,
      String name,
      Instant begins,
      String surface,
      int revision,
      int laps,
      Double brake_m,
      Double brakeSpread_m,
      Double page_m,
      Double lowest_mps,
      Double time_s,
      Double lost_s,
      Double target_s,
      Double lap_s) {}

  /** The sessions with laps, in the order they were driven. */
  List<Entry> of(UUID bookId, int corner) {
    List<Entry> entries = new ArrayList<>();
    for (Sessions.Kept session : sessions.of(books.get(bookId))) {
      if (laps.any(session.id())) {
        SessionLaps read = debriefs.read(session);
        int p = indexOf(read.computed().reference().pages(), corner);
        if (p >= 0 && !read.counted().isEmpty()) {
          entries.add(entry(session, read, p));
        }
      }
    }
    return entries;
  }

  private static int indexOf(List<CornerPage> pages, int corner) {
    for (int p = 0; p < pages.size(); p++) {
      if (pages.get(p).corner() == corner) {
        return p;
      }
    }
    return -1;
  }

  private static Entry entry(Sessions.Kept session, SessionLaps read, int p) {
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
    double best = read.counted().stream().mapToDouble(lap -> lap.lap().timeS()).min().orElseThrow();
    return new Entry(
        session.id(),
        Reviews.nameOf(session),
        session.begins(),
        read.computed().conditions().surface().name().toLowerCase(java.util.Locale.ROOT),
        read.revision(),
        read.counted().size(),
        at == null || later.length == 0
            ? null
            : Double.valueOf(road.wrapStation(at + Middle.of(later))),
        later.length == 0 ? null : Middle.of(Middle.distances(later)),
        at,
        middle(values(read, p, r -> r.slowest().speedMps())),
        time,
        time == null || written.timeS() == null ? null : time - written.timeS(),
        read.computed().reference().lap().timeS(),
        best);
  }

  private static double[] values(SessionLaps read, int p, Function<CornerReading, Double> value) {
    return read.counted().stream()
        .map(lap -> value.apply(lap.corners().get(p)))
        .filter(v -> v != null && !v.isNaN())
        .mapToDouble(Double::doubleValue)
        .toArray();
  }

  private static Double middle(double[] values) {
    return values.length == 0 ? null : Middle.of(values);
  }
}
