package marvek.server.books;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import marvek.core.brief.CallOut;
import marvek.core.brief.CallOuts;
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
   */
  record CallsBody(
      Double pace,
      @Nullable String length,
      @InFormat("conditions") @Nullable JsonNode conditions,
      @InFormat("line") @Nullable String line,
      @InFormat("lineOffsets") @Nullable JsonNode lineOffsets_m,
      @InFormat(value = "ownValues", list = true) @Nullable JsonNode ownValues,
      @InFormat("setup") @Nullable JsonNode setup) {}

  /** A call, its times in seconds of the lap at the pace asked for. */
  record CallView(
      int corner, double from_s, double to_s, double point_m, double point_s, String words) {}

  record CallsView(double lap_s, List<CallView> calls) {}

  /** What is called out on the lap of a draft, and when. */
  @PostMapping("/api/books/{id}/calls")
  CallsView computeCalls(@PathVariable UUID id, @RequestBody CallsBody body) {
    double pace = body.pace() == null ? 1 : body.pace();
    Draft draft =
        Draft.read(
            body.conditions(), body.line(), body.lineOffsets_m(), body.ownValues(), body.setup());
    Reference reference =
        Reference.of(books.written(books.basis(id, draft), draft.conditions()), draft.own());
    List<CallView> calls =
        called(reference, pace, body.length() == null ? "m" : body.length()).stream()
            .map(
                c ->
                    new CallView(c.corner(), c.fromS(), c.toS(), c.pointM(), c.pointS(), c.words()))
            .toList();
    return new CallsView(reference.lap().timeS() / pace, calls);
  }

  /** The calls of a revision as WebVTT, timed by the lap. */
  @GetMapping("/api/books/{id}/revisions/{number}/calls.vtt")
  ResponseEntity<byte[]> getCallsWebVtt(
      @PathVariable UUID id,
      @PathVariable int number,
      @RequestParam(defaultValue = "1") double pace,
      @RequestParam(defaultValue = "m") String length) {
    Reference reference = books.recompute(id, number).reference();
    String file =
        CallOutFiles.webVtt(called(reference, pace, length), reference.lap().timeS() / pace);
    return file(file, "calls.vtt", MediaType.valueOf("text/vtt;charset=UTF-8"));
  }

  /** The calls of a revision as text. */
  @GetMapping("/api/books/{id}/revisions/{number}/calls.txt")
  ResponseEntity<byte[]> getCallsText(
      @PathVariable UUID id,
      @PathVariable int number,
      @RequestParam(defaultValue = "1") double pace,
      @RequestParam(defaultValue = "m") String length) {
    Reference reference = books.recompute(id, number).reference();
    String file =
        CallOutFiles.text(called(reference, pace, length), reference.lap().timeS() / pace);
    return file(file, "calls.txt", MediaType.valueOf("text/plain;charset=UTF-8"));
  }

  private static List<CallOut> called(Reference reference, double pace, String length) {
    double metresPerUnit = DriverUnits.of("km/h", length).metresPerUnit();
    return CallOuts.of(
        reference.lap(), reference.pages(), pace, metresPerUnit, PointCatalogue::said);
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
