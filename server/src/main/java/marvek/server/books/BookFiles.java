package marvek.server.books;

import java.io.IOException;
import java.io.InputStream;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import marvek.formats.BookJson;
import marvek.formats.JsonFiles;
import marvek.server.accounts.CurrentDriver;
import marvek.server.cars.Cars;
import marvek.server.cars.SetupSheets;
import marvek.server.circuits.Circuits;
import marvek.server.circuits.ReadyCircuit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

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
  public UUID importFile(InputStream file) throws IOException {
    BookJson.Parts parts = BookJson.read(JsonFiles.parse(file));
    ReadyCircuit circuit = circuits.ready(parts.circuit());
    Map<Integer, ReadyCircuit> earlier = new LinkedHashMap<>();
    for (JsonNode layout : parts.earlierLayouts()) {
      earlier.put(
          layout.path("marvek").path("layoutVersion").asInt(1), circuits.readyEarlier(layout));
    }
    Cars.Ready car = cars.ready(parts.car());
    List<String> documents = parts.revisions().stream().map(JsonFiles::write).toList();
    return transaction.execute(status -> store(parts, circuit, earlier, car, documents));
  }

  private UUID store(
      BookJson.Parts parts,
      ReadyCircuit circuit,
      Map<Integer, ReadyCircuit> earlier,
      Cars.Ready car,
      List<String> documents) {
    UUID place = circuits.store(circuit);
    Map<Integer, UUID> layouts = new HashMap<>();
    earlier.forEach(
        (version, layout) -> layouts.put(version, circuits.storeEarlier(place, layout)));
    UUID carId = cars.store(car);
    parts.setupSheets().forEach(sheet -> sheets.add(carId, sheet));
    UUID book =
        stored.save(new Book(UUID.randomUUID(), driver.id(), place, carId, parts.name())).id();
    for (int i = 0; i < documents.size(); i++) {
      ObjectNode document = parts.revisions().get(i);
      int layout = document.path("layoutVersion").asInt(0);
      revisions.save(
          revision(book, document, documents.get(i), layouts.getOrDefault(layout, place)));
    }
    parts.sessions().forEach(session -> attach(SESSIONS, book, session));
    parts.steps().forEach(step -> attach(STEPS, book, step));
    parts.debriefNotes().forEach(note -> attach(DEBRIEF_NOTES, book, note));
    parts.leadDays().forEach(day -> attach(LEAD_DAYS, book, day));
    parts.learned().forEach(answer -> attach(LEARNED, book, answer));
    return book;
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

  private static Revision revision(
      UUID bookId, ObjectNode document, String written, UUID circuitId) {
    return new Revision(
        bookId,
        OffsetDateTime.parse(document.path("createdAt").asString()).toInstant(),
        circuitId,
        document,
        written);
  }
}
