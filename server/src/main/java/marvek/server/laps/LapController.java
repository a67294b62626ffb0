package marvek.server.laps;

import jakarta.validation.Valid;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import marvek.core.laps.RecordedLap;
import marvek.formats.LapPreview;
import marvek.formats.Spelled;
import marvek.server.books.Books;
import marvek.server.books.OwnLines;
import marvek.server.contract.Holds;
import marvek.server.contract.NameBody;
import marvek.server.contract.OneOf;
import marvek.server.sessions.Sessions;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
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
   * A file's columns before it is brought in.
   *
   * @param remembered whether they are mapped as those of an earlier file with the same header
   * @param choices columns of the lap format that a header can be mapped to
   */
  record PreviewView(
      List<LapPreview.Column> columns,
      List<String> missing,
      boolean remembered,
      List<String> choices) {}

  /** Reads the columns of a file of laps without keeping it. */
  @PostMapping(path = "/api/laps/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  PreviewView previewLaps(
      @RequestPart("file") MultipartFile file,
      @RequestParam(required = false) @Holds(Map.class) String mapping)
      throws IOException {
    Laps.Preview seen = laps.preview(file.getBytes(), Mapping.parse(mapping));
    return new PreviewView(
        seen.preview().columns(),
        seen.preview().missing(),
        seen.remembered(),
        LapPreview.choices());
  }

  /** Adds a file of laps to a session. */
  @PostMapping(path = "/api/sessions/{id}/laps", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  LapViews.FileView addLaps(
      @PathVariable UUID id,
      @RequestPart("file") MultipartFile file,
      @RequestParam(required = false) @Holds(Map.class) String mapping)
      throws IOException {
    return LapViews.FileView.of(kept(sessions.get(id), file, mapping));
  }

  private Laps.KeptFile kept(Sessions.Kept session, MultipartFile file, String mapping)
      throws IOException {
    return laps.add(
        session.id(),
        debriefs.computed(session),
        file.getOriginalFilename(),
        file.getBytes(),
        Mapping.parse(mapping));
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
      @RequestParam(required = false) UUID session)
      throws IOException {
    Sessions.Kept of = session == null ? debriefs.sessionForLapsOf(id) : sessions.get(session);
    Laps.KeptFile kept;
    try {
      kept = kept(of, file, mapping);
    } catch (RuntimeException e) {
      debriefs.forgetUnplanned(of);
      throw e;
    }
    List<ImportedLap> found =
        kept.laps().laps().stream()
            .map(
                lap ->
                    new ImportedLap(
                        kept.stored().id() + "." + lap.number(),
                        lap.number(),
                        lap.isWhole() ? LapViews.rounded(lap.timeS(), 3) : null,
                        Spelled.of(lap.kind())))
            .toList();
    List<String> warnings = new java.util.ArrayList<>(kept.laps().corrections());
    warnings.addAll(kept.laps().missing());
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
  @GetMapping("/api/laps/{id}/file.csv")
  ResponseEntity<byte[]> getLapFile(@PathVariable UUID id) {
    return csv(laps.bytesOf(id), laps.file(id).name());
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
   * @param kind full (pedals, a hundred times a second) or position (ten times a second)
   */
  @GetMapping("/api/sessions/{id}/simulated.laps.csv")
  ResponseEntity<byte[]> simulateLaps(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "6") int laps,
      @RequestParam(defaultValue = "1") long seed,
      @RequestParam(defaultValue = "full") String kind) {
    Books.Computed computed = debriefs.computed(sessions.get(id));
    return csv(
        logger.file(computed, Spelled.read(SimulatedLogger.Kind.class, "kind", kind), laps, seed),
        "simulated.laps.csv");
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

  private static ResponseEntity<byte[]> csv(byte[] bytes, String name) {
    String file = name.toLowerCase(Locale.ROOT).endsWith(".csv") ? name : name + ".csv";
    String disposition =
        ContentDisposition.attachment().filename(file, StandardCharsets.UTF_8).build().toString();
    return ResponseEntity.ok()
        .contentType(CSV)
        .header(HttpHeaders.CONTENT_DISPOSITION, disposition)
        .body(bytes);
  }
}
