package marvek.server.books;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import marvek.formats.BookJson;
import marvek.formats.JsonFiles;
import marvek.server.accounts.CurrentDriver;
import marvek.server.cars.Cars;
import marvek.server.cars.SetupSheets;
import marvek.server.circuits.Circuits;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Whole books as files, with everything that belongs to them. */
@Service
public class BookFiles {
  private static final String SESSIONS = "sessions";
  private static final String DEBRIEF_NOTES = "debriefNotes";
  private static final String STEPS = "steps";
  private static final String LEAD_DAYS = "leadDays";
  private static final String LEARNED = "learned";

  private final Books books;
  private final BookRepository stored;
  private final RevisionRepository revisions;
  private final Circuits circuits;
  private final Cars cars;
  private final SetupSheets sheets;
  private final List<BookAttachment> attachments;
  private final CurrentDriver driver;
  private final TransactionTemplate transaction;

  BookFiles(
      Books books,
      BookRepository stored,
      RevisionRepository revisions,
      Circuits circuits,
      Cars cars,
      SetupSheets sheets,
      List<BookAttachment> attachments,
      CurrentDriver driver,
      TransactionTemplate transaction) {
    this.books = books;
    this.stored = stored;
    this.revisions = revisions;
    this.circuits = circuits;
    this.cars = cars;
    this.sheets = sheets;
    this.attachments = attachments;
    this.driver = driver;
    this.transaction = transaction;
  }

  /** The whole book as a file. */
  public byte[] export(UUID id) {
    Book book = books.book(id);
    List<ObjectNode> documents =
        revisions.findByBookIdOrderByNumber(id).stream().map(Books::parse).toList();
    BookJson.Parts parts =
        new BookJson.Parts(
            book.name(),
            circuits.load(book.circuitId()).document(),
            earlierLayouts(book),
            cars.load(book.carId()).document(),
            sheets.of(book.carId()).stream().map(SetupSheets.Kept::sheet).toList(),
            documents,
            attached(SESSIONS, id),
            attached(STEPS, id),
            attached(DEBRIEF_NOTES, id),
            attached(LEAD_DAYS, id),
            attached(LEARNED, id));
    return JsonFiles.writeFile(BookJson.write(parts));
  }

  private List<JsonNode> earlierLayouts(Book book) {
    return revisions.findByBookIdOrderByNumber(book.id()).stream()
        .map(Revision::circuitId)
        .filter(id -> !id.equals(book.circuitId()))
        .distinct()
        .map(id -> circuits.load(id).document())
        .toList();
  }

  /** Takes a whole book in, its circuit and car with it; all or nothing. */
  public UUID importFile(byte[] bytes) {
    BookJson.Parts parts = BookJson.read(JsonFiles.parse(bytes));
    return transaction.execute(
        status -> {
          UUID circuit = circuits.importGeoJson(parts.circuit()).id();
          Map<Integer, UUID> layouts = new HashMap<>();
          for (JsonNode earlier : parts.earlierLayouts()) {
            layouts.put(
                earlier.path("marvek").path("layoutVersion").asInt(1),
                circuits.importEarlierVersion(circuit, earlier));
          }
          UUID car = cars.importTree(parts.car()).id();
          parts.setupSheets().forEach(sheet -> sheets.add(car, sheet));
          Book book = stored.save(new Book(driver.id(), circuit, car, parts.name()));
          for (ObjectNode document : parts.revisions()) {
            int layout = document.path("layoutVersion").asInt(0);
            revisions.save(revision(book.id(), document, layouts.getOrDefault(layout, circuit)));
          }
          parts.sessions().forEach(session -> attach(SESSIONS, book.id(), session));
          parts.steps().forEach(step -> attach(STEPS, book.id(), step));
          parts.debriefNotes().forEach(note -> attach(DEBRIEF_NOTES, book.id(), note));
          parts.leadDays().forEach(day -> attach(LEAD_DAYS, book.id(), day));
          parts.learned().forEach(answer -> attach(LEARNED, book.id(), answer));
          return book.id();
        });
  }

  private List<JsonNode> attached(String member, UUID bookId) {
    return attachments.stream()
        .filter(attachment -> attachment.member().equals(member))
        .flatMap(attachment -> attachment.of(bookId).stream())
        .toList();
  }

  private void attach(String member, UUID bookId, JsonNode document) {
    attachments.stream()
        .filter(attachment -> attachment.member().equals(member))
        .forEach(attachment -> attachment.add(bookId, document));
  }

  private static Revision revision(UUID bookId, ObjectNode document, UUID circuitId) {
    JsonNode parent = document.path("parent");
    return new Revision(
        bookId,
        document.path("number").asInt(),
        parent.isInt() ? parent.asInt() : null,
        OffsetDateTime.parse(document.path("createdAt").asText()).toInstant(),
        circuitId,
        JsonFiles.write(document));
  }
}
