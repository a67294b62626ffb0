package marvek.server;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import javax.sql.DataSource;
import marvek.server.jobs.StartReport;
import org.springframework.boot.availability.ApplicationAvailability;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Paths of the interface's own screens all lead to its one page. */
@Controller
class InterfacePages {
  private static final int LONGEST_QUERY_S = 2;

  /** Neither a file of the interface nor a place of scripts. */
  private static final String NO_FILE = "(?!api$|assets$|ready$)[^.]+";

  private final ApplicationAvailability state;
  private final StartReport report;
  private final JdbcTemplate database;
  private final FirstParts parts;

  InterfacePages(
      ApplicationAvailability state, StartReport report, DataSource database, FirstParts parts) {
    this.parts = parts;
    this.state = state;
    this.report = report;
    this.database = new JdbcTemplate(database);
    this.database.setQueryTimeout(LONGEST_QUERY_S);
  }

  @GetMapping({
    "/",
    "/shelf",
    "/new",
    "/pair",
    "/me",
    "/people",
    "/books/{id}",
    "/books/{id}/corner/{number}",
    "/books/{id}/compare",
    "/books/{id}/car",
    "/books/{id}/calls",
    "/books/{id}/beside/{other}",
    "/books/{id}/steps",
    "/books/{id}/rehearse",
    "/books/{id}/rehearse/before",
    "/books/{id}/rehearse/run",
    "/books/{id}/rehearse/stopwatch",
    "/books/{id}/sessions",
    "/books/{id}/sessions/{session}",
    "/books/{id}/sessions/{session}/prepare",
    "/books/{id}/sessions/{session}/brief",
    "/books/{id}/sessions/{session}/debrief",
    "/books/{id}/sessions/{session}/review",
    "/books/{id}/sessions/{session}/lead",
    "/cars/new",
    "/circuits",
    "/circuits/new",
    "/circuits/{id}",
    "/circuits/{id}/walk"
  })
  String screen(HttpServletRequest request, HttpServletResponse response) {
    String link = parts.linkFor(request.getRequestURI());
    if (!link.isEmpty()) {
      response.setHeader(HttpHeaders.LINK, link);
    }
    return "forward:/index.html";
  }

  /** An address that Marvek does not have is told by the interface, with a way back. */
  @GetMapping({"/{first:" + NO_FILE + "}", "/{first:" + NO_FILE + "}/**"})
  String unknown(HttpServletResponse response) {
    response.setStatus(HttpServletResponse.SC_NOT_FOUND);
    return "forward:/index.html";
  }

  /**
   * Answers once everything, the demo included, is there, as readiness comes after the runners; and
   * only while the database answers too.
   */
  @GetMapping("/ready")
  ResponseEntity<String> ready() {
    if (state.getReadinessState() != ReadinessState.ACCEPTING_TRAFFIC) {
      return ResponseEntity.status(503).body(report.line());
    }
    try {
      database.queryForObject("select 1", Integer.class);
      return ResponseEntity.ok("ready");
    } catch (DataAccessException e) {
      return ResponseEntity.status(503).body("the database does not answer");
    }
  }
}
