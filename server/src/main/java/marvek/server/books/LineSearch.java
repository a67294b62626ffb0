package marvek.server.books;

import java.util.UUID;
import marvek.server.jobs.JobWork;
import marvek.server.jobs.Progress;
import org.springframework.stereotype.Component;

/** Searches the line of a book's draft, so that trying it out is quick. */
@Component
class LineSearch implements JobWork<LineSearch.Asked> {
  /** A draft of a book. */
  record Asked(UUID book, BookController.DraftBody draft) {}

  private final Books books;

  LineSearch(Books books) {
    this.books = books;
  }

  @Override
  public String kind() {
    return "line";
  }

  @Override
  public Class<Asked> asked() {
    return Asked.class;
  }

  @Override
  public Made run(UUID job, Asked asked, Progress progress) {
    return books.searchLine(asked.book(), asked.draft().draft(), progress);
  }
}
