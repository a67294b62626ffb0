package marvek.server.laps;

import java.lang.ref.SoftReference;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.cause.Finding;
import marvek.core.laps.AlongLap;
import marvek.core.laps.DrivenLine;
import marvek.core.laps.RecordedLap;
import marvek.core.say.Sentence;
import marvek.server.books.Books;
import marvek.server.books.OwnLines;
import marvek.server.problems.NotFoundException;
import marvek.server.sessions.Sessions;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Lays the laps of sessions against the revisions that they were driven by. */
@Service
class Debriefs {
  /** A session that is younger was made by the request that failed. */
  private static final long FRESH_S = 60;

  private static final int KEPT_READ = 3;

  private final Laps laps;
  private final LapNotes notes;
  private final Sessions sessions;
  private final Books books;
  private final OwnLines lines;

  private record Known(String state, SessionLaps laps) {}

  private final Map<UUID, SoftReference<Known>> known =
      new LinkedHashMap<>(8, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<UUID, SoftReference<Known>> eldest) {
          return size() > KEPT_READ;
        }
      };

  Debriefs(Laps laps, LapNotes notes, Sessions sessions, Books books, OwnLines lines) {
    this.laps = laps;
    this.notes = notes;
    this.sessions = sessions;
    this.books = books;
    this.lines = lines;
  }

  /** A finding with the laps that show it, and why it was dismissed if it was. */
  record Found(Finding finding, List<String> laps, LapNotes.Dismissed dismissed) {}

  /**
   * What was driven against what stands on the pages.
   *
   * @param laps of one driver in one vehicle
   * @param drivers all whose laps the session has
   * @param whose those that these are of
   */
  record Debrief(
      Sessions.Kept session,
      SessionLaps laps,
      List<IncomingLaps.Whose> drivers,
      IncomingLaps.Whose whose,
      List<LapNotes.Remark> remarks) {}

  /** Reads the files of the book's own driver; see {@link #debrief(UUID, IncomingLaps.Whose)}. */
  Debrief debrief(UUID sessionId) {
    return debrief(sessionId, null);
  }

  /**
   * Reads the files of a session that one driver drove in one vehicle.
   *
   * @param wanted null, or one who has no laps there, for the book's own driver
   */
  Debrief debrief(UUID sessionId, IncomingLaps.@Nullable Whose wanted) {
    Sessions.Kept session = sessions.get(sessionId);
    SessionLaps all = read(session);
    List<IncomingLaps.Whose> drivers = all.drivers();
    IncomingLaps.Whose whose =
        drivers.contains(wanted)
            ? wanted
            : drivers.isEmpty() ? IncomingLaps.Whose.OWN : drivers.get(0);
    return new Debrief(session, all.of(whose), drivers, whose, notes.remarks(sessionId));
  }

  /** What cost the laps of a debrief their time, with what somebody dismissed of it. */
  List<Found> found(Debrief debrief) {
    List<SessionLaps.DrivenLap> counted = debrief.laps().counted();
    List<LapNotes.Dismissed> dismissed = notes.dismissed(debrief.session().id());
    return debrief.laps().findings().stream()
        .map(
            finding -> {
              List<String> shown = finding.laps().stream().map(k -> counted.get(k).id()).toList();
              return new Found(finding, shown, LapNotes.covering(dismissed, finding, shown));
            })
        .toList();
  }

  /** The session that laps without one are of. */
  Sessions.Kept sessionForLapsOf(UUID bookId) {
    return sessions.forLapsOf(bookId, Instant.now());
  }

  /** Takes a session out again that was made for laps which could not be read. */
  void forgetUnplanned(Sessions.Kept session) {
    boolean fresh = session.changedAt().isAfter(Instant.now().minusSeconds(FRESH_S));
    if (fresh && !laps.any(session.id()) && sessions.isUnplanned(session)) {
      sessions.remove(session.id());
    }
  }

  /** The laps of a session on its revision; read again only when anything has changed. */
  SessionLaps read(Sessions.Kept session) {
    int revision = revision(session);
    String state = revision + ":" + laps.state(session.id());
    Books.Computed computed = books.recompute(session.bookId(), revision);
    synchronized (known) {
      SoftReference<Known> kept = known.get(session.id());
      Known before = kept == null ? null : kept.get();
      boolean same = before != null && before.state().equals(state);
      // The road under a revision can be drawn anew.
      if (same && before.laps().computed().basis() == computed.basis()) {
        return before.laps();
      }
    }
    SessionLaps read =
        SessionLaps.of(
            revision,
            computed,
            () -> books.stakes(computed.basis(), computed.conditions()),
            laps.of(session.id(), computed));
    synchronized (known) {
      known.put(session.id(), new SoftReference<>(new Known(state, read)));
    }
    return read;
  }

  Books.Computed computed(Sessions.Kept session) {
    return books.recompute(session.bookId(), revision(session));
  }

  /** The revision that was issued for the session; without one the newest of its day. */
  int revision(Sessions.Kept session) {
    if (session.session().has("revision")) {
      return session.session().path("revision").asInt();
    }
    List<Books.RevisionLine> all = books.get(session.bookId()).revisions();
    return all.stream()
        .filter(revision -> !revision.createdAt().isAfter(session.begins()))
        .reduce((first, second) -> second)
        .orElse(all.get(0))
        .number();
  }

  /**
   * A lap of a session.
   *
   * @param id of the file and number with a point between, or {@code page} for the page's own
   */
  static AlongLap along(SessionLaps read, String id) {
    if (id.equals("page")) {
      return read.page().along();
    }
    return read.laps().stream()
        .filter(lap -> lap.id().equals(id) && lap.read() != null)
        .findFirst()
        .orElseThrow(() -> new NotFoundException(Sentence.of("missing.lap-of-session", "lap", id)))
        .read()
        .along();
  }

  /**
   * The line of one lap of a file.
   *
   * @return one offset every {@code stepM} from the start line on; empty without a position
   */
  double[] line(UUID fileId, int number, double stepM) {
    Kept kept = kept(fileId);
    RecordedLap lap = lap(kept.file, number);
    return DrivenLine.of(
        kept.file.laps().placed().stations(), lap, SessionLaps.road(kept.computed), stepM);
  }

  /**
   * The path of one lap of a file as a line of its book.
   *
   * @throws InvalidValueException if the file has no position, or the lap does not cover the road
   */
  OwnLines.Traced traced(UUID fileId, int number) {
    Kept kept = kept(fileId);
    if (!kept.file.laps().recording().hasPosition()) {
      throw new InvalidValueException(
          "lap", Sentence.of("refused.lap-without-position", "given", number));
    }
    RecordedLap lap = lap(kept.file, number);
    return lines.ofPoints(kept.book, DrivenLine.points(kept.file.laps().recording(), lap));
  }

  /** A file of laps with what it is read against. */
  private record Kept(UUID book, Laps.KeptFile file, Books.Computed computed) {}

  private Kept kept(UUID fileId) {
    StoredLapFile stored = laps.file(fileId);
    Sessions.Kept session = sessions.get(stored.sessionId());
    Books.Computed computed = computed(session);
    Laps.KeptFile file =
        laps.of(stored.sessionId(), computed).stream()
            .filter(f -> f.stored().id().equals(fileId))
            .findFirst()
            .orElseThrow();
    return new Kept(session.bookId(), file, computed);
  }

  private static RecordedLap lap(Laps.KeptFile file, int number) {
    return file.laps().laps().stream()
        .filter(l -> l.number() == number)
        .findFirst()
        .orElseThrow(
            () -> new NotFoundException(Sentence.of("missing.lap-of-file", "lap", number)));
  }
}
