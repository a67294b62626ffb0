package marvek.server;

import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Paths of the interface's own screens all lead to its one page. */
@Controller
class InterfacePages {
  @GetMapping({
    "/",
    "/shelf",
    "/new",
    "/books/{id}",
    "/books/{id}/corner/{number}",
    "/books/{id}/compare"
  })
  String screen() {
    return "forward:/index.html";
  }

  /** Answers once everything, the demo included, is there: readiness comes after the runners. */
  @GetMapping("/ready")
  ResponseEntity<String> ready(org.springframework.boot.availability.ApplicationAvailability state) {
    boolean ready =
        state.getReadinessState()
            == org.springframework.boot.availability.ReadinessState.ACCEPTING_TRAFFIC;
    return ready ? ResponseEntity.ok("ready") : ResponseEntity.status(503).body("starting");
  }
}
