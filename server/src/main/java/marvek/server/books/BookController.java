package marvek.server.books;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import marvek.formats.PublishedSchema;
import marvek.server.contract.InFormat;
import marvek.server.contract.NameBody;
import marvek.server.editions.Edition;
import marvek.server.jobs.JobStatus;
import marvek.server.jobs.JobView;
import marvek.server.jobs.JobWork;
import marvek.server.jobs.Jobs;
import marvek.server.jobs.StartedJob;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationContext;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

@RestController
class BookController {
  /** Work that takes longer than this is answered with a job. */
  private static final long PATIENCE_MS = 1000;

  /** A revision is never changed. */
  private static final Duration FOR_GOOD = Duration.ofDays(365);

  private final Books books;
  private final Views views;
  private final BookFiles files;
  private final BookNames names;
  private final Jobs jobs;
  private final BookMaking making;
  private final LineSearch search;

  /** What is computed of a revision holds as long as this program runs; the next may know more. */
  private final long computesSince;

  BookController(
      Books books,
      Views views,
      BookFiles files,
      BookNames names,
      Jobs jobs,
      BookMaking making,
      LineSearch search,
      ApplicationContext program) {
    this.books = books;
    this.views = views;
    this.files = files;
    this.names = names;
    this.jobs = jobs;
    this.making = making;
    this.search = search;
    this.computesSince = program.getStartupDate();
  }

  record NewBook(
      @NotNull UUID circuitId,
      @NotNull UUID carId,
      @Nullable String name,
      @InFormat("conditions") @Nullable JsonNode conditions,
      @InFormat("line") @Nullable String line,
      @InFormat("lineOffsets") @Nullable JsonNode lineOffsets_m,
      @InFormat("setup") @Nullable JsonNode setup) {
    Draft draft() {
      return Draft.ofNewBook(conditions, line, lineOffsets_m, setup);
    }
  }

  /** The body of a revision to be kept serves to try it out: parent and reason are not needed. */
  record DraftBody(
      Integer parent,
      @Nullable String reason,
      @InFormat("conditions") @Nullable JsonNode conditions,
      @InFormat("line") @Nullable String line,
      @InFormat("lineOffsets") @Nullable JsonNode lineOffsets_m,
      @InFormat(value = "ownValues", list = true) @Nullable JsonNode ownValues,
      @InFormat("setup") @Nullable JsonNode setup) {
    Draft draft() {
      return Draft.read(conditions, line, lineOffsets_m, ownValues, setup);
    }
  }

  record KeepBody(
      @NotNull Integer parent,
      @Nullable String reason,
      @InFormat("conditions") @Nullable JsonNode conditions,
      @InFormat("line") @Nullable String line,
      @InFormat("lineOffsets") @Nullable JsonNode lineOffsets_m,
      @InFormat(value = "ownValues", list = true) @Nullable JsonNode ownValues,
      @InFormat("setup") @Nullable JsonNode setup) {
    Draft draft() {
      return Draft.read(conditions, line, lineOffsets_m, ownValues, setup);
    }
  }

  /** Points to the job that goes on. */
  record JobStarted(UUID job, JobStatus status, double progress) {}

  record Imported(UUID id) {}

  /** All books with their revisions, in the order they were made. */
  @GetMapping("/api/books")
  List<Books.BookView> listBooks() {
    return books.list();
  }

  /** Makes a book of a circuit and a car; a job where that takes longer than a second. */
  @PostMapping("/api/books")
  @ApiResponse(
      responseCode = "201",
      description = "Made",
      content = @Content(schema = @Schema(implementation = JobWork.Made.class)))
  @ApiResponse(
      responseCode = "202",
      description = "Takes longer",
      content = @Content(schema = @Schema(implementation = JobStarted.class)))
  ResponseEntity<Object> createBook(@Valid @RequestBody NewBook body) {
    body.draft();
    StartedJob job = jobs.start(making, body);
    return job.await(PATIENCE_MS)
        .map(made -> ResponseEntity.status(HttpStatus.CREATED).<Object>body(made))
        .orElseGet(() -> accepted(job));
  }

  /** Calls a book otherwise. */
  @PutMapping("/api/books/{id}/name")
  Books.BookView renameBook(
      @PathVariable UUID id,
      @Valid @RequestBody NameBody body,
      @RequestHeader(HttpHeaders.IF_MATCH) Edition seen) {
    return names.rename(id, body.name(), seen);
  }

  /** Makes another book of all revisions of this one. */
  @PostMapping("/api/books/{id}/copy")
  @ResponseStatus(HttpStatus.CREATED)
  Imported copyBook(@PathVariable UUID id, @Valid @RequestBody NameBody body) {
    return new Imported(names.copy(id, body.name()));
  }

  /** One book with its revisions. */
  @GetMapping("/api/books/{id}")
  Books.BookView getBook(@PathVariable UUID id) {
    return books.get(id);
  }

  /** A revision as the book's format writes it. */
  @GetMapping("/api/books/{id}/revisions/{number}")
  @InFormat("revision")
  ResponseEntity<ObjectNode> getRevision(@PathVariable UUID id, @PathVariable int number) {
    ObjectNode document = books.revision(id, number);
    // Its number may come again, after an older backup was taken in; the moment does not.
    String made = number + "-" + document.path("createdAt").asString("");
    return ResponseEntity.ok()
        .cacheControl(CacheControl.maxAge(FOR_GOOD).cachePrivate().immutable())
        .eTag("W/\"" + made + "\"")
        .body(document);
  }

  /** A revision and what is drawn along its lap. */
  @GetMapping("/api/books/{id}/revisions/{number}/view")
  ResponseEntity<Views.Tried> viewRevision(@PathVariable UUID id, @PathVariable int number) {
    return viewed(id, number);
  }

  /** The same of the newest revision, so that a book is opened with one question. */
  @GetMapping("/api/books/{id}/view")
  ResponseEntity<Views.Tried> viewBook(@PathVariable UUID id) {
    return viewed(id, books.newestNumber(id));
  }

  private ResponseEntity<Views.Tried> viewed(UUID id, int number) {
    // Weak: a strong one would have to name what it is compressed with.
    return ResponseEntity.ok()
        .cacheControl(CacheControl.noCache().cachePrivate())
        .eTag("W/\"" + number + "-" + computesSince + "\"")
        .body(views.of(id, number));
  }

  /** A draft's pages and lap; nothing is kept. */
  @PostMapping("/api/books/{id}/try")
  Views.Tried tryDraft(@PathVariable UUID id, @RequestBody DraftBody body) {
    return views.of(id, body.parent(), body.draft());
  }

  /** What a draft changes of the revision that it was made from; nothing is kept. */
  @PostMapping("/api/books/{id}/change")
  Views.Changed changeOfDraft(@PathVariable UUID id, @Valid @RequestBody KeepBody body) {
    return views.changed(id, body.parent(), body.draft());
  }

  /**
   * Searches a draft's line, so that trying it out is quick; what takes longer than a second goes
   * on as a job with progress, to be cancelled.
   */
  @PostMapping("/api/books/{id}/line")
  @ApiResponse(
      responseCode = "200",
      description = "Found",
      content = @Content(schema = @Schema(implementation = JobWork.Made.class)))
  @ApiResponse(
      responseCode = "202",
      description = "Takes longer",
      content = @Content(schema = @Schema(implementation = JobStarted.class)))
  ResponseEntity<Object> searchLine(@PathVariable UUID id, @RequestBody DraftBody body) {
    body.draft();
    books.get(id);
    StartedJob job = jobs.start(search, new LineSearch.Asked(id, body));
    return job.await(PATIENCE_MS)
        .map(made -> ResponseEntity.<Object>ok(made))
        .orElseGet(() -> accepted(job));
  }

  private ResponseEntity<Object> accepted(StartedJob job) {
    JobView view = jobs.view(job.id());
    return ResponseEntity.accepted()
        .location(URI.create("/api/jobs/" + job.id()))
        .body(new JobStarted(view.id(), view.status(), view.progress()));
  }

  /** Keeps a draft as the next revision. */
  @PostMapping("/api/books/{id}/revisions")
  @ResponseStatus(HttpStatus.CREATED)
  Books.RevisionLine keepRevision(@PathVariable UUID id, @Valid @RequestBody KeepBody body) {
    return books.keep(id, body.parent(), body.reason(), body.draft(), Instant.now());
  }

  /** The book as one file. */
  @GetMapping("/api/books/{id}/export")
  ResponseEntity<byte[]> exportBook(@PathVariable UUID id) {
    String name = books.get(id).name().replaceAll("[^\\p{L}\\p{N}]+", "-") + ".book.json";
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name, java.nio.charset.StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(files.export(id));
  }

  /** Takes in a book's file, whole or not at all. */
  @PostMapping(path = "/api/books/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  Imported importBook(@RequestPart("file") MultipartFile file) throws IOException {
    try (InputStream read = file.getInputStream()) {
      return new Imported(files.importFile(read));
    }
  }

  /** The JSON Schema of a book's file. */
  @GetMapping(path = "/api/schemas/book.schema.json", produces = "application/schema+json")
  byte[] getBookSchema() {
    return PublishedSchema.BOOK.file();
  }
}
