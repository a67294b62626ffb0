package marvek.server.books;

import java.time.Instant;
import java.util.UUID;
import marvek.server.jobs.JobWork;
import marvek.server.jobs.Progress;
import org.springframework.stereotype.Component;

/** Makes a book of a circuit and a car. */
@Component
class BookMaking implements JobWork<BookController.NewBook> {
  private final Books books;

  BookMaking(Books books) {
    this.books = books;
  }

  @Override
  public String kind() {
    return "book";
  }

  @Override
  public Class<BookController.NewBook> asked() {
    return BookController.NewBook.class;
  }

  /** The book has the job's id, so that it is made once however often the job is begun. */
  @Override
  public Made run(UUID job, BookController.NewBook asked, Progress progress) {
    return books.create(
        job,
        asked.circuitId(),
        asked.carId(),
        asked.name(),
        "First computed",
        asked.draft(),
        Instant.now(),
        progress);
  }
}
