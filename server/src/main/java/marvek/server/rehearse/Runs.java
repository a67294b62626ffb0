package marvek.server.rehearse;

import java.util.List;
import java.util.UUID;
import marvek.core.Require;
import marvek.core.reference.Reference;
import marvek.core.rehearse.Act;
import marvek.core.rehearse.RunThrough;
import marvek.server.accounts.CurrentDriver;
import marvek.server.books.Books;
import marvek.server.problems.NotFoundException;
import org.springframework.stereotype.Service;

/** Scores and keeps run-throughs of a book's newest pages. */
@Service
class Runs {
  private static final double SLOWEST_SHARE = 0.5;

  private final RunRepository repository;
  private final Books books;

  private final CurrentDriver driver;

  Runs(RunRepository repository, Books books, CurrentDriver driver) {
    this.driver = driver;
    this.repository = repository;
    this.books = books;
  }

  /** What there is to do in a lap of the newest pages. */
  record Lap(int revision, double lapS, List<Act> acts) {}

  Lap lap(UUID bookId) {
    int revision = books.newestNumber(books.get(bookId).id());
    Reference reference = books.recompute(bookId, revision).reference();
    return new Lap(revision, reference.lap().timeS(), Act.of(reference.lap(), reference.pages()));
  }

  List<StoredRun> of(UUID bookId) {
    return repository.findByBookIdAndPersonIdOrderByCreatedAtAscIdAsc(
        books.get(bookId).id(), driver.person());
  }

  /**
   * Scores a run and keeps it.
   *
   * @param revision that was driven
   * @param speedShare 0.5 to 1 of the page's speeds
   */
  StoredRun keep(
      UUID bookId,
      int revision,
      double speedShare,
      StoredRun.Help help,
      List<RunThrough.Press> presses,
      double untilS) {
    Require.within("speedShare", speedShare, SLOWEST_SHARE, 1);
    Reference reference = books.recompute(bookId, revision).reference();
    List<Act> acts = Act.of(reference.lap(), reference.pages());
    RunThrough run = RunThrough.of(reference.lap(), acts, presses, untilS);
    return repository.save(new StoredRun(bookId, driver.person(), revision, speedShare, help, run));
  }

  StoredRun get(UUID id) {
    return repository
        .findById(id)
        .filter(run -> run.personId().equals(driver.person()))
        .orElseThrow(() -> NotFoundException.of("run-through", id));
  }

  void remove(UUID id) {
    repository.delete(get(id));
  }
}
