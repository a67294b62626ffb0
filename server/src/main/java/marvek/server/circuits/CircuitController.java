package marvek.server.circuits;

import jakarta.validation.Valid;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import marvek.core.circuit.CircuitEdits;
import marvek.formats.CircuitImport;
import marvek.formats.ImportSettings;
import marvek.formats.JsonFiles;
import marvek.formats.RoadTable;
import marvek.server.contract.Holds;
import marvek.server.contract.InFormat;
import marvek.server.contract.NameBody;
import marvek.server.editions.Edition;
import org.jspecify.annotations.Nullable;
import org.springframework.format.annotation.DateTimeFormat;
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
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.databind.JsonNode;

@RestController
@RequestMapping("/api/circuits")
class CircuitController {
  private final Circuits circuits;
  private final CircuitViews views;
  private final LayoutVersions versions;
  private final CircuitLight light;

  CircuitController(
      Circuits circuits, CircuitViews views, LayoutVersions versions, CircuitLight light) {
    this.circuits = circuits;
    this.views = views;
    this.versions = versions;
    this.light = light;
  }

  record KeepBody(@Nullable String reason, @Nullable LocalDate validFrom) {}

  /** Makes another circuit like this layout version, as a place of its own. */
  @PostMapping("/{id}/copy")
  @ResponseStatus(HttpStatus.CREATED)
  Circuits.ImportAnswer copyCircuit(@PathVariable UUID id, @Valid @RequestBody NameBody body) {
    return circuits.copy(id, body.name());
  }

  /** The newest layout of each circuit. */
  @GetMapping
  List<Circuits.Summary> listCircuits() {
    return circuits.list();
  }

  /** Takes in a circuit: GeoJSON, a centreline, or a recording of a lap. */
  @PostMapping(path = "/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  Circuits.ImportAnswer importCircuit(
      @RequestPart("file") MultipartFile file,
      @RequestParam(required = false) String name,
      @RequestParam(required = false) @InFormat("importSettings") String settings)
      throws IOException {
    String given = Circuits.given(name);
    ImportSettings said = said(settings);
    return circuits.importFile(
        file.getBytes(), file.getOriginalFilename(), given == null ? said : said.named(given));
  }

  /** Reads a circuit's file without taking it in. */
  @PostMapping(path = "/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  CircuitPreview previewCircuit(
      @RequestPart("file") MultipartFile file,
      @RequestParam(required = false) @InFormat("importSettings") String settings)
      throws IOException {
    return CircuitPreview.of(
        CircuitImport.read(file.getBytes(), file.getOriginalFilename(), said(settings)));
  }

  /**
   * The columns of a table of points.
   *
   * @param missing what is still needed, by the names of columns; empty where it can be read
   * @param choices what a column can be
   */
  record Columns(List<RoadTable.Column> columns, List<String> missing, List<String> choices) {}

  /** What the columns of a table are taken for; none where the file is no table. */
  @PostMapping(path = "/columns", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  Columns previewColumns(
      @RequestPart("file") MultipartFile file,
      @RequestParam(required = false) @InFormat("importSettings") String settings)
      throws IOException {
    RoadTable.Preview found = CircuitImport.columns(file.getBytes(), said(settings).columns());
    return new Columns(found.columns(), found.missing(), CircuitImport.columnChoices());
  }

  /** A file becomes the next version of the layout. */
  @PostMapping(path = "/{id}/versions/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  LayoutVersions.Kept importLayout(
      @PathVariable UUID id,
      @RequestPart("file") MultipartFile file,
      @RequestParam String reason,
      @RequestParam(required = false) @InFormat("importSettings") String settings)
      throws IOException {
    return versions.importNext(
        id, file.getBytes(), file.getOriginalFilename(), said(settings), reason);
  }

  private static ImportSettings said(String settings) {
    return settings == null || settings.isBlank()
        ? ImportSettings.NONE
        : ImportSettings.read(JsonFiles.parse(settings.getBytes(StandardCharsets.UTF_8)));
  }

  /** A layout, its draft, and its earlier versions. */
  @GetMapping("/{id}")
  CircuitView getCircuit(@PathVariable UUID id) {
    return views.view(id);
  }

  /** Keeps what is changed by hand; the layout stays as it is. */
  @PutMapping("/{id}/draft")
  LayoutVersions.DraftAnswer keepCircuitDraft(
      @PathVariable UUID id,
      @RequestHeader(HttpHeaders.IF_MATCH) Edition seen,
      @RequestBody @Holds(CircuitEdits.class) JsonNode edits) {
    return versions.keepDraft(id, edits, seen);
  }

  /** Drops what was changed by hand since the layout was kept. */
  @DeleteMapping("/{id}/draft")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void discardCircuitDraft(
      @PathVariable UUID id, @RequestHeader(HttpHeaders.IF_MATCH) Edition seen) {
    versions.discardDraft(id, seen);
  }

  /** The draft becomes the next version of the layout. */
  @PostMapping("/{id}/versions")
  @ResponseStatus(HttpStatus.CREATED)
  LayoutVersions.Kept keepLayout(
      @PathVariable UUID id,
      @RequestHeader(HttpHeaders.IF_MATCH) Edition seen,
      @RequestBody KeepBody body) {
    return versions.keep(id, body.reason(), body.validFrom(), false, seen);
  }

  /** Sun and shadows on the circuit at an hour. */
  @GetMapping("/{id}/light")
  CircuitLight.LightView getLight(
      @PathVariable UUID id,
      @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE_TIME) LocalDateTime at) {
    return light.at(id, at);
  }

  /** The circuit as GeoJSON. */
  @GetMapping("/{id}/circuit.geojson")
  ResponseEntity<byte[]> getCircuitGeoJson(@PathVariable UUID id) {
    return file("application/geo+json", views.fileName(id, ".circuit.geojson"), views.geoJson(id));
  }

  /** The surveyed centreline as CSV. */
  @GetMapping("/{id}/centreline.csv")
  ResponseEntity<byte[]> getCentreline(@PathVariable UUID id) {
    return file("text/csv", views.fileName(id, ".centreline.csv"), views.centreline(id));
  }

  /** The marks as waypoints. */
  @GetMapping("/{id}/marks.gpx")
  ResponseEntity<byte[]> getMarksGpx(@PathVariable UUID id) {
    return file("application/gpx+xml", views.fileName(id, "-marks.gpx"), views.marks(id));
  }

  private static ResponseEntity<byte[]> file(String type, String name, byte[] body) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(type))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(body);
  }
}
