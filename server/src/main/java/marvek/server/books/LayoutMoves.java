package marvek.server.books;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.LayoutChange;
import marvek.core.circuit.LayoutChanges;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.TrackPoint;
import marvek.core.corner.CornerFinder;
import marvek.core.line.ChosenLine;
import marvek.core.line.TracedLine;
import marvek.core.page.CarriedOver;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.page.PageCheck;
import marvek.core.page.StationMap;
import marvek.core.page.TouchedPages;
import marvek.core.reference.Reference;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Vehicle;
import marvek.formats.JsonFiles;
import marvek.formats.LocalPlane;
import marvek.formats.RevisionJson;
import marvek.server.circuits.Circuits;
import marvek.server.problems.NotFoundException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.node.ObjectNode;

/**
 * Moves a book to another layout version: its own values go along with the road, and every page
 * that a change touches is marked to be checked on track until the driver clears it.
 */
@Service
public class LayoutMoves {
  private final Books books;
  private final RevisionRepository revisions;
  private final PageCheckRepository checks;
  private final BasisCache bases;
  private final Circuits circuits;
  private final TransactionTemplate transaction;

  LayoutMoves(
      Books books,
      RevisionRepository revisions,
      PageCheckRepository checks,
      BasisCache bases,
      Circuits circuits,
      TransactionTemplate transaction) {
    this.books = books;
    this.revisions = revisions;
    this.checks = checks;
    this.bases = bases;
    this.circuits = circuits;
    this.transaction = transaction;
  }

  /** A page to be checked, as a client sees it. */
  public record CheckLine(int corner, Sentence reason, int layoutVersion, Instant madeAt) {}

  /** Answer to a move. */
  public record Moved(int revision, List<LayoutChange> changes, List<CheckLine> checks) {}

  /** Both ends of a move. */
  private record Move(
      Circuit before,
      Circuit after,
      double[] shiftM,
      DoubleUnaryOperator station,
      List<LayoutChange> changes) {}

  /**
   * Moves a book.
   *
   * @throws InvalidValueException if the version is the book's own or of another place
   */
  Moved move(UUID bookId, UUID circuitId, Instant at) {
    Book book = books.book(bookId);
    checkPlace(book, circuitId);
    int newest = books.newestNumber(bookId);
    Books.Computed old = books.recompute(bookId, newest);
    Move move = between(book.circuitId(), circuitId);
    Draft draft = carried(old, move);
    Reference.Basis basis = bases.get(circuitId, book.carId(), draft);
    Reference reference = Reference.of(bases.written(basis, draft.conditions()), draft.own());
    int version = circuits.facts(circuitId).version();
    RevisionJson.Header header =
        new RevisionJson.Header(
            newest + 1,
            newest,
            at.truncatedTo(ChronoUnit.SECONDS),
            reason(version, Books.draftOf(old.document()).line(), draft.line()),
            draft.conditions(),
            draft.line(),
            draft.own(),
            draft.setup(),
            version);
    List<PageCheck> touched = touched(old.reference(), reference, move);
    ObjectNode document =
        RevisionJson.write(header, reference, bases.stakes(basis, draft.conditions()));
    transaction.executeWithoutResult(status -> store(book, circuitId, header, document, touched));
    return new Moved(header.number(), move.changes(), open(bookId));
  }

  private static String reason(int version, ChosenLine before, ChosenLine now) {
    String moved = "Moved to layout version " + version;
    return before.choice() == now.choice()
        ? moved
        : moved + "; my own line does not fit its road: on the fastest line";
  }

  private void checkPlace(Book book, UUID circuitId) {
    if (book.circuitId().equals(circuitId)) {
      throw new InvalidValueException("circuitId", Sentence.of("refused.same-layout"));
    }
    UUID place = circuits.facts(book.circuitId()).newestId();
    if (!place.equals(circuits.facts(circuitId).newestId())) {
      throw new InvalidValueException("circuitId", Sentence.of("refused.another-circuit"));
    }
  }

  private Move between(UUID from, UUID to) {
    Circuit before = CornerFinder.withCornersDrawn(circuits.load(from).circuit());
    Circuit after = CornerFinder.withCornersDrawn(circuits.load(to).circuit());
    double[] shift = {0, 0};
    if (before.origin() != null && after.origin() != null) {
      LocalPlane plane = new LocalPlane(after.origin());
      shift = plane.toPlane(before.origin().latDeg(), before.origin().lonDeg());
    }
    DoubleUnaryOperator station =
        StationMap.between(before.road(), after.road(), shift[0], shift[1]);
    return new Move(before, after, shift, station, LayoutChanges.between(before, after));
  }

  private static Draft carried(Books.Computed old, Move move) {
    Draft draft = Books.draftOf(old.document());
    Road road = move.after().road();
    List<OwnValues> own =
        CarriedOver.of(
            draft.own(),
            road,
            CornerFinder.find(move.before(), move.before().road()),
            CornerFinder.find(move.after(), road),
            move.station());
    ChosenLine line = carried(draft.line(), old.basis().vehicle(), move);
    return new Draft(draft.conditions(), line, own, draft.setup());
  }

  /** A line of the driver's own goes along with the ground; where there is no road now, it ends. */
  private static ChosenLine carried(ChosenLine line, Vehicle vehicle, Move move) {
    if (line.offsets() == null) {
      return line;
    }
    Road road = move.before().road();
    Path path = Path.at(road, line.offsets().along(road), move.before().zones());
    List<TrackPoint> points =
        IntStream.range(0, path.size())
            .mapToObj(
                i ->
                    new TrackPoint(
                        path.xAt(i) + move.shiftM()[0], path.yAt(i) + move.shiftM()[1], Double.NaN))
            .toList();
    try {
      return ChosenLine.own(TracedLine.of(move.after(), vehicle, points).offsets());
    } catch (InvalidValueException e) {
      return ChosenLine.FASTEST;
    }
  }

  /** Marks that old pages spoke of, and whatever else changed where the new ones are driven. */
  private static List<PageCheck> touched(Reference old, Reference now, Move move) {
    Road road = now.path().road();
    Set<PageCheck> found = new LinkedHashSet<>(TouchedPages.of(road, now.pages(), move.changes()));
    for (PageCheck check : TouchedPages.of(road, old.pages(), move.changes())) {
      double turnIn =
          old.pages().stream()
              .filter(p -> p.corner() == check.corner())
              .mapToDouble(p -> move.station().applyAsDouble(p.turnIn().atM()))
              .findFirst()
              .orElseThrow();
      now.pages().stream()
          .min(Comparator.comparingDouble(p -> away(road, p, turnIn)))
          .ifPresent(page -> found.add(new PageCheck(page.corner(), check.reason())));
    }
    List<PageCheck> sorted = new ArrayList<>(found);
    sorted.sort(Comparator.comparingInt(PageCheck::corner));
    return sorted;
  }

  private static double away(Road road, CornerPage page, double station) {
    return Math.abs(road.offsetBetween(page.turnIn().atM(), station));
  }

  private void store(
      Book book,
      UUID circuitId,
      RevisionJson.Header header,
      ObjectNode document,
      List<PageCheck> touched) {
    revisions.saveAndFlush(
        new Revision(
            book.id(), header.createdAt(), circuitId, document, JsonFiles.write(document)));
    books.nowOn(book, circuitId);
    for (PageCheck check : touched) {
      checks.save(
          new PageCheckRow(
              book.id(), check.corner(), check.reason(), header.layoutVersion(), Instant.now()));
    }
  }

  /** Pages of a book that are to be checked on track. */
  public List<CheckLine> open(UUID bookId) {
    return checks.findByBookIdAndClearedAtIsNullOrderByCorner(books.book(bookId).id()).stream()
        .map(c -> new CheckLine(c.corner(), c.reason(), c.layoutVersion(), c.madeAt()))
        .toList();
  }

  /**
   * The driver has looked at a corner: its page holds again.
   *
   * @throws NotFoundException if nothing was to be checked there
   */
  List<CheckLine> clear(UUID bookId, int corner, Instant at) {
    List<PageCheckRow> here =
        checks.findByBookIdAndClearedAtIsNullOrderByCorner(books.book(bookId).id()).stream()
            .filter(c -> c.corner() == corner)
            .toList();
    if (here.isEmpty()) {
      throw new NotFoundException(Sentence.of("missing.nothing-to-check", "corner", corner));
    }
    transaction.executeWithoutResult(
        status -> {
          here.forEach(c -> c.clear(at));
          checks.saveAll(here);
        });
    return open(bookId);
  }
}
