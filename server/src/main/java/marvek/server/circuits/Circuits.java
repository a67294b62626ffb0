package marvek.server.circuits;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import marvek.core.Require;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.corner.CornerFinder;
import marvek.formats.BadFileException;
import marvek.formats.CentrelineCsv;
import marvek.formats.CircuitGeoJson;
import marvek.formats.CircuitGeoJsonWriter;
import marvek.formats.Imported;
import marvek.formats.JsonFiles;
import marvek.server.accounts.CurrentDriver;
import marvek.server.problems.NotFoundException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes circuits in and gives them out. */
@Service
public class Circuits {
  private static final double SHORTEST_M = 50;
  private static final double LONGEST_M = 60_000;

  /** Smoothing that moves points by more than this is reported. */
  private static final double REPORTED_MOVE_M = 0.05;

  private final CircuitRepository repository;
  private final CurrentDriver driver;

  Circuits(CircuitRepository repository, CurrentDriver driver) {
    this.repository = repository;
    this.driver = driver;
  }

  /** What lists show of a circuit. */
  public record Summary(UUID id, String name, double length_m, int corners) {}

  /** What an import answers. */
  public record ImportAnswer(
      UUID id, String name, double length_m, int corners, List<String> warnings) {}

  /** What is said of a circuit without computing its road. */
  public record Facts(String name, String layout, double lengthM) {}

  /** A circuit ready to compute with, and its document. */
  public record Loaded(UUID id, Circuit circuit, JsonNode document) {}

  /**
   * Takes in a centreline CSV or a circuit GeoJSON; which of the two, its first character says.
   *
   * @param name name to give the circuit, or null for the file's own
   * @param fileName name of the file, for a CSV without a name
   */
  @Transactional
  public ImportAnswer importFile(byte[] bytes, String name, String fileName) {
    String wanted = name == null || name.isBlank() ? null : Require.text("name", name.strip(), 120);
    return firstCharacter(bytes) == '{'
        ? importGeoJson(JsonFiles.parse(bytes), wanted)
        : importCsv(bytes, wanted != null ? wanted : nameOf(fileName));
  }

  /** Takes in a parsed circuit GeoJSON. */
  @Transactional
  public ImportAnswer importGeoJson(JsonNode tree, String name) {
    if (name != null && tree.path("marvek") instanceof ObjectNode own) {
      own.put("name", name);
    }
    Imported<Circuit> imported = CircuitGeoJson.read(tree);
    return store(imported.value(), tree, imported.warnings());
  }

  private ImportAnswer importCsv(byte[] bytes, String name) {
    Imported<Circuit> imported = CentrelineCsv.read(bytes, name);
    return store(
        imported.value(),
        CircuitGeoJsonWriter.writeCentreline(imported.value()),
        imported.warnings());
  }

  private ImportAnswer store(Circuit circuit, JsonNode document, List<String> warnings) {
    Road road = circuit.road();
    checkLength(road);
    int corners = CornerFinder.find(circuit, road).size();
    StoredCircuit stored =
        repository.save(
            new StoredCircuit(
                driver.id(), circuit.name(), road.lengthM(), corners, JsonFiles.write(document)));
    return new ImportAnswer(
        stored.id(), stored.name(), road.lengthM(), corners, withSmoothing(road, warnings));
  }

  private static void checkLength(Road road) {
    if (!(road.lengthM() >= SHORTEST_M && road.lengthM() <= LONGEST_M)) {
      throw BadFileException.whole(
          String.format(
              Locale.ROOT,
              "The road is %.0f m long; between %.0f m and %.0f m is expected."
                  + " Are the coordinates in metres?",
              road.lengthM(),
              SHORTEST_M,
              LONGEST_M));
    }
  }

  private static List<String> withSmoothing(Road road, List<String> warnings) {
    List<String> all = new ArrayList<>(warnings);
    if (road.largestMoveM() > REPORTED_MOVE_M) {
      all.add(
          String.format(
              Locale.ROOT,
              "Smoothing moved the surveyed points by up to %.2f m (at %.0f m);"
                  + " their noise is estimated as %.2f m.",
              road.largestMoveM(),
              road.largestMoveStationM(),
              road.surveyNoiseM()));
    }
    return all;
  }

  private static char firstCharacter(byte[] bytes) {
    int i = bytes.length >= 3 && (bytes[0] & 0xff) == 0xef ? 3 : 0;
    while (i < bytes.length && Character.isWhitespace(bytes[i])) {
      i++;
    }
    return i < bytes.length ? (char) bytes[i] : ' ';
  }

  private static String nameOf(String fileName) {
    String plain = fileName == null ? "" : fileName.replaceFirst("(\\.centreline)?\\.csv$", "");
    return plain.isBlank() ? "Circuit" : plain.substring(0, Math.min(120, plain.length()));
  }

  /** The driver's circuits, oldest first. */
  @Transactional(readOnly = true)
  public List<Summary> list() {
    return repository.findByDriverIdOrderByCreatedAt(driver.id()).stream()
        .map(c -> new Summary(c.id(), c.name(), c.lengthM(), c.corners()))
        .toList();
  }

  /**
   * Loads a circuit.
   *
   * @throws NotFoundException if there is none of that id
   */
  @Transactional(readOnly = true)
  public Loaded load(UUID id) {
    JsonNode tree = tree(stored(id));
    return new Loaded(id, CircuitGeoJson.read(tree).value(), tree);
  }

  /**
   * Name, layout and length of a circuit.
   *
   * @throws NotFoundException if there is none of that id
   */
  @Transactional(readOnly = true)
  public Facts facts(UUID id) {
    StoredCircuit stored = stored(id);
    String layout = tree(stored).path("marvek").path("layout").asText("");
    return new Facts(stored.name(), layout, stored.lengthM());
  }

  private StoredCircuit stored(UUID id) {
    return repository
        .findByIdAndDriverId(id, driver.id())
        .orElseThrow(() -> new NotFoundException("There is no circuit " + id + "."));
  }

  private static JsonNode tree(StoredCircuit stored) {
    return JsonFiles.parse(stored.document().getBytes(StandardCharsets.UTF_8));
  }
}
