package marvek.server.printing;

import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import marvek.server.books.Books;
import marvek.server.books.LayoutMoves;
import marvek.server.circuits.Circuits;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class CardController {
  private final Books books;
  private final Circuits circuits;
  private final Pdf pdf;
  private final LayoutMoves moves;

  CardController(Books books, Circuits circuits, Pdf pdf, LayoutMoves moves) {
    this.books = books;
    this.circuits = circuits;
    this.pdf = pdf;
    this.moves = moves;
  }

  @GetMapping(
      path = "/api/books/{id}/revisions/{number}/card.pdf",
      produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> card(
      @PathVariable UUID id,
      @PathVariable int number,
      @RequestParam(defaultValue = "km/h") String speed,
      @RequestParam(defaultValue = "m") String length) {
    PrintUnits units = PrintUnits.of(speed, length);
    Books.BookView book = books.get(id);
    double lapM = circuits.facts(book.circuitId()).lengthM();
    String place = book.circuit() + layout(book) + " · " + book.car();
    Set<Integer> toCheck =
        moves.open(id).stream().map(LayoutMoves.CheckLine::corner).collect(Collectors.toSet());
    String html =
        SessionCard.html(book.name(), place, books.revision(id, number), lapM, units, toCheck);
    String file = book.name().replaceAll("[^\\p{L}\\p{N}]+", "-") + "-r" + number + ".pdf";
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, inline(file))
        .body(pdf.render(html));
  }

  private static String layout(Books.BookView book) {
    return book.layout().isBlank() ? "" : ", " + book.layout();
  }

  private static String inline(String file) {
    return ContentDisposition.inline().filename(file, StandardCharsets.UTF_8).build().toString();
  }
}
