package marvek.server.printing;

import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import marvek.server.books.Books;
import marvek.server.books.LayoutMoves;
import marvek.server.circuits.Circuits;
import marvek.server.sessions.CardAdditions;
import marvek.server.sessions.OnCard;
import marvek.server.units.DriverUnits;
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
  private final CardAdditions additions;

  CardController(
      Books books, Circuits circuits, Pdf pdf, LayoutMoves moves, CardAdditions additions) {
    this.books = books;
    this.circuits = circuits;
    this.pdf = pdf;
    this.moves = moves;
    this.additions = additions;
  }

  /**
   * A card of a revision.
   *
   * @param format a5, a4, dash or tank
   * @param session one that the revision was issued for, whose targets and steps are printed too
   */
  @GetMapping(
      path = "/api/books/{id}/revisions/{number}/card.pdf",
      produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> printCard(
      @PathVariable UUID id,
      @PathVariable int number,
      @RequestParam(defaultValue = "a5") String format,
      @RequestParam(required = false) UUID session,
      @RequestParam(defaultValue = "km/h") String speed,
      @RequestParam(defaultValue = "m") String length) {
    CardFormat as = CardFormat.named(format);
    DriverUnits units = DriverUnits.of(speed, length);
    Books.BookView book = books.get(id);
    Books.Computed computed = books.recompute(id, number);
    OnCard added = session == null ? additions.of(id, computed) : additions.of(id, session, number);
    CardContent card =
        new CardContent(
            book.name(),
            book.circuit() + layout(book) + " · " + book.car(),
            books.revision(id, number),
            circuits.facts(book.circuitId()).lengthM(),
            units,
            toCheck(id),
            added);
    String file = book.name().replaceAll("[^\\p{L}\\p{N}]+", "-") + "-r" + number + ".pdf";
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, inline(file))
        .body(pdf.render(html(as, card, computed)));
  }

  private static String html(CardFormat as, CardContent card, Books.Computed computed) {
    return switch (as) {
      case A5 -> SessionCard.html(card);
      case A4 -> LapSheet.html(card, computed);
      case DASH -> NumbersCard.html(card, NumbersCard.Size.DASH);
      case TANK -> NumbersCard.html(card, NumbersCard.Size.TANK);
    };
  }

  private Set<Integer> toCheck(UUID book) {
    return moves.open(book).stream().map(LayoutMoves.CheckLine::corner).collect(Collectors.toSet());
  }

  private static String layout(Books.BookView book) {
    return book.layout().isBlank() ? "" : ", " + book.layout();
  }

  private static String inline(String file) {
    return ContentDisposition.inline().filename(file, StandardCharsets.UTF_8).build().toString();
  }
}
