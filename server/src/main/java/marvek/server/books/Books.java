package marvek.server.books;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.circuit.Circuit;
import marvek.core.conditions.Conditions;
import marvek.core.page.Stakes;
import marvek.core.reference.ModelReference;
import marvek.core.reference.Reference;
import marvek.core.say.Sentence;
import marvek.formats.JsonFiles;
import marvek.formats.RevisionJson;
import marvek.server.accounts.CurrentDriver;
import marvek.server.cars.Cars;
import marvek.server.circuits.Circuits;
import marvek.server.editions.Edited;
import marvek.server.jobs.JobWork.Made;
import marvek.server.jobs.Progress;
import marvek.server.problems.ConflictException;
import marvek.server.problems.NotFoundException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.node.ObjectNode;

/** Makes books, tries drafts out, keeps revisions. */
@Service
public class Books {
  private final BookRepository books;
  private final RevisionRepository revisions;
  private final BasisCache bases;
  private final Circuits circuits;
  private final Cars cars;
  private final CurrentDriver driver;
  private final TransactionTemplate transaction;

  Books(
      BookRepository books,
      RevisionRepository revisions,
      BasisCache bases,
      Circuits circuits,
      Cars cars,
      CurrentDriver driver,
      TransactionTemplate transaction) {
    this.books = books;
    this.revisions = revisions;
    this.bases = bases;
    this.circuits = circuits;
    this.cars = cars;
    this.driver = driver;
    this.transaction = transaction;
  }

  /** A book with its revisions, newest last. */
  public record BookView(
      UUID id,
      String name,
      UUID circuitId,
      String circuit,
      String layout,
      int layoutVersion,
      UUID newestCircuitId,
      int newestLayoutVersion,
      UUID carId,
      String car,
      List<RevisionLine> revisions,
      long edition)
      implements Edited {}

  /** A line of a book's history. */
  public record RevisionLine(
      int number, Integer parent, Instant createdAt, String reason, double time_s) {}

  /** A revision's document, the reference it stands for, and the circuit with what stands on it. */
  public record Computed(
      ObjectNode document, Reference reference, Reference.Basis basis, Conditions conditions) {
    public Circuit circuit() {
      return basis.circuit();
    }
  }

  /**
   * Computes a new book's first revision, then stores both at once; one that is there already
   * stays.
   */
  Made create(
      UUID id,
      UUID circuitId,
      UUID carId,
      String name,
      String reason,
      Draft draft,
      Instant at,
      Progress progress) {
    if (books.existsById(id)) {
      return new Made(id, 1);
    }
    String carName = cars.load(carId).vehicle().name();
    String given = name == null || name.isBlank() ? defaultName(circuitId, carName) : name.strip();
    Require.text("name", given, 120);
    RevisionJson.Header header =
        new RevisionJson.Header(
            1,
            null,
            at.truncatedTo(ChronoUnit.SECONDS),
            reason,
            draft.conditions(),
            draft.line(),
            draft.own(),
            draft.setup(),
            circuits.facts(circuitId).version());
    Reference.Basis basis =
        bases.get(circuitId, carId, draft, share -> progress.at(0.1 + 0.7 * share));
    progress.at(0.8);
    Reference reference = Reference.of(bases.written(basis, draft.conditions()), draft.own());
    progress.at(0.85);
    ObjectNode document =
        RevisionJson.write(header, reference, bases.stakes(basis, draft.conditions()));
    String written = JsonFiles.write(document);
    progress.at(0.95);
    return transaction.execute(
        status -> {
          if (Thread.currentThread().isInterrupted()) {
            throw new java.util.concurrent.CancellationException("book cancelled");
          }
          Book book = books.save(new Book(id, driver.id(), circuitId, carId, given));
          revisions.save(new Revision(book.id(), header.createdAt(), circuitId, document, written));
          return new Made(book.id(), 1);
        });
  }

  private String defaultName(UUID circuitId, String carName) {
    String name = circuits.facts(circuitId).name() + " · " + carName;
    return name.substring(0, Math.min(120, name.length()));
  }

  /** Searches the line of a draft and keeps it at hand; answers the book. */
  Made searchLine(UUID bookId, Draft draft, Progress progress) {
    Book book = book(bookId);
    bases.get(book.circuitId(), book.carId(), draft, progress::at);
    return new Made(bookId, newestNumber(bookId));
  }

  /** The road and line that a draft of a book stands on. */
  public Reference.Basis basis(UUID bookId, Draft draft) {
    return basis(book(bookId), draft);
  }

  private Reference.Basis basis(Book book, Draft draft) {
    Reference.Basis basis = bases.get(book.circuitId(), book.carId(), draft);
    checkCorners(basis, draft);
    return basis;
  }

  private static void checkCorners(Reference.Basis basis, Draft draft) {
    for (int i = 0; i < draft.own().size(); i++) {
      int corner = draft.own().get(i).corner();
      if (basis.corners().stream().noneMatch(c -> c.number() == corner)) {
        throw new InvalidValueException(
            "ownValues", i, Sentence.of("refused.of-corner-not-here", "corner", corner));
      }
    }
  }

  /** The driver's books, oldest first. */
  public List<BookView> list() {
    return views(books.findByDriverIdOrderByCreatedAt(driver.id()));
  }

  /** What is said of a book where it is not opened. */
  public record Named(UUID id, String name, Circuits.Facts circuit) {}

  /** The driver's books by their names, oldest first. */
  public List<Named> names() {
    List<Book> all = books.findByDriverIdOrderByCreatedAt(driver.id());
    Map<UUID, Circuits.Facts> facts =
        circuits.facts(all.stream().map(Book::circuitId).collect(Collectors.toSet()));
    return all.stream()
        .map(book -> new Named(book.id(), book.name(), facts.get(book.circuitId())))
        .toList();
  }

  /**
   * A book by its id.
   *
   * @throws NotFoundException if there is none
   */
  public BookView get(UUID id) {
    return views(List.of(book(id))).get(0);
  }

  Book book(UUID id) {
    return books
        .findByIdAndDriverId(id, driver.id())
        .orElseThrow(() -> NotFoundException.of("book", id));
  }

  /** Of however many books: one question each for their revisions, circuits and cars. */
  private List<BookView> views(List<Book> shown) {
    Map<UUID, List<RevisionHead>> heads =
        revisions.heads(shown.stream().map(Book::id).toList()).stream()
            .collect(Collectors.groupingBy(RevisionHead::bookId));
    Map<UUID, Circuits.Facts> facts =
        circuits.facts(shown.stream().map(Book::circuitId).collect(Collectors.toSet()));
    Map<UUID, String> names =
        cars.names(shown.stream().map(Book::carId).collect(Collectors.toSet()));
    return shown.stream()
        .map(
            book ->
                view(
                    book,
                    heads.getOrDefault(book.id(), List.of()),
                    facts.get(book.circuitId()),
                    names.get(book.carId())))
        .toList();
  }

  private static BookView view(
      Book book, List<RevisionHead> heads, Circuits.Facts circuit, String car) {
    return new BookView(
        book.id(),
        book.name(),
        book.circuitId(),
        circuit.name(),
        circuit.layout(),
        circuit.version(),
        circuit.newestId(),
        circuit.newestVersion(),
        book.carId(),
        car,
        heads.stream().map(Books::line).toList(),
        book.edition());
  }

  private static RevisionLine line(RevisionHead head) {
    return new RevisionLine(
        head.number(), head.parent(), head.createdAt(), head.reason(), head.timeS());
  }

  static ObjectNode parse(Revision revision) {
    return (ObjectNode) JsonFiles.parse(revision.document().getBytes(StandardCharsets.UTF_8));
  }

  private Revision revisionOf(UUID bookId, int number) {
    return revisions
        .findByBookIdAndNumber(book(bookId).id(), number)
        .orElseThrow(
            () -> new NotFoundException(Sentence.of("missing.revision", "revision", number)));
  }

  /** A revision's document as it was stored. */
  public ObjectNode revision(UUID bookId, int number) {
    return parse(revisionOf(bookId, number));
  }

  /** A stored revision computed again, for what its document does not hold: the whole trace. */
  public Computed recompute(UUID bookId, int number) {
    Revision revision = revisionOf(bookId, number);
    ObjectNode document = parse(revision);
    Draft draft = draftOf(document);
    Reference.Basis basis = bases.get(revision.circuitId(), book(bookId).carId(), draft);
    Reference reference = Reference.of(bases.written(basis, draft.conditions()), draft.own());
    return new Computed(document, reference, basis, draft.conditions());
  }

  /** What a revision was computed from. */
  public static Draft draftOf(ObjectNode document) {
    return Draft.read(
        document.get("conditions"),
        document.path("line").asString("smooth"),
        document.get("lineOffsets_m"),
        document.get("ownValues"),
        document.get("setup"));
  }

  /** What the model makes of a basis on a day; kept while it is asked for. */
  ModelReference model(Reference.Basis basis, Conditions conditions) {
    return bases.model(basis, conditions);
  }

  /** The same with both pedals on its pages. */
  ModelReference written(Reference.Basis basis, Conditions conditions) {
    return bases.written(basis, conditions);
  }

  /** What slips cost on a basis in some conditions. */
  public List<Stakes> stakes(Reference.Basis basis, Conditions conditions) {
    return bases.stakes(basis, conditions);
  }

  /** Number of a book's newest revision; 0 without one. */
  public int newestNumber(UUID bookId) {
    return revisions.newestNumber(bookId);
  }

  /** From now on the book is made for another layout version. */
  void nowOn(Book book, UUID circuitId) {
    book.nowOn(circuitId);
    books.save(book);
  }

  /** Books on any version of a circuit's place. */
  public List<UUID> booksAt(UUID circuitId) {
    UUID place = circuits.facts(circuitId).newestId();
    List<Book> all = books.findByDriverIdOrderByCreatedAt(driver.id());
    Map<UUID, Circuits.Facts> facts =
        circuits.facts(all.stream().map(Book::circuitId).collect(Collectors.toSet()));
    return all.stream()
        .filter(book -> facts.get(book.circuitId()).newestId().equals(place))
        .map(Book::id)
        .toList();
  }

  /** The newest revision of a book, as its document. */
  public ObjectNode newest(UUID bookId) {
    return revision(bookId, newestNumber(bookId));
  }

  /** Runs the model on a draft; nothing is stored. */
  public Computed tryOut(UUID bookId, Integer parent, Draft draft) {
    Reference.Basis basis = basis(book(bookId), draft);
    Reference reference = Reference.of(bases.written(basis, draft.conditions()), draft.own());
    RevisionJson.Header header =
        new RevisionJson.Header(
            parent == null ? 1 : parent + 1,
            parent,
            Instant.now().truncatedTo(ChronoUnit.SECONDS),
            "",
            draft.conditions(),
            draft.line(),
            draft.own(),
            draft.setup(),
            basis.circuit().layoutVersion());
    return new Computed(
        RevisionJson.write(header, reference, bases.stakes(basis, draft.conditions())),
        reference,
        basis,
        draft.conditions());
  }

  /** A revision that is computed but not stored yet. */
  public record Next(
      UUID bookId, UUID circuitId, RevisionJson.Header header, ObjectNode document) {}

  /**
   * Computes the revision that a draft would become.
   *
   * @param parent number of the revision it was made from
   */
  public Next next(UUID bookId, int parent, String reason, Draft draft, Instant at) {
    Require.text("reason", reason, 500);
    Book book = book(bookId);
    revisionOf(bookId, parent);
    Reference.Basis basis = basis(book, draft);
    Reference reference = Reference.of(bases.written(basis, draft.conditions()), draft.own());
    RevisionJson.Header header =
        new RevisionJson.Header(
            parent + 1,
            parent,
            at.truncatedTo(ChronoUnit.SECONDS),
            reason.strip(),
            draft.conditions(),
            draft.line(),
            draft.own(),
            draft.setup(),
            circuits.facts(book.circuitId()).version());
    ObjectNode document =
        RevisionJson.write(header, reference, bases.stakes(basis, draft.conditions()));
    return new Next(bookId, book.circuitId(), header, document);
  }

  /**
   * Stores a computed revision, in the transaction of its caller if there is one.
   *
   * @throws ConflictException if its parent is not the newest any more
   */
  public RevisionLine keep(Next next) {
    try {
      return transaction.execute(
          status -> store(next.bookId(), next.header(), next.circuitId(), next.document()));
    } catch (DataIntegrityViolationException e) {
      throw newerExists(next.header().parent());
    }
  }

  /** Keeps a draft as the next revision; see {@link #next} and {@link #keep(Next)}. */
  public RevisionLine keep(UUID bookId, int parent, String reason, Draft draft, Instant at) {
    return keep(next(bookId, parent, reason, draft, at));
  }

  private RevisionLine store(
      UUID bookId, RevisionJson.Header header, UUID circuitId, ObjectNode document) {
    if (newestNumber(bookId) != header.parent()) {
      throw newerExists(header.parent());
    }
    return line(
        revisions
            .saveAndFlush(
                new Revision(
                    bookId, header.createdAt(), circuitId, document, JsonFiles.write(document)))
            .head());
  }

  private static ConflictException newerExists(int parent) {
    return new ConflictException(
        Sentence.of("conflict.revision-kept", "newer", parent + 1, "parent", parent));
  }

  /** Whether the driver has no book yet. */
  public boolean isEmpty() {
    return !books.existsByDriverId(driver.id());
  }
}
