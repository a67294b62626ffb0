package marvek.server.books;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import marvek.formats.GpxWriter;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/books/{id}")
class LayoutMoveController {
  private final LayoutMoves moves;
  private final Books books;

  LayoutMoveController(LayoutMoves moves, Books books) {
    this.moves = moves;
    this.books = books;
  }

  record MoveBody(@NotNull UUID circuitId) {}

  /** A revision for another version of the circuit, with what is carried over. */
  @PostMapping("/layout")
  @ResponseStatus(HttpStatus.CREATED)
  LayoutMoves.Moved moveToLayout(@PathVariable UUID id, @Valid @RequestBody MoveBody body) {
    return moves.move(id, body.circuitId(), Instant.now());
  }

  /** Pages that are to be checked on track since the layout changed. */
  @GetMapping("/checks")
  List<LayoutMoves.CheckLine> listChecks(@PathVariable UUID id) {
    return moves.open(id);
  }

  /** A page was checked. */
  @PostMapping("/checks/{corner}/cleared")
  List<LayoutMoves.CheckLine> clearCheck(@PathVariable UUID id, @PathVariable int corner) {
    return moves.clear(id, corner, Instant.now());
  }

  /** The points of a revision as waypoints. */
  @GetMapping("/revisions/{number}/points.gpx")
  ResponseEntity<byte[]> getPointsGpx(@PathVariable UUID id, @PathVariable int number) {
    Books.Computed computed = books.recompute(id, number);
    String name = books.get(id).name() + ", revision " + number;
    byte[] body =
        GpxWriter.actionPoints(
            name, computed.circuit(), computed.reference().path(), computed.reference().pages());
    String file = name.replaceAll("[^\\p{L}\\p{N}]+", "-") + "-points.gpx";
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("application/gpx+xml"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(file, StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(body);
  }
}
