package marvek.server.books;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import marvek.server.accounts.CurrentDriver;
import marvek.server.putaway.AwayTable;
import marvek.server.putaway.InTable;
import org.springframework.stereotype.Component;

/** Books that are put away, with their revisions and all that other features keep for them. */
@Component
class BooksPutAway extends InTable {
  private final RevisionRepository revisions;
  private final List<WithBook> others;

  BooksPutAway(
      EntityManager entities,
      RevisionRepository revisions,
      List<WithBook> others,
      CurrentDriver driver) {
    super("book", AwayTable.of(entities, "book", "name", "driver_id = :driver"), driver::id);
    this.revisions = revisions;
    this.others = others;
  }

  @Override
  public List<Away> away() {
    return table.rows(driver()).stream()
        .map(row -> new Away(row.id(), row.name(), row.at(), goesWith(row.id()), List.of()))
        .toList();
  }

  private List<Goes> goesWith(UUID bookId) {
    Goes own = new Goes("revision", revisions.countByBookId(bookId));
    return Stream.concat(
            Stream.of(own), others.stream().flatMap(other -> other.goesWith(bookId).stream()))
        .filter(goes -> goes.count() > 0)
        .toList();
  }
}
