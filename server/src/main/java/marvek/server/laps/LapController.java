package marvek.server.laps;

import jakarta.validation.Valid;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import marvek.core.laps.RecordedLap;
import marvek.core.say.Sentence;
import marvek.formats.LapFiles;
import marvek.formats.LapPreview;
import marvek.formats.Spelled;
import marvek.server.books.Books;
import marvek.server.books.OwnLines;
import marvek.server.contract.Holds;
import marvek.server.contract.NameBody;
import marvek.server.contract.OneOf;
import marvek.server.sessions.Sessions;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.InputStreamResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Files of laps: looked at, brought in, taken out, and made by the simulated logger. */
@RestController
class LapController {
  private static final MediaType CSV = MediaType.valueOf("text/csv;charset=UTF-8");
  private static final double LINE_STEP_M = 4;

  private final Laps laps;
  private final Debriefs debriefs;
  private final Sessions sessions;
  private final SimulatedLogger logger;
  private final LiveLaps live;

  LapController(
      Laps laps, Debriefs debriefs, Sessions sessions, SimulatedLogger logger, LiveLaps live) {
    this.laps = laps;
    this.debriefs = debriefs;
    this.sessions = sessions;
    this.logger = logger;
    this.live = live;
  }

  /**
   * A file before it is brought in.
   *
   * @param kind of the file; columns are those of a CSV
   * @param headerLine line of its row of headers, from 1; 0 where it has none
   * @param lines its first rows, for somebody to point at the headers
   * @param missing what no column is known for
   * @param remembered whether they are named as those of an earlier file with the same header
   * @param choices columns of the lap format that a header can be mapped to
   * @param read what would become of it; null where it cannot be read so
   * @param problem why it cannot be; null where it can
   */
  record PreviewView(
      @OneOf(LapFiles.Kind.class) String kind,
      long headerLine,
      List<LapPreview.Line> lines,
      List<LapPreview.Column> columns,
      List<Sentence> missing,
      boolean remembered,
      List<String> choices,
      @Nullable PreviewedLaps read,
      @Nullable ProblemDetail problem) {
    static PreviewView of(Laps.Preview seen, Books.Computed computed) {
      LapPreview columns = seen.columns();
      return new PreviewView(
          Spelled.of(columns.kind()),
          columns.headerLine(),
          columns.lines(),
          columns.columns(),
          columns.missing(),
          seen.remembered(),
          LapPreview.choices(),
          seen.laps() == null ? null : PreviewedLaps.of(seen.laps(), computed),
          seen.problem());
    }
  }

  /** Looks at a file of laps as it would be read for a session, without keeping it. */
  @PostMapping(
      path = "/api/sessions/{id}/laps/preview",
      consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  PreviewView previewLaps(
      @PathVariable UUID id,
      @RequestPart("file") MultipartFile file,
      @RequestParam(required = false) @Holds(Map.class) String mapping,
      @RequestParam(defaultValue = "0") long headerLine) {
    Sessions.Kept session = sessions.get(id);
    Books.Computed computed = debriefs.computed(session);
    IncomingLaps incoming = incoming(file, mapping, headerLine, IncomingLaps.Whose.OWN);
    return PreviewView.of(laps.preview(session.bookId(), computed, incoming), computed);
  }

  /** Adds a file of laps to a session. */
  @PostMapping(path = "/api/sessions/{id}/laps", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  LapViews.FileView addLaps(
      @PathVariable UUID id,
      @RequestPart("file") MultipartFile file,
      @RequestParam(required = false) @Holds(Map.class) String mapping,
      @RequestParam(defaultValue = "0") long headerLine,
      @RequestParam(defaultValue = "") String driver,
      @RequestParam(defaultValue = "") String vehicle) {
    IncomingLaps.Whose whose = new IncomingLaps.Whose(driver, vehicle);
    return LapViews.FileView.of(kept(sessions.get(id), incoming(file, mapping, headerLine, whose)));
  }

  private static IncomingLaps incoming(
      MultipartFile file, String mapping, long headerLine, IncomingLaps.Whose whose) {
    return new IncomingLaps(
        file.getOriginalFilename(),
        file::getInputStream,
        Mapping.parse(mapping),
        headerLine,
        whose);
  }

  private Laps.KeptFile kept(Sessions.Kept session, IncomingLaps incoming) {
    return laps.add(session.id(), debriefs.computed(session), incoming);
  }

  /** Whose laps a file has, and in what; empty for the book's own. */
  record WhoseBody(String driver, String vehicle) {}

  /** Says whose laps a file has. */
  @PutMapping("/api/laps/{id}/whose")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void sayWhoseLaps(@PathVariable UUID id, @RequestBody WhoseBody body) {
    laps.say(id, new IncomingLaps.Whose(body.driver(), body.vehicle()));
  }

  /** A lap as a script gets it. */
  record ImportedLap(
      String id, int number, Double time_s, @OneOf(RecordedLap.Kind.class) String kind) {}

  /**
   * Laps as a script brought them in.
   *
   * @param session that they were taken for
   * @param warnings what was put right or is missing, in words
   */
  record ImportedLaps(UUID id, UUID session, List<ImportedLap> laps, List<String> warnings) {}

  /** The promise to scripts: laps of a book; without a session they are taken for the last one. */
  @PostMapping(path = "/api/books/{id}/laps/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  ImportedLaps importLaps(
      @PathVariable UUID id,
      @RequestPart("file") MultipartFile file,
      @RequestParam(required = false) @Holds(Map.class) String mapping,
      @RequestParam(required = false) UUID session) {
    Sessions.Kept of = session == null ? debriefs.sessionForLapsOf(id) : sessions.get(session);
    Laps.KeptFile kept;
    try {
      kept = kept(of, incoming(file, mapping, 0, IncomingLaps.Whose.OWN));
    } catch (RuntimeException e) {
      debriefs.forgetUnplanned(of);
      throw e;
    }
    List<ImportedLap> found =
        SessionLaps.kindsOf(kept.laps(), debriefs.computed(of)).stream()
            .map(
                lap ->
                    new ImportedLap(
                        kept.stored().id() + "." + lap.number(),
                        lap.number(),
                        lap.isWhole() ? LapViews.rounded(lap.timeS(), 3) : null,
                        Spelled.of(lap.kind())))
            .toList();
    List<String> warnings =
        Stream.of(kept.laps().corrections(), kept.laps().missing())
            .flatMap(List::stream)
            .map(Sentence::words)
            .toList();
    return new ImportedLaps(kept.stored().id(), of.id(), found, warnings);
  }

  /** What kind a lap is; null takes back what was said. */
  record KindBody(@OneOf(RecordedLap.Kind.class) @Nullable String kind) {}

  /** Says what kind a lap is; null gives it back to Marvek. */
  @PutMapping("/api/laps/{id}/laps/{number}/kind")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void sayKindOfLap(@PathVariable UUID id, @PathVariable int number, @RequestBody KindBody body) {
    Books.Computed computed = debriefs.computed(sessions.get(laps.file(id).sessionId()));
    laps.say(
        id,
        number,
        body.kind() == null ? null : Spelled.read(RecordedLap.Kind.class, "kind", body.kind()),
        computed);
  }

  /** The line of a lap, one offset every step from the start line on; left positive. */
  record LineView(double step_m, double[] offset_m) {}

  /** Where a lap ran across the road. */
  @GetMapping("/api/laps/{id}/line")
  LineView getLineOfLaps(@PathVariable UUID id, @RequestParam int lap) {
    double[] line = debriefs.line(id, lap, LINE_STEP_M);
    for (int k = 0; k < line.length; k++) {
      line[k] = Math.round(line[k] * 100) / 100.0;
    }
    return new LineView(LINE_STEP_M, line);
  }

  /** Makes a line of a lap, for a draft of its book; nothing is kept. */
  @GetMapping("/api/laps/{id}/traced-line")
  OwnLines.Traced traceLineOfLap(@PathVariable UUID id, @RequestParam int lap) {
    return debriefs.traced(id, lap);
  }

  /** A file of laps as it came. */
  @GetMapping("/api/laps/{id}/file")
  ResponseEntity<Resource> getLapFile(@PathVariable UUID id) throws IOException {
    String name = laps.file(id).name();
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_OCTET_STREAM)
        .header(HttpHeaders.CONTENT_DISPOSITION, attachment(name))
        .body(new InputStreamResource(laps.contentOf(id).open()));
  }

  /** Calls a file of laps otherwise. */
  @PutMapping("/api/laps/{id}/name")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void renameLaps(@PathVariable UUID id, @Valid @RequestBody NameBody body) {
    laps.rename(id, body.name());
  }

  /** Removes a file of laps. */
  @DeleteMapping("/api/laps/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeLaps(@PathVariable UUID id) {
    laps.remove(id);
  }

  /**
   * A file of the simulated logger, which drives the session's book with a person's errors.
   *
   * @param kind full (pedals, a hundred times a second), mixed, late, rough, stint, position (ten
   *     times a second) or telephone (once)
   */
  @GetMapping("/api/sessions/{id}/simulated.laps.csv")
  ResponseEntity<byte[]> simulateLaps(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "6") int laps,
      @RequestParam(defaultValue = "1") long seed,
      @RequestParam(defaultValue = "full") String kind) {
    Books.Computed computed = debriefs.computed(sessions.get(id));
    SimulatedLogger.Kind of = Spelled.read(SimulatedLogger.Kind.class, "kind", kind);
    return ResponseEntity.ok()
        .contentType(CSV)
        .header(HttpHeaders.CONTENT_DISPOSITION, attachment(of.file()))
        .body(logger.file(computed, of, laps, seed));
  }

  /**
   * A live run of the simulated logger.
   *
   * @param timesFaster than real time, 1 to 200
   */
  record LiveBody(Integer laps, Long seed, Double timesFaster) {}

  /** Starts a simulated logger that drives while it is watched. */
  @PostMapping("/api/sessions/{id}/live")
  LiveLaps.State startLiveLaps(@PathVariable UUID id, @RequestBody LiveBody body) {
    return live.start(
        id,
        body.laps() == null ? 6 : body.laps(),
        body.seed() == null ? 1 : body.seed(),
        body.timesFaster() == null ? 20 : body.timesFaster());
  }

  /** How far the logger is. */
  @GetMapping("/api/sessions/{id}/live")
  LiveLaps.State getLiveLaps(@PathVariable UUID id) {
    return live.state(id);
  }

  /** Stops the logger. */
  @DeleteMapping("/api/sessions/{id}/live")
  LiveLaps.State stopLiveLaps(@PathVariable UUID id) {
    return live.stop(id);
  }

  private static String attachment(String name) {
    return ContentDisposition.attachment()
        .filename(name, StandardCharsets.UTF_8)
        .build()
        .toString();
  }
}
