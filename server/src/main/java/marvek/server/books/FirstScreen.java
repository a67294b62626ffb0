package marvek.server.books;

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

  FirstScreen(Books books) {
    this.books = books;
  }

  @EventListener(ApplicationReadyEvent.class)
  void prepare() {
    Thread thread =
        new Thread(
            () -> books.list().stream().findFirst().ifPresent(this::compute), "first-screen");
    thread.setDaemon(true);
    thread.start();
  }

  private void compute(Books.BookView book) {
    int newest = book.revisions().get(book.revisions().size() - 1).number();
    books.recompute(book.id(), newest);
  }
}
