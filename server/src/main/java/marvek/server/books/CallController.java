package marvek.server.books;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import marvek.core.brief.CallOut;
import marvek.core.brief.CallOuts;
import marvek.core.brief.QuietPlace;
import marvek.core.brief.TenSeconds;
import marvek.core.circuit.Zone;
import marvek.core.mark.MarkChooser;
import marvek.core.page.CornerPage;
import marvek.core.page.DayKind;
import marvek.core.reference.ModelReference;
import marvek.core.reference.Reference;
import marvek.formats.CallOutFiles;
import marvek.formats.PointCatalogue;
import marvek.server.contract.InFormat;
import marvek.server.units.DriverUnits;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** The lap as spoken words: to play, and as files. */
@RestController
class CallController {
  private final Books books;

  CallController(Books books) {
    this.books = books;
  }

  /**
   * @param length unit that lengths are said in: m, yd or ft
   * @param lap of the run, from 1; on the first ones what is written for cold tyres is said
   */
  record CallsBody(
      Double pace,
      @Nullable Integer lap,
      @Nullable String length,
      @InFormat("conditions") @Nullable JsonNode conditions,
      @InFormat("line") @Nullable String line,
      @InFormat("lineOffsets") @Nullable JsonNode lineOffsets_m,
      @InFormat(value = "ownValues", list = true) @Nullable JsonNode ownValues,
      @InFormat("setup") @Nullable JsonNode setup) {}

  /** A call, its times in seconds of the lap at the pace asked for. */
  record CallView(
      int corner, double from_s, double to_s, double point_m, double point_s, String words) {}

  /**
   * @param tenSeconds the lap in a few clauses
   * @param quiet where nothing is to be done, the longest first
   */
  record CallsView(double lap_s, String tenSeconds, List<QuietPlace> quiet, List<CallView> calls) {}

  /** What is called out on the lap of a draft, and when. */
  @PostMapping("/api/books/{id}/calls")
  CallsView computeCalls(@PathVariable UUID id, @RequestBody CallsBody body) {
    double pace = body.pace() == null ? 1 : body.pace();
    Draft draft =
        Draft.read(
            body.conditions(), body.line(), body.lineOffsets_m(), body.ownValues(), body.setup());
    Reference.Basis basis = books.basis(id, draft);
    ModelReference model = books.written(basis, draft.conditions());
    Reference reference = Reference.of(model, draft.own());
    List<CornerPage> pages = onLap(body.lap(), reference, model.marks());
    List<Zone> zones = basis.circuit().zones();
    List<CallView> calls =
        called(reference, pages, zones, pace, body.length() == null ? "m" : body.length()).stream()
            .map(
                c ->
                    new CallView(c.corner(), c.fromS(), c.toS(), c.pointM(), c.pointS(), c.words()))
            .toList();
    return new CallsView(
        reference.lap().timeS() / pace,
        TenSeconds.of(pages),
        QuietPlace.of(reference.lap(), pages),
        calls);
  }

  /** The calls of a revision as WebVTT, timed by the lap. */
  @GetMapping("/api/books/{id}/revisions/{number}/calls.vtt")
  ResponseEntity<byte[]> getCallsWebVtt(
      @PathVariable UUID id,
      @PathVariable int number,
      @RequestParam(defaultValue = "1") double pace,
      @RequestParam(defaultValue = "m") String length,
      @RequestParam(required = false) @Nullable Integer lap) {
    Reference reference = books.recompute(id, number).reference();
    String file =
        CallOutFiles.webVtt(called(id, number, lap, pace, length), reference.lap().timeS() / pace);
    return file(file, "calls.vtt", MediaType.valueOf("text/vtt;charset=UTF-8"));
  }

  /** The calls of a revision as text. */
  @GetMapping("/api/books/{id}/revisions/{number}/calls.txt")
  ResponseEntity<byte[]> getCallsText(
      @PathVariable UUID id,
      @PathVariable int number,
      @RequestParam(defaultValue = "1") double pace,
      @RequestParam(defaultValue = "m") String length,
      @RequestParam(required = false) @Nullable Integer lap) {
    Reference reference = books.recompute(id, number).reference();
    String file =
        CallOutFiles.text(called(id, number, lap, pace, length), reference.lap().timeS() / pace);
    return file(file, "calls.txt", MediaType.valueOf("text/plain;charset=UTF-8"));
  }

  /** The pages as they are driven on a lap of a run: the first ones are on cold tyres. */
  private static List<CornerPage> onLap(
      @Nullable Integer lap, Reference reference, MarkChooser marks) {
    boolean cold = lap != null && lap <= DayKind.COLD_LAPS;
    return cold ? reference.pagesOn(DayKind.COLD, marks) : reference.pages();
  }

  private List<CallOut> called(
      UUID id, int number, @Nullable Integer lap, double pace, String length) {
    Books.Computed computed = books.recompute(id, number);
    Reference reference = computed.reference();
    MarkChooser marks =
        ModelReference.marks(computed.basis(), computed.conditions(), reference.lap());
    List<CornerPage> pages = onLap(lap, reference, marks);
    return called(reference, pages, computed.circuit().zones(), pace, length);
  }

  private static List<CallOut> called(
      Reference reference, List<CornerPage> pages, List<Zone> zones, double pace, String length) {
    double metresPerUnit = DriverUnits.of("km/h", length).metresPerUnit();
    return CallOuts.of(reference.lap(), pages, zones, pace, metresPerUnit, PointCatalogue::said);
  }

  private static ResponseEntity<byte[]> file(String text, String name, MediaType type) {
    return ResponseEntity.ok()
        .contentType(type)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(name).build().toString())
        .body(text.getBytes(StandardCharsets.UTF_8));
  }
}
