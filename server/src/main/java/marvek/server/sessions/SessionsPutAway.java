package marvek.server.sessions;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import marvek.server.accounts.CurrentDriver;
import marvek.server.putaway.AwayTable;
import marvek.server.putaway.InTable;
import marvek.server.putaway.PutsAway;
import org.springframework.stereotype.Component;

/** Sessions that are put away, and those that go with a book. */
@Component
class SessionsPutAway extends InTable implements PutsAway.WithBook {
  private final SessionRepository sessions;

  SessionsPutAway(EntityManager entities, SessionRepository sessions, CurrentDriver driver) {
    super(
        "session",
        AwayTable.of(
            entities,
            "session",
            "replace(document::json ->> 'kind', '-', ' ') || ' of ' || left(document::json ->> 'startsAt', 10)",
            "book_id in (select b.id from book b where b.driver_id = :driver and b.put_away_at is null)"),
        driver::id);
    this.sessions = sessions;
  }

  @Override
  public List<Goes> goesWith(UUID bookId) {
    return List.of(new Goes("session", sessions.countOfBook(bookId)));
  }
}
