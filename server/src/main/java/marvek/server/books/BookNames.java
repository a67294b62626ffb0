package marvek.server.books;

import java.util.UUID;
import marvek.core.Require;
import marvek.server.accounts.CurrentDriver;
import marvek.server.editions.Edition;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What books are called, and copies of them under another name. */
@Service
class BookNames {
  static final int LONGEST_NAME = 120;

  private final Books books;
  private final BookRepository repository;
  private final RevisionRepository revisions;
  private final CurrentDriver driver;

  BookNames(
      Books books, BookRepository repository, RevisionRepository revisions, CurrentDriver driver) {
    this.books = books;
    this.repository = repository;
    this.revisions = revisions;
    this.driver = driver;
  }

  /**
   * Calls a book otherwise.
   *
   * @param seen the edition that was looked at
   */
  @Transactional
  public Books.BookView rename(UUID id, String name, Edition seen) {
    String called = checked(name);
    Book book = books.book(id);
    seen.check(book.edition(), () -> books.get(id));
    book.isCalled(called);
    repository.saveAndFlush(book);
    return books.get(id);
  }

  /** Another book with all revisions of one; its sessions and laps stay with the first. */
  @Transactional
  public UUID copy(UUID id, String name) {
    String called = checked(name);
    Book from = books.book(id);
    Book copy =
        repository.save(
            new Book(UUID.randomUUID(), driver.id(), from.circuitId(), from.carId(), called));
    for (Revision revision : revisions.findByBookIdOrderByNumber(id)) {
      revisions.save(
          new Revision(
              copy.id(),
              revision.createdAt(),
              revision.circuitId(),
              Books.parse(revision),
              revision.document()));
    }
    return copy.id();
  }

  private static String checked(String name) {
    return Require.text("name", name == null ? "" : name.strip(), LONGEST_NAME);
  }
}
