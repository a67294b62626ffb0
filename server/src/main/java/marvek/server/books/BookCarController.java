package marvek.server.books;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.Map;
import java.util.UUID;
import marvek.core.Require;
import marvek.core.car.SetupSheet;
import marvek.core.car.SheetComparison;
import marvek.formats.SetupSheetJson;
import marvek.server.contract.InFormat;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

@RestController
class BookCarController {
  private final CarAnswers answers;

  BookCarController(CarAnswers answers) {
    this.answers = answers;
  }

  record SheetsBody(
      @InFormat("conditions") @Nullable JsonNode conditions,
      @InFormat("line") @Nullable String line,
      @InFormat("lineOffsets") @Nullable JsonNode lineOffsets_m,
      @InFormat(value = "ownValues", list = true) @Nullable JsonNode ownValues,
      @InFormat("setup") JsonNode first,
      @InFormat("setup") JsonNode second) {}

  /** What the car does with a draft's lap: gears, grip, balance, and what each figure is worth. */
  @PostMapping("/api/books/{id}/car")
  CarAnswers.CarOnCircuit computeCar(
      @PathVariable UUID id, @RequestBody BookController.DraftBody body) {
    return answers.car(id, body.draft());
  }

  /** A draft, and numbers of its car that are changed, by their pointers into the car's file. */
  record ChangedBody(
      @InFormat("conditions") @Nullable JsonNode conditions,
      @InFormat("line") @Nullable String line,
      @InFormat("lineOffsets") @Nullable JsonNode lineOffsets_m,
      @InFormat(value = "ownValues", list = true) @Nullable JsonNode ownValues,
      @InFormat("setup") @Nullable JsonNode setup,
      @NotNull Map<String, Double> changes) {}

  /** Every value of the book's car with some of them changed, and what that does to the lap. */
  @PostMapping("/api/books/{id}/car/changed")
  CarAnswers.ChangedCar tryChangedCar(@PathVariable UUID id, @Valid @RequestBody ChangedBody body) {
    Draft draft =
        Draft.read(
            body.conditions(), body.line(), body.lineOffsets_m(), body.ownValues(), body.setup());
    return answers.changed(id, draft, body.changes());
  }

  /** What one setup sheet is worth against another. */
  @PostMapping("/api/books/{id}/sheets/compare")
  SheetComparison.Result compareSheets(@PathVariable UUID id, @RequestBody SheetsBody body) {
    SetupSheet first = Require.present("first", SetupSheetJson.read(body.first(), "/first"));
    SetupSheet second = Require.present("second", SetupSheetJson.read(body.second(), "/second"));
    Draft draft =
        Draft.read(body.conditions(), body.line(), body.lineOffsets_m(), body.ownValues(), null);
    return answers.compare(id, draft, first, second);
  }

  /** Two books of one circuit, corner by corner. */
  @GetMapping("/api/books/{id}/beside/{other}")
  CarAnswers.Beside layBeside(@PathVariable UUID id, @PathVariable UUID other) {
    return answers.beside(id, other);
  }
}
