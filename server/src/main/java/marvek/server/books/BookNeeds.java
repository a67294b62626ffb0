package marvek.server.books;

import java.util.List;
import java.util.UUID;
import marvek.server.putaway.PutsAway;
import org.springframework.stereotype.Component;

/** A book needs its car, and the circuits of all its revisions; one that is put away too. */
@Component
class BookNeeds implements PutsAway.Needs {
  private final BookRepository books;

  BookNeeds(BookRepository books) {
    this.books = books;
  }

  @Override
  public List<String> needCar(UUID carId) {
    return books.namesWithCar(carId);
  }

  @Override
  public List<String> needPlace(UUID circuitId) {
    return books.namesAtPlaceOf(circuitId);
  }
}
