package marvek.server.books;

import java.util.List;
import java.util.UUID;
import marvek.server.accounts.CurrentDriver;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the pages of all books say by which they are looked for, read without their documents. */
@RestController
class BookSearch {
  private final CurrentDriver driver;
  private final RevisionRepository revisions;

  BookSearch(CurrentDriver driver, RevisionRepository revisions) {
    this.driver = driver;
    this.revisions = revisions;
  }

  /**
   * A corner of a book as its newest revision has it.
   *
   * @param name empty where it has none
   * @param notes free text, may be empty
   * @param wayOut where to go if it goes wrong, may be empty
   */
  record FoundCorner(
      UUID bookId, String book, int corner, String name, String notes, String wayOut) {}

  /** The corners of all books with their notes, by book and in the order they are driven. */
  @GetMapping("/api/search/corners")
  List<FoundCorner> searchCorners() {
    return revisions.cornersOf(driver.id());
  }
}
