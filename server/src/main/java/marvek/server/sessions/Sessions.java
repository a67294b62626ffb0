package marvek.server.sessions;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import marvek.core.InvalidValueException;
import marvek.core.brief.Preparation.Decision;
import marvek.core.brief.Purpose;
import marvek.core.brief.Session;
import marvek.core.brief.TyreSet;
import marvek.core.conditions.Conditions;
import marvek.formats.BadFileException;
import marvek.formats.JsonFiles;
import marvek.formats.SessionFile;
import marvek.formats.SessionJson;
import marvek.server.books.BookAttachment;
import marvek.server.books.Books;
import marvek.server.circuits.Circuits;
import marvek.server.contract.InFormat;
import marvek.server.editions.Edited;
import marvek.server.editions.Edition;
import marvek.server.editions.StaleException;
import marvek.server.problems.NotFoundException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** Keeps the sessions of books. */
@Service
public class Sessions implements BookAttachment {
  /** Laps that come without a session are of one that began no longer ago (own assumption). */
  private static final Duration LAPS_ARE_FROM = Duration.ofHours(36);

  private static final int UNPLANNED_MIN = 30;
  private static final String UNPLANNED = "Laps brought in";

  private final SessionRepository repository;
  private final Books books;
  private final Circuits circuits;
  private final TransactionTemplate transaction;
  private final SessionUse use;

  Sessions(
      SessionRepository repository,
      Books books,
      Circuits circuits,
      TransactionTemplate transaction,
      SessionUse use) {
    this.repository = repository;
    this.books = books;
    this.circuits = circuits;
    this.transaction = transaction;
    this.use = use;
  }

  /**
   * A kept session.
   *
   * @param begins the moment, in the circuit's zone
   * @param comesTwice whether its hour comes twice because the clocks go back
   * @param driven whether laps of it are there
   */
  public record Kept(
      UUID id,
      UUID bookId,
      String book,
      String circuit,
      String timeZone,
      Instant begins,
      boolean comesTwice,
      boolean driven,
      Instant changedAt,
      long edition,
      @InFormat("session") JsonNode session)
      implements Edited {
    /** What it is called where there is no room for more: "Practice of 2026-05-09". */
    public String name() {
      String kind = session.path("kind").asString("session");
      String day = session.path("startsAt").asString("");
      String name = kind.substring(0, 1).toUpperCase(Locale.ROOT) + kind.substring(1);
      return name.replace('-', ' ') + " of " + day.substring(0, Math.min(10, day.length()));
    }

    /** Best lap that was noted as its result [s]; null without. */
    public Double bestLapS() {
      JsonNode best = session.path("result").path("bestLap_s");
      return best.isNumber() ? best.asDouble(0) : null;
    }
  }

  /** A session with the rules of its circuit at hand. */
  record Read(StoredSession stored, SessionFile file, Books.BookView book, ZoneId zone) {
    Session session() {
      return file.session();
    }
  }

  /** The sessions of a book in the order they begin. */
  public List<Kept> of(Books.BookView book) {
    Place place = place(book);
    return shown(repository.findByBookIdOrderByCreatedAtAscIdAsc(book.id()), stored -> place);
  }

  /** Sessions in the order they begin; whether they were driven is asked once for all. */
  private List<Kept> shown(List<StoredSession> stored, Function<StoredSession, Place> placeOf) {
    Set<UUID> driven = use.driven(stored.stream().map(StoredSession::id).toList());
    return stored.stream()
        .map(s -> kept(s, fileOf(s), placeOf.apply(s), driven.contains(s.id())))
        .sorted(Comparator.comparing(Kept::begins))
        .toList();
  }

  /** The sessions of a book as they were planned. */
  List<Session> files(Books.BookView book) {
    return repository.findByBookIdOrderByCreatedAtAscIdAsc(book.id()).stream()
        .map(stored -> read(stored, book).session())
        .toList();
  }

  /** Ids of a book's sessions in the order they were made, which is that of the book's file. */
  public List<UUID> inOrderOfMaking(Books.BookView book) {
    return repository.findByBookIdOrderByCreatedAtAscIdAsc(book.id()).stream()
        .map(StoredSession::id)
        .toList();
  }

  /** Ids of the sessions of the book that a session belongs to, itself among them. */
  public List<UUID> ofSameBook(UUID id) {
    return inOrderOfMaking(read(id).book());
  }

  /**
   * The session that laps are from which come without one: the last that has begun within a day and
   * a half, or else a new one of now on the newest revision.
   */
  public Kept forLapsOf(UUID bookId, Instant now) {
    Books.BookView book = books.get(bookId);
    return of(book).stream()
        .filter(session -> !session.begins().isAfter(now))
        .filter(session -> session.begins().isAfter(now.minus(LAPS_ARE_FROM)))
        .reduce((first, second) -> second)
        .orElseGet(() -> unplanned(book, now));
  }

  /** Whether a session was made for laps that came without one. */
  public boolean isUnplanned(Kept session) {
    return session.session().path("event").asString().equals(UNPLANNED);
  }

  private Kept unplanned(Books.BookView book, Instant now) {
    ZoneId zone = zone(book);
    LocalDate valid = circuits.validFrom(book.circuitId());
    LocalDateTime at = LocalDateTime.ofInstant(now, zone).truncatedTo(ChronoUnit.MINUTES);
    boolean early = valid != null && at.toLocalDate().isBefore(valid);
    LocalDateTime begun = early ? valid.atTime(12, 0) : at;
    int newest = books.newestNumber(book.id());
    Conditions conditions = Books.draftOf(books.revision(book.id(), newest)).conditions();
    Session session =
        checked(
            new Session(
                UNPLANNED,
                Session.Kind.PRACTICE,
                UNPLANNED_MIN,
                false,
                Purpose.PRACTICE,
                new TyreSet("Not said", 0, 60, null),
                conditions.at(begun),
                List.of(),
                null,
                List.of(),
                null),
            book);
    SessionFile file = new SessionFile(session, List.of(), newest);
    return kept(read(repository.save(new StoredSession(book.id(), written(file))), book));
  }

  /** The sessions of all books in the order they begin. */
  public List<Kept> all() {
    Map<UUID, Place> places =
        books.names().stream().collect(Collectors.toMap(Books.Named::id, Sessions::place));
    return shown(
        repository.findByBookIdInOrderByCreatedAtAscIdAsc(places.keySet()),
        stored -> places.get(stored.bookId()));
  }

  /** One session. */
  public Kept get(UUID id) {
    return kept(read(id));
  }

  /** Keeps a new session of a book. */
  public Kept plan(UUID bookId, JsonNode document) {
    Books.BookView book = books.get(bookId);
    Session session = checked(sent(document), book);
    SessionFile file = new SessionFile(session, List.of(), null);
    return kept(read(repository.save(new StoredSession(bookId, written(file))), book));
  }

  /** The session after another one, begun from what that one left. */
  public Kept planNext(UUID id) {
    Read before = read(id);
    Session next = checked(before.session().next(), before.book());
    SessionFile file = new SessionFile(next, List.of(), null);
    StoredSession stored = new StoredSession(before.book().id(), written(file));
    return kept(read(repository.save(stored), before.book()));
  }

  /**
   * Puts other values in the place of a session's; its decisions and revision stay.
   *
   * @param seen the edition that these are made from
   * @throws StaleException if somebody changed it since
   */
  public Kept change(UUID id, JsonNode document, Edition seen) {
    Books.BookView book = read(id).book();
    Session session = checked(sent(document), book);
    return store(id, book, seen, file -> file.with(session));
  }

  /** Takes a session out; the revision that was issued for it stays. */
  public void remove(UUID id, Edition seen) {
    Books.BookView book = read(id).book();
    transaction.executeWithoutResult(status -> repository.delete(unchanged(id, book, seen)));
  }

  /** Takes out one that Marvek made by itself. */
  public void remove(UUID id) {
    remove(id, Edition.ANY);
  }

  Kept decide(Read read, List<Decision> decisions, Edition seen) {
    return store(read.stored().id(), read.book(), seen, file -> file.withDecisions(decisions));
  }

  /** Says what a session was driven on after all, and which revision reads its laps. */
  public Kept drivenOn(UUID id, Conditions.Surface surface, int revision) {
    return store(
        id,
        read(id).book(),
        Edition.ANY,
        file -> file.with(file.session().drivenOn(surface)).issued(revision));
  }

  Kept issued(Read read, int revision, Edition seen) {
    return store(read.stored().id(), read.book(), seen, file -> file.issued(revision));
  }

  /** Looks and writes in one transaction; what had to be computed has been before. */
  private Kept store(
      UUID id, Books.BookView book, Edition seen, UnaryOperator<SessionFile> change) {
    StoredSession stored =
        transaction.execute(
            status -> {
              StoredSession now = unchanged(id, book, seen);
              now.becomes(written(change.apply(read(now, book).file())));
              return repository.saveAndFlush(now);
            });
    return kept(read(stored, book));
  }

  private StoredSession unchanged(UUID id, Books.BookView book, Edition seen) {
    StoredSession now = stored(id);
    seen.check(now.edition(), () -> kept(read(now, book)));
    return now;
  }

  /**
   * A session that one of the driver's books has.
   *
   * @throws NotFoundException if there is none
   */
  Read read(UUID id) {
    StoredSession stored = stored(id);
    return read(stored, books.get(stored.bookId()));
  }

  private StoredSession stored(UUID id) {
    return repository.findById(id).orElseThrow(() -> NotFoundException.of("session", id));
  }

  private Read read(StoredSession stored, Books.BookView book) {
    return new Read(stored, fileOf(stored), book, zone(book));
  }

  private static SessionFile fileOf(StoredSession stored) {
    JsonNode document = JsonFiles.parse(stored.document().getBytes(StandardCharsets.UTF_8));
    return SessionJson.read(document, "");
  }

  /** A session as a form sends it; what is wrong is told by the name of its field. */
  private static Session sent(JsonNode document) {
    try {
      return SessionJson.read(document, "").session();
    } catch (BadFileException e) {
      if (e.pointer() == null || e.pointer().isEmpty()) {
        throw e;
      }
      String field = e.pointer().substring(1).replace('/', '.').replaceFirst("^conditions\\.", "");
      throw new InvalidValueException(field, e.said());
    }
  }

  private Session checked(Session session, Books.BookView book) {
    double lapS = book.revisions().get(book.revisions().size() - 1).time_s();
    double lapM = circuits.facts(book.circuitId()).lengthM();
    return session.checkedAt(zone(book), circuits.validFrom(book.circuitId()), lapM, lapS);
  }

  private ZoneId zone(Books.BookView book) {
    return circuits.facts(book.circuitId()).zone();
  }

  private static String written(SessionFile file) {
    return JsonFiles.write(SessionJson.write(file));
  }

  /** The book that a session belongs to, and where that is driven. */
  private record Place(String book, String circuit, ZoneId zone) {
    static Place of(String book, String circuit, String layout, ZoneId zone) {
      return new Place(book, circuit + (layout.isBlank() ? "" : ", " + layout), zone);
    }
  }

  private static Place place(Books.Named book) {
    Circuits.Facts circuit = book.circuit();
    return Place.of(book.name(), circuit.name(), circuit.layout(), circuit.zone());
  }

  private Place place(Books.BookView book) {
    return Place.of(book.name(), book.circuit(), book.layout(), zone(book));
  }

  private Kept kept(Read read) {
    StoredSession stored = read.stored();
    Books.BookView book = read.book();
    return kept(
        stored,
        read.file(),
        Place.of(book.name(), book.circuit(), book.layout(), read.zone()),
        use.driven(List.of(stored.id())).contains(stored.id()));
  }

  private static Kept kept(StoredSession stored, SessionFile file, Place place, boolean driven) {
    return new Kept(
        stored.id(),
        stored.bookId(),
        place.book(),
        place.circuit(),
        place.zone().getId(),
        file.session().begins(place.zone()).toInstant(),
        file.session().comesTwice(place.zone()),
        driven,
        stored.changedAt(),
        stored.edition(),
        SessionJson.write(file));
  }

  @Override
  public String member() {
    return "sessions";
  }

  @Override
  public List<JsonNode> of(UUID bookId) {
    return repository.findByBookIdOrderByCreatedAtAscIdAsc(bookId).stream()
        .map(s -> JsonFiles.parse(s.document().getBytes(StandardCharsets.UTF_8)))
        .toList();
  }

  @Override
  public void add(UUID bookId, JsonNode document) {
    repository.save(new StoredSession(bookId, JsonFiles.write(document)));
  }
}
