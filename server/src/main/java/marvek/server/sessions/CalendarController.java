package marvek.server.sessions;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import marvek.formats.SessionCalendar;
import marvek.formats.SessionJson;
import marvek.server.books.Books;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Sessions as iCalendar files. */
@RestController
class CalendarController {
  private static final MediaType CALENDAR = MediaType.valueOf("text/calendar;charset=UTF-8");

  private final Sessions sessions;
  private final Books books;

  CalendarController(Sessions sessions, Books books) {
    this.sessions = sessions;
    this.books = books;
  }

  /** All sessions as calendar entries. */
  @GetMapping("/api/sessions.ics")
  ResponseEntity<byte[]> getCalendar() {
    return calendar(sessions.all(), "sessions.ics");
  }

  /** Sessions of a book as calendar entries. */
  @GetMapping("/api/books/{id}/sessions.ics")
  ResponseEntity<byte[]> getCalendarOfBook(@PathVariable UUID id) {
    return calendar(sessions.of(books.get(id)), "sessions.ics");
  }

  /** A session as a calendar entry. */
  @GetMapping("/api/sessions/{id}/session.ics")
  ResponseEntity<byte[]> getCalendarEntry(@PathVariable UUID id) {
    return calendar(List.of(sessions.get(id)), "session.ics");
  }

  private static ResponseEntity<byte[]> calendar(List<Sessions.Kept> kept, String name) {
    List<SessionCalendar.Entry> entries = kept.stream().map(CalendarController::entry).toList();
    return ResponseEntity.ok()
        .contentType(CALENDAR)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(name).build().toString())
        .body(SessionCalendar.write(entries, Instant.now()));
  }

  private static SessionCalendar.Entry entry(Sessions.Kept kept) {
    return new SessionCalendar.Entry(
        kept.id() + "@marvek",
        SessionJson.read(kept.session(), ""),
        kept.circuit(),
        ZoneId.of(kept.timeZone()),
        kept.book());
  }
}
