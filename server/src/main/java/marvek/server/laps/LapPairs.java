package marvek.server.laps;

import java.lang.ref.SoftReference;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import marvek.core.beside.LapsBeside;
import marvek.core.cause.LapAccounts;
import marvek.core.circuit.Road;
import marvek.core.laps.AlongLap;
import marvek.core.laps.CornerReading;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Thresholds;
import marvek.server.books.Books;
import marvek.server.problems.NotFoundException;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Laps of the library laid on the road of one book, whichever book they were driven by. */
@Service
class LapPairs {
  private static final int KEPT_READ = 4;

  /** By which the page's own lap is asked for. */
  static final String PAGE = "page";

  private final LapLibrary library;
  private final Laps laps;
  private final Books books;

  private final Map<String, SoftReference<SessionLaps>> known =
      new LinkedHashMap<>(8, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, SoftReference<SessionLaps>> eldest) {
          return size() > KEPT_READ;
        }
      };

  LapPairs(LapLibrary library, Laps laps, Books books) {
    this.library = library;
    this.laps = laps;
    this.books = books;
  }

  /**
   * A lap on a book's road.
   *
   * @param shelved where it comes from; null for the page's own
   * @param lap null for the page's own
   * @param corners what it did in them; empty of one that is not whole
   * @param accounts what it lost to the page; null of one that is not whole, and of the page
   */
  record Laid(
      LapLibrary.@Nullable Shelved shelved,
      SessionLaps read,
      SessionLaps.@Nullable DrivenLap lap,
      AlongLap along,
      List<CornerReading> corners,
      @Nullable LapAccounts accounts) {
    String id() {
      return lap == null ? PAGE : lap.id();
    }

    Double timeS() {
      if (lap == null) {
        return read.computed().reference().lap().timeS();
      }
      return lap.lap().isWhole() ? lap.lap().timeS() : null;
    }
  }

  /** Two laps on one road. */
  record Pair(Books.Computed computed, Laid first, Laid second, LapsBeside beside) {
    Road road() {
      return SessionLaps.road(computed);
    }
  }

  /**
   * Lays two laps of the library, or one and the page, on a book's newest pages.
   *
   * @throws NotFoundException if one of them was not driven at the book's circuit
   */
  Pair pair(UUID bookId, String first, String second) {
    Books.Computed computed = books.recompute(bookId, books.newestNumber(bookId));
    Laid one = laid(bookId, computed, first);
    Laid two = laid(bookId, computed, second);
    LapsBeside beside =
        new LapsBeside(one.along(), two.along(), SessionLaps.road(computed).lengthM());
    return new Pair(computed, one, two, beside);
  }

  /** One lap on a book's newest pages. */
  Laid laid(UUID bookId, String id) {
    return laid(bookId, books.recompute(bookId, books.newestNumber(bookId)), id);
  }

  private Laid laid(UUID bookId, Books.Computed computed, String id) {
    if (id.equals(PAGE)) {
      SessionLaps page = read(bookId, computed, List.of());
      return new Laid(null, page, null, page.page().along(), page.page().corners(), null);
    }
    LapLibrary.Shelved shelved = library.file(bookId, DebriefController.fileOf(id));
    Laps.KeptFile kept = laps.on(shelved.file(), bookId, computed);
    SessionLaps read = read(bookId, computed, List.of(kept));
    SessionLaps.DrivenLap lap =
        read.laps().stream()
            .filter(l -> l.id().equals(id))
            .findFirst()
            .orElseThrow(() -> NotFoundException.of("lap", id));
    AlongLap along = lap.read() == null ? part(kept, lap.lap(), computed) : lap.read().along();
    return new Laid(shelved, read, lap, along, lap.corners(), read.accounts(lap));
  }

  /** A lap that begins or ends on the way is laid as far as it goes. */
  private static AlongLap part(Laps.KeptFile kept, RecordedLap lap, Books.Computed computed) {
    return AlongLap.of(
        kept.laps().recording(),
        kept.laps().placed().stations(),
        lap,
        SessionLaps.road(computed),
        Thresholds.DEFAULT,
        SessionLaps.STEP_M);
  }

  private SessionLaps read(UUID bookId, Books.Computed computed, List<Laps.KeptFile> files) {
    int revision = computed.document().path("number").asInt(1);
    String key =
        bookId + " " + revision + files.stream().map(f -> " " + f.stored().state()).toList();
    synchronized (known) {
      SoftReference<SessionLaps> kept = known.get(key);
      SessionLaps before = kept == null ? null : kept.get();
      // The road under a revision can be drawn anew.
      if (before != null && before.computed().basis() == computed.basis()) {
        return before;
      }
    }
    SessionLaps read =
        SessionLaps.of(
            revision, computed, () -> books.stakes(computed.basis(), computed.conditions()), files);
    synchronized (known) {
      known.put(key, new SoftReference<>(read));
    }
    return read;
  }
}
