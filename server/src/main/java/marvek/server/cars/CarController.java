package marvek.server.cars;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import marvek.formats.JsonFiles;
import marvek.formats.PublishedSchema;
import marvek.server.contract.InFormat;
import marvek.server.contract.NameBody;
import marvek.server.editions.Edition;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.databind.JsonNode;

@RestController
class CarController {
  private final Cars cars;
  private final SetupSheets sheets;
  private final CarSketches sketches;

  CarController(Cars cars, SetupSheets sheets, CarSketches sketches) {
    this.cars = cars;
    this.sheets = sheets;
    this.sketches = sketches;
  }

  /** All cars. */
  @GetMapping("/api/cars")
  List<Cars.Summary> listCars() {
    return cars.list();
  }

  /** Takes in a car's file. */
  @PostMapping(path = "/api/cars/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  Cars.ImportAnswer importCar(@RequestPart("file") MultipartFile file) throws IOException {
    return cars.importFile(file.getBytes());
  }

  /** Makes a car from what a driver knows of it; nothing is stored. */
  @PostMapping("/api/cars/sketch")
  CarSketches.SketchView sketchCar(@Valid @RequestBody CarSketches.FactsBody body) {
    return sketches.sketch(body);
  }

  /** The car as the file that it came from. */
  @GetMapping(path = "/api/cars/{id}/file")
  ResponseEntity<byte[]> getCarFile(@PathVariable UUID id) {
    Cars.Loaded car = cars.load(id);
    String name = car.vehicle().name().replaceAll("[^\\p{L}\\p{N}]+", "-") + ".car.json";
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(JsonFiles.writeFile(car.document()));
  }

  /** Calls a car otherwise. */
  @PutMapping("/api/cars/{id}/name")
  Cars.Summary renameCar(
      @PathVariable UUID id,
      @Valid @RequestBody NameBody body,
      @RequestHeader(HttpHeaders.IF_MATCH) Edition seen) {
    return cars.rename(id, body.name(), seen);
  }

  /** Makes another car like this one. */
  @PostMapping("/api/cars/{id}/copy")
  @ResponseStatus(HttpStatus.CREATED)
  Cars.ImportAnswer copyCar(@PathVariable UUID id, @Valid @RequestBody NameBody body) {
    return cars.copy(id, body.name());
  }

  /**
   * Another car with some numbers changed.
   *
   * @param changes values by their pointers into the car's file
   */
  record ChangedBody(@NotNull String name, @NotNull Map<String, Double> changes) {}

  /** Makes another car like this one, with some of its numbers changed. */
  @PostMapping("/api/cars/{id}/changed")
  @ResponseStatus(HttpStatus.CREATED)
  Cars.ImportAnswer changeCar(@PathVariable UUID id, @Valid @RequestBody ChangedBody body) {
    return cars.changed(id, body.name(), body.changes());
  }

  /** A car as its format writes it. */
  @GetMapping("/api/cars/{id}")
  @InFormat("car")
  JsonNode getCar(@PathVariable UUID id) {
    return cars.load(id).document();
  }

  /** Setup sheets of a car, oldest first. */
  @GetMapping("/api/cars/{id}/sheets")
  List<SetupSheets.Kept> listSheets(@PathVariable UUID id) {
    return sheets.of(id);
  }

  /** Adds a setup sheet. */
  @PostMapping("/api/cars/{id}/sheets")
  @ResponseStatus(HttpStatus.CREATED)
  SetupSheets.Kept addSheet(@PathVariable UUID id, @RequestBody @InFormat("setup") JsonNode sheet) {
    return sheets.add(id, sheet);
  }

  /** Changes a setup sheet. */
  @PutMapping("/api/cars/{id}/sheets/{sheet}")
  SetupSheets.Kept changeSheet(
      @PathVariable UUID id,
      @PathVariable UUID sheet,
      @RequestHeader(HttpHeaders.IF_MATCH) Edition seen,
      @RequestBody @InFormat("setup") JsonNode document) {
    return sheets.change(id, sheet, document, seen);
  }

  /** Removes a setup sheet. */
  @DeleteMapping("/api/cars/{id}/sheets/{sheet}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeSheet(
      @PathVariable UUID id,
      @PathVariable UUID sheet,
      @RequestHeader(HttpHeaders.IF_MATCH) Edition seen) {
    sheets.remove(id, sheet, seen);
  }

  /** The JSON Schema of a car's file. */
  @GetMapping(path = "/api/schemas/car.schema.json", produces = "application/schema+json")
  byte[] getCarSchema() {
    return PublishedSchema.CAR.file();
  }
}
