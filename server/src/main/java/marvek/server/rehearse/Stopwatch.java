package marvek.server.rehearse;

import java.util.List;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.rehearse.ImaginedLap;
import marvek.core.say.Sentence;
import marvek.server.accounts.CurrentDriver;
import marvek.server.books.Books;
import marvek.server.problems.NotFoundException;
import org.springframework.stereotype.Service;

/** Keeps laps that were driven in the head. */
@Service
class Stopwatch {
  private static final int MOST_TAPS = 1000;

  private final ImaginedLapRepository repository;
  private final Books books;

  private final CurrentDriver driver;

  Stopwatch(ImaginedLapRepository repository, Books books, CurrentDriver driver) {
    this.driver = driver;
    this.repository = repository;
    this.books = books;
  }

  /** What one taps at on the newest pages. */
  record Beats(int revision, List<ImaginedLap.Beat> beats) {}

  Beats beats(UUID bookId) {
    int revision = books.newestNumber(books.get(bookId).id());
    var reference = books.recompute(bookId, revision).reference();
    return new Beats(revision, ImaginedLap.beats(reference.lap(), reference.pages()));
  }

  List<StoredImaginedLap> laps(UUID bookId) {
    return repository.findByBookIdAndPersonIdOrderByCreatedAtAscIdAsc(
        books.get(bookId).id(), driver.person());
  }

  StoredImaginedLap keep(UUID bookId, List<Double> tapsS) {
    if (tapsS == null || tapsS.size() > MOST_TAPS || tapsS.contains(null)) {
      throw new InvalidValueException("taps_s", Sentence.of("refused.no-taps"));
    }
    Beats beats = beats(bookId);
    ImaginedLap lap = ImaginedLap.of(beats.beats(), tapsS);
    return repository.save(new StoredImaginedLap(bookId, driver.person(), beats.revision(), lap));
  }

  void remove(UUID id) {
    StoredImaginedLap lap =
        repository
            .findById(id)
            .filter(one -> one.personId().equals(driver.person()))
            .orElseThrow(() -> NotFoundException.of("imagined-lap", id));
    books.get(lap.bookId());
    repository.delete(lap);
  }
}
