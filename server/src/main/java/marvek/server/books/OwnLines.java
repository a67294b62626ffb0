package marvek.server.books;

import java.util.List;
import java.util.UUID;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.TrackPoint;
import marvek.core.line.TracedLine;
import marvek.formats.DrivenTrack;
import marvek.formats.LineJson;
import marvek.server.cars.Cars;
import marvek.server.circuits.Circuits;
import marvek.server.contract.InFormat;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;

/** Lines of a driver's own, from what was recorded on a book's circuit; nothing is stored. */
@Service
public class OwnLines {
  private final Books books;
  private final Circuits circuits;
  private final Cars cars;

  OwnLines(Books books, Circuits circuits, Cars cars) {
    this.books = books;
    this.circuits = circuits;
    this.cars = cars;
  }

  /**
   * A line for a draft, and what was made of the positions for it.
   *
   * @param points how many were read
   * @param rounds how often they cover the road
   * @param noise_m standard deviation of the positions
   * @param smoothed_m farthest that one was moved by the smoothing
   * @param beyond_m farthest that they lay beyond what the car may use, and were moved onto it
   */
  public record Traced(
      @InFormat("lineOffsets") JsonNode lineOffsets_m,
      int points,
      double rounds,
      double noise_m,
      double smoothed_m,
      double beyond_m,
      double beyondAt_m) {
    static Traced of(TracedLine.Result line) {
      return new Traced(
          LineJson.offsets(line.offsets()),
          line.points(),
          line.rounds(),
          line.noiseM(),
          line.smoothedM(),
          line.beyondM(),
          line.beyondAtM());
    }
  }

  /** Of a GPX file or a table with positions. */
  Traced ofFile(UUID bookId, byte[] bytes) {
    Book book = books.book(bookId);
    Circuit circuit = circuits.load(book.circuitId()).circuit();
    return traced(book, circuit, DrivenTrack.read(bytes, circuit));
  }

  /** Of positions in the plane of the book's circuit. */
  public Traced ofPoints(UUID bookId, List<TrackPoint> points) {
    Book book = books.book(bookId);
    return traced(book, circuits.load(book.circuitId()).circuit(), points);
  }

  private Traced traced(Book book, Circuit circuit, List<TrackPoint> points) {
    return Traced.of(TracedLine.of(circuit, cars.load(book.carId()).vehicle(), points));
  }
}
