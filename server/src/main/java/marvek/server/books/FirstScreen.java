package marvek.server.books;

import marvek.server.jobs.Jobs;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Computes the book that the first screen shows while the browser is still being opened, so that
 * the first look at it does not wait for the line search.
 */
@Component
class FirstScreen {
  private final Books books;
  private final Jobs jobs;

  FirstScreen(Books books, Jobs jobs) {
    this.books = books;
    this.jobs = jobs;
  }

  @EventListener(ApplicationReadyEvent.class)
  void prepare() {
    jobs.start(
        progress -> {
          books.list().stream().findFirst().ifPresent(this::compute);
          return null;
        });
  }

  private void compute(Books.BookView book) {
    int newest = book.revisions().get(book.revisions().size() - 1).number();
    books.recompute(book.id(), newest);
  }
}
