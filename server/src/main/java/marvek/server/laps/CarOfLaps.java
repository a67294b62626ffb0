package marvek.server.laps;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import marvek.core.laps.AlongLap;
import marvek.core.laps.GearRatios;
import marvek.core.measured.CarFromLaps;
import marvek.core.measured.CarValue;
import marvek.core.numeric.Median;
import marvek.core.vehicle.Vehicle;
import marvek.server.books.Books;
import marvek.server.cars.CarChanges;
import marvek.server.cars.Cars;
import marvek.server.sessions.Sessions;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The car of a book as the laps of a session have it, for another car that is like it. */
@Service
class CarOfLaps {
  private final Debriefs debriefs;
  private final Sessions sessions;
  private final Books books;
  private final Cars cars;

  CarOfLaps(Debriefs debriefs, Sessions sessions, Books books, Cars cars) {
    this.debriefs = debriefs;
    this.sessions = sessions;
    this.books = books;
    this.cars = cars;
  }

  /**
   * A value with where it stands in the car's file.
   *
   * @param changes the numbers of the file that it changes, by their pointers
   */
  record Value(CarValue value, Map<String, Double> changes) {}

  /**
   * What the laps say.
   *
   * @param ofSheet numbers that the book's setup sheet changes of its car
   * @param weighed number that a weighing changes; none without
   * @param laps that count
   * @param bestS of them; null without any
   * @param medianS of them
   */
  record Told(
      CarFromLaps car,
      List<Value> values,
      Map<String, Double> ofSheet,
      Map<String, Double> weighed,
      int laps,
      @Nullable Double bestS,
      @Nullable Double medianS) {}

  /**
   * The car of a session's laps.
   *
   * @param massKg weighed with driver and fuel; null for the book's
   * @param gripUsed share that the driver uses; null for the book's
   */
  Told of(UUID sessionId, @Nullable Double massKg, @Nullable Double gripUsed) {
    Sessions.Kept session = sessions.get(sessionId);
    SessionLaps read = debriefs.read(session).own();
    List<SessionLaps.DrivenLap> counted = read.counted();
    List<AlongLap> laps = counted.stream().map(lap -> lap.read().along()).toList();
    CarFromLaps told =
        CarFromLaps.of(
            read.computed().reference().lap(), read.page().along(), laps, gears(read, counted));
    CarFromLaps weighed = massKg == null ? told : told.weighing(massKg);
    CarFromLaps settled = gripUsed == null ? weighed : weighed.using(gripUsed);
    Vehicle book = read.computed().basis().vehicle();
    double[] times = counted.stream().mapToDouble(lap -> lap.lap().timeS()).toArray();
    return new Told(
        settled,
        settled.values().stream()
            .map(v -> new Value(v, CarChanges.between(book, v.onto(book))))
            .toList(),
        CarChanges.between(cars.load(books.get(session.bookId()).carId()).vehicle(), book),
        massKg == null
            ? Map.of()
            : CarChanges.between(book, book.heavierBy(settled.massKg() - told.massKg())),
        times.length,
        times.length == 0
            ? null
            : Double.valueOf(java.util.Arrays.stream(times).min().orElseThrow()),
        times.length == 0 ? null : Double.valueOf(Median.of(times)));
  }

  /** Of the first file that tells them, among those with laps that count. */
  private static List<GearRatios.Ratio> gears(
      SessionLaps read, List<SessionLaps.DrivenLap> counted) {
    return read.files().stream()
        .filter(f -> counted.stream().anyMatch(lap -> lap.file().equals(f.stored().id())))
        .map(f -> GearRatios.of(f.laps().recording()))
        .filter(ratios -> !ratios.isEmpty())
        .findFirst()
        .orElse(List.of());
  }
}
