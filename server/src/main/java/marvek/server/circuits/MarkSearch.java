package marvek.server.circuits;

import java.util.List;
import java.util.UUID;
import marvek.server.accounts.CurrentDriver;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the marks of all circuits are called, read without their documents. */
@RestController
class MarkSearch {
  private final CurrentDriver driver;
  private final CircuitRepository circuits;

  MarkSearch(CurrentDriver driver, CircuitRepository circuits) {
    this.driver = driver;
    this.circuits = circuits;
  }

  /**
   * A mark of a circuit as its newest layout version has it.
   *
   * @param note free text, may be empty
   */
  record FoundMark(UUID circuitId, String circuit, String label, String note) {}

  /** The marks of all circuits, by circuit. */
  @GetMapping("/api/search/marks")
  List<FoundMark> searchMarks() {
    return circuits.marksOf(driver.id());
  }
}
