package marvek.server.laps;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.laps.RecordedLap;
import marvek.core.say.Sentence;
import marvek.formats.BadFileException;
import marvek.formats.JsonFiles;
import marvek.server.accounts.CurrentDriver;
import marvek.server.books.Books;
import marvek.server.books.Draft;
import marvek.server.problems.NotFoundException;
import marvek.server.sessions.Sessions;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * All laps that were driven at a book's circuit, on any of its layouts, in any of the driver's
 * books: his own, and those that others gave him. What a file's laps are is noted with it, so that
 * a list reads no file twice.
 */
@Service
class LapLibrary {
  private final Laps laps;
  private final Debriefs debriefs;
  private final Sessions sessions;
  private final Books books;
  private final CurrentDriver driver;

  LapLibrary(Laps laps, Debriefs debriefs, Sessions sessions, Books books, CurrentDriver driver) {
    this.laps = laps;
    this.debriefs = debriefs;
    this.sessions = sessions;
    this.books = books;
    this.driver = driver;
  }

  /**
   * A file with the session that it is of.
   *
   * @param sheet that the car was set up by; null for the car as it is
   */
  record Shelved(
      StoredLapFile file, Sessions.Kept session, Books.BookView book, @Nullable String sheet) {
    String surface() {
      return session.session().path("conditions").path("surface").asString("dry");
    }

    /** Whose laps it has, in which vehicle. */
    IncomingLaps.Whose whose() {
      IncomingLaps.Whose said = file.whose();
      return new IncomingLaps.Whose(
          said.driver(), said.vehicle().isEmpty() ? book.car() : said.vehicle());
    }
  }

  /**
   * A lap.
   *
   * @param kind as somebody says it is, or else as it was recognised
   * @param timeS null of one that was not recorded from line to line
   * @param best whether it is the fastest of its driver, vehicle, surface and layout
   */
  record Entry(
      Shelved shelved, int number, RecordedLap.Kind kind, @Nullable Double timeS, boolean best) {
    String id() {
      return shelved.file().id() + "." + number;
    }

    boolean counts() {
      return kind == RecordedLap.Kind.FLYING && timeS != null;
    }

    private String kindred() {
      return String.join(
          "\n",
          shelved.whose().driver(),
          shelved.whose().vehicle(),
          shelved.surface(),
          shelved.book().layout(),
          Integer.toString(shelved.book().layoutVersion()));
    }
  }

  /** The laps at a book's circuit; the newest session first, each file's in their order. */
  List<Entry> of(UUID bookId) {
    List<Entry> entries = new ArrayList<>();
    for (Shelved shelved : files(bookId)) {
      summary(shelved).forEach(lap -> entries.add(entry(shelved, lap)));
    }
    return withBests(entries);
  }

  private static Entry entry(Shelved shelved, JsonNode lap) {
    int number = lap.path("number").asInt(0);
    RecordedLap.Kind recognised = RecordedLap.Kind.valueOf(lap.path("kind").asString());
    JsonNode time = lap.path("time_s");
    return new Entry(
        shelved,
        number,
        shelved.file().saidOf(number).orElse(recognised),
        time.isNumber() ? time.asDouble() : null,
        false);
  }

  private static List<Entry> withBests(List<Entry> entries) {
    Map<String, Entry> best = new HashMap<>();
    for (Entry entry : entries) {
      if (entry.counts()) {
        best.merge(entry.kindred(), entry, (a, b) -> b.timeS() < a.timeS() ? b : a);
      }
    }
    return entries.stream()
        .map(
            e ->
                new Entry(e.shelved(), e.number(), e.kind(), e.timeS(), best.get(e.kindred()) == e))
        .toList();
  }

  /**
   * One lap's file.
   *
   * @throws NotFoundException if there is no such lap at the book's circuit
   */
  Shelved file(UUID bookId, UUID file) {
    StoredLapFile stored = laps.file(file);
    return booksAt(bookId).stream()
        .filter(b -> b.id().equals(sessions.get(stored.sessionId()).bookId()))
        .findFirst()
        .map(book -> shelved(stored, sessions.get(stored.sessionId()), book))
        .orElseThrow(() -> new NotFoundException(Sentence.of("missing.lap-here")));
  }

  private List<Shelved> files(UUID bookId) {
    List<Shelved> all = new ArrayList<>();
    for (Books.BookView book : booksAt(bookId)) {
      for (Sessions.Kept session : sessions.of(book)) {
        if (session.driven()) {
          laps.files(session.id()).forEach(file -> all.add(shelved(file, session, book)));
        }
      }
    }
    all.sort(Comparator.comparing((Shelved s) -> s.session().begins()).reversed());
    return all;
  }

  private Shelved shelved(StoredLapFile file, Sessions.Kept session, Books.BookView book) {
    Draft draft = Books.draftOf(books.revision(book.id(), debriefs.revision(session)));
    String sheet = draft.setup() == null ? null : draft.setup().name();
    return new Shelved(file, session, book, sheet);
  }

  /** Who sees one book of another driver's sees no laps of his others. */
  private List<Books.BookView> booksAt(UUID bookId) {
    Books.BookView here = books.get(bookId);
    if (!driver.person().equals(driver.id())) {
      return List.of(here);
    }
    return books.list().stream()
        .filter(
            book ->
                book.newestCircuitId().equals(here.newestCircuitId())
                    || book.circuit().equals(here.circuit()))
        .toList();
  }

  /** A file's laps in short; read from it only the first time. */
  private List<JsonNode> summary(Shelved shelved) {
    ObjectNode noted = (ObjectNode) shelved.file().summary().orElseGet(() -> summed(shelved));
    List<JsonNode> list = new ArrayList<>();
    noted.path("laps").forEach(list::add);
    return list;
  }

  private ObjectNode summed(Shelved shelved) {
    ObjectNode summary = JsonFiles.MAPPER.createObjectNode();
    ArrayNode list = summary.putArray("laps");
    try {
      Books.Computed computed = debriefs.computed(shelved.session());
      Laps.KeptFile kept = laps.on(shelved.file(), shelved.book().id(), computed);
      for (RecordedLap lap : SessionLaps.kindsOf(kept.laps(), computed)) {
        ObjectNode written = list.addObject().put("number", lap.number());
        written.put("kind", lap.kind().name());
        if (lap.isWhole()) {
          written.put("time_s", LapViews.rounded(lap.timeS(), 3));
        }
      }
      laps.noteSummary(shelved.file().id(), summary);
    } catch (BadFileException | InvalidValueException e) {
      // A file that no longer lies on its session's road has no laps there; it stays as it is.
      return summary;
    }
    return summary;
  }
}
