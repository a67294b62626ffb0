package marvek.server.laps;

import java.time.Instant;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Conditions.Surface;
import marvek.server.books.Books;
import marvek.server.books.Draft;
import marvek.server.sessions.Sessions;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What a session was driven on, where that is another surface than it was planned for: its laps are
 * read against the pages of that surface, and say so from then on.
 */
@Service
class SurfaceDriven {
  private final Sessions sessions;
  private final Books books;
  private final Debriefs debriefs;
  private final TransactionTemplate transaction;

  SurfaceDriven(
      Sessions sessions, Books books, Debriefs debriefs, TransactionTemplate transaction) {
    this.sessions = sessions;
    this.books = books;
    this.debriefs = debriefs;
    this.transaction = transaction;
  }

  /**
   * The surface that laps look driven on: the one whose grip goes best with theirs. Empty where
   * that is the page's, where none counts, or where the pages have several surfaces.
   */
  static Optional<Surface> of(SessionLaps read) {
    Conditions conditions = read.computed().conditions();
    double against = read.gripAgainstPage();
    if (Double.isNaN(against) || !conditions.parts().isEmpty()) {
      return Optional.empty();
    }
    double grip = conditions.surface().gripFactor() * against;
    return Arrays.stream(Surface.values())
        .min(Comparator.comparingDouble(s -> Math.abs(Math.log(s.gripFactor() / grip))))
        .filter(surface -> surface != conditions.surface());
  }

  /**
   * Says what a session was driven on. The newest revision of the book for that surface reads its
   * laps; where there is none one is made of the session's own, with nothing else changed.
   */
  void drivenOn(UUID sessionId, Surface surface) {
    Sessions.Kept session = sessions.get(sessionId);
    Integer known = newestOn(session.bookId(), surface);
    Books.Next next = known == null ? made(session, surface) : null;
    transaction.executeWithoutResult(
        status ->
            sessions.drivenOn(
                sessionId, surface, next == null ? known : books.keep(next).number()));
  }

  private Integer newestOn(UUID bookId, Surface surface) {
    for (int number = books.newestNumber(bookId); number > 0; number--) {
      Conditions of = Books.draftOf(books.revision(bookId, number)).conditions();
      if (of.surface() == surface && of.parts().isEmpty()) {
        return number;
      }
    }
    return null;
  }

  private Books.Next made(Sessions.Kept session, Surface surface) {
    Draft draft = Books.draftOf(books.revision(session.bookId(), debriefs.revision(session)));
    return books.next(
        session.bookId(),
        books.newestNumber(session.bookId()),
        session.name() + " was " + surface.name().toLowerCase(Locale.ROOT) + " after all",
        new Draft(
            draft.conditions().withSurface(surface), draft.line(), draft.own(), draft.setup()),
        Instant.now());
  }
}
