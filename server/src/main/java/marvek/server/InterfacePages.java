package marvek.server;

import marvek.server.jobs.StartReport;
import org.springframework.boot.availability.ApplicationAvailability;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Paths of the interface's own screens all lead to its one page. */
@Controller
class InterfacePages {
  private final ApplicationAvailability state;
  private final StartReport report;

  InterfacePages(ApplicationAvailability state, StartReport report) {
    this.state = state;
    this.report = report;
  }

  @GetMapping({
    "/",
    "/shelf",
    "/new",
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
    "/circuits",
    "/circuits/new",
    "/circuits/{id}",
    "/circuits/{id}/walk"
  })
  String screen() {
    return "forward:/index.html";
  }

  /** Answers once everything, the demo included, is there: readiness comes after the runners. */
  @GetMapping("/ready")
  ResponseEntity<String> ready() {
    boolean ready = state.getReadinessState() == ReadinessState.ACCEPTING_TRAFFIC;
    return ready ? ResponseEntity.ok("ready") : ResponseEntity.status(503).body(report.line());
  }
}
