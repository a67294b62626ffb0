package marvek.server.circuits;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.CircuitEdits;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.corner.CornerFinder;
import marvek.core.mark.MarkChooser;
import marvek.formats.CentrelineCsvWriter;
import marvek.formats.CircuitEditsJson;
import marvek.formats.GpxWriter;
import marvek.formats.JsonFiles;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;

/** Shows circuits and gives them out as files. */
@Service
class CircuitViews {
  private final CircuitRepository repository;
  private final Circuits circuits;
  private final LayoutVersions versions;
  private final CircuitUse use;

  CircuitViews(
      CircuitRepository repository, Circuits circuits, LayoutVersions versions, CircuitUse use) {
    this.repository = repository;
    this.circuits = circuits;
    this.versions = versions;
    this.use = use;
  }

  public CircuitView view(UUID id) {
    StoredCircuit stored = circuits.stored(id);
    Circuit circuit = CornerFinder.withCornersDrawn(circuits.load(id).circuit());
    Road road = circuit.road();
    List<Corner> corners = CornerFinder.find(circuit, road);
    return new CircuitView(
        id,
        stored.edition(),
        circuit.name(),
        circuit.layout(),
        stored.version(),
        circuits.newestOf(stored.placeId()).id(),
        use.isUsed(id),
        history(stored.placeId()),
        CircuitEditsJson.write(CircuitEdits.of(circuit)),
        versions.draft(id),
        versions.draftChanges(id),
        circuit.origin(),
        road.surveyNoiseM(),
        road.largestMoveM(),
        corners,
        MarkChooser.untrueBoards(circuit.marks(), road, corners),
        CircuitView.RoadColumns.of(circuit));
  }

  private List<CircuitView.VersionLine> history(UUID placeId) {
    return repository.findByPlaceIdOrderByVersion(placeId).stream()
        .map(
            c ->
                new CircuitView.VersionLine(
                    c.id(),
                    c.version(),
                    c.validFrom(),
                    c.createdAt(),
                    c.reason(),
                    parse(c.changes())))
        .toList();
  }

  private static JsonNode parse(String text) {
    return JsonFiles.parse(text.getBytes(StandardCharsets.UTF_8));
  }

  byte[] geoJson(UUID id) {
    return JsonFiles.writeFile(circuits.load(id).document());
  }

  byte[] centreline(UUID id) {
    return CentrelineCsvWriter.write(circuits.load(id).circuit().survey());
  }

  byte[] marks(UUID id) {
    Circuit circuit = circuits.load(id).circuit();
    return GpxWriter.marks(circuit, circuit.road());
  }

  String fileName(UUID id, String ending) {
    Circuits.Facts facts = circuits.facts(id);
    return facts.name().replaceAll("[^\\p{L}\\p{N}]+", "-") + "-v" + facts.version() + ending;
  }
}
