package marvek.server.sessions;

import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;
import marvek.formats.SessionJson;
import marvek.server.books.Books;
import marvek.server.contract.InFormat;
import marvek.server.editions.Edition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;

/** Sessions of a book, and the weather that is expected for them. */
@RestController
class SessionController {
  private static final int MOST_HOURS = 48;

  private final Sessions sessions;
  private final Books books;
  private final SimulatedWeatherStation weather;

  SessionController(Sessions sessions, Books books, SimulatedWeatherStation weather) {
    this.sessions = sessions;
    this.books = books;
    this.weather = weather;
  }

  /**
   * @param simulated whether the hours are made up
   */
  record Weather(
      boolean simulated, @InFormat(value = "forecastHour", list = true) ArrayNode hours) {}

  /** All sessions in the order they begin. */
  @GetMapping("/api/sessions")
  List<Sessions.Kept> listSessions() {
    return sessions.all();
  }

  /** Sessions of a book in the order they begin. */
  @GetMapping("/api/books/{id}/sessions")
  List<Sessions.Kept> listSessionsOfBook(@PathVariable UUID id) {
    return sessions.of(books.get(id));
  }

  /** Plans a session. */
  @PostMapping("/api/books/{id}/sessions")
  @ResponseStatus(HttpStatus.CREATED)
  Sessions.Kept planSession(
      @PathVariable UUID id, @RequestBody @InFormat("session") JsonNode session) {
    return sessions.plan(id, session);
  }

  /** One session. */
  @GetMapping("/api/sessions/{id}")
  Sessions.Kept getSession(@PathVariable UUID id) {
    return sessions.get(id);
  }

  /** Plans the session after this one. */
  @PostMapping("/api/sessions/{id}/next")
  @ResponseStatus(HttpStatus.CREATED)
  Sessions.Kept planNextSession(@PathVariable UUID id) {
    return sessions.planNext(id);
  }

  /** Changes a session. */
  @PutMapping("/api/sessions/{id}")
  Sessions.Kept changeSession(
      @PathVariable UUID id,
      @RequestHeader(HttpHeaders.IF_MATCH) Edition seen,
      @RequestBody @InFormat("session") JsonNode session) {
    return sessions.change(id, session, seen);
  }

  /** Removes a session with its laps. */
  @DeleteMapping("/api/sessions/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeSession(@PathVariable UUID id, @RequestHeader(HttpHeaders.IF_MATCH) Edition seen) {
    sessions.remove(id, seen);
  }

  /** Hours of weather at the book's circuit. */
  @GetMapping("/api/books/{id}/weather")
  Weather askWeather(
      @PathVariable UUID id, @RequestParam LocalDateTime at, @RequestParam int hours) {
    Require.within("hours", hours, 1, MOST_HOURS);
    if (at.getYear() < 1970 || at.getYear() > 2200) {
      throw new InvalidValueException("at", Sentence.of("refused.no-weather", "given", at));
    }
    String place = books.get(id).circuit();
    return new Weather(true, SessionJson.forecast(weather.hours(place, at, hours)));
  }
}
