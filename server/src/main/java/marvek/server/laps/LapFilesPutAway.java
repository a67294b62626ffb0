package marvek.server.laps;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import marvek.server.accounts.CurrentDriver;
import marvek.server.putaway.AwayTable;
import marvek.server.putaway.InTable;
import marvek.server.putaway.PutsAway;
import org.springframework.stereotype.Component;

/** Files of laps that are put away, and those that go with a book. */
@Component
class LapFilesPutAway extends InTable implements PutsAway.WithBook {
  private final LapFileRepository files;

  LapFilesPutAway(EntityManager entities, LapFileRepository files, CurrentDriver driver) {
    super(
        "file",
        AwayTable.of(
            entities,
            "lap_file",
            "name",
            "session_id in (select s.id from session s join book b on b.id = s.book_id"
                + " where b.driver_id = :driver and b.put_away_at is null and s.put_away_at is null)"),
        driver::id);
    this.files = files;
  }

  @Override
  public List<Goes> goesWith(UUID bookId) {
    return List.of(new Goes("file of laps", files.countOfBook(bookId)));
  }
}
