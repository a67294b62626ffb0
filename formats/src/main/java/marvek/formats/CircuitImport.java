package marvek.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.circuit.Survey;
import marvek.core.say.Sentence;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Takes a circuit from any of the files it may come in: circuit GeoJSON, plain GeoJSON line,
 * centreline CSV, GPX. Gives what was understood, so that it can be looked at before it is kept.
 */
public final class CircuitImport {
  private static final double SHORTEST_M = 50;
  private static final double LONGEST_M = 60_000;

  /** Smoothing that moves points by more than this is reported. */
  private static final double REPORTED_MOVE_M = 0.05;

  /** A length that differs from what was expected by more than this share is said so. */
  private static final double LENGTH_TOLERANCE = 0.01;

  private final ImportSettings settings;
  private final List<Sentence> warnings = new ArrayList<>();

  private CircuitImport(ImportSettings settings) {
    this.settings = settings;
  }

  /**
   * What a file was understood as.
   *
   * @param kind "circuit GeoJSON", "centreline CSV", "GPX", "GeoJSON line", "surveyed points" or
   *     "recorded points"
   * @param document the circuit as it is kept
   * @param track what a recording gave, or null for a survey
   */
  public record Understood(
      String kind,
      Circuit circuit,
      Road road,
      ObjectNode document,
      RecordedLine.Facts track,
      List<Sentence> warnings) {
    /** The warnings in words. */
    public List<String> words() {
      return warnings.stream().map(Sentence::words).toList();
    }
  }

  /**
   * Reads a file; which format it is in, its first character says.
   *
   * @param fileName for a file without a name of its own; may be null
   * @throws BadFileException with the place where it cannot be right
   */
  public static Understood read(byte[] bytes, String fileName, ImportSettings settings) {
    return new CircuitImport(settings).readFile(bytes, fileName);
  }

  /**
   * The columns of a table, for somebody to say what they are; none where the file is no table.
   *
   * @param mapping column of a road by header
   */
  public static RoadTable.Preview columns(byte[] bytes, Map<String, String> mapping) {
    char first = firstCharacter(bytes);
    return first == '{' || first == '<'
        ? new RoadTable.Preview(List.of(), List.of())
        : RoadTable.preview(bytes, mapping, 3);
  }

  /** What a column of a table can be. */
  public static List<String> columnChoices() {
    return RoadColumn.ALL.stream().map(RoadColumn::name).toList();
  }

  private Understood readFile(byte[] bytes, String fileName) {
    return switch (firstCharacter(bytes)) {
      case '{' -> json(JsonFiles.parse(bytes), fileName);
      case '<' -> recorded("GPX", RecordedLine.ofGpx(bytes, settings, nameOf(fileName)));
      default -> csv(bytes, fileName);
    };
  }

  private Understood json(JsonNode tree, String fileName) {
    if (tree.has("marvek")) {
      return circuit(tree);
    }
    String name = nameOf(fileName);
    return recorded("GeoJSON line", RecordedLine.ofGeoJson(tree, settings, name));
  }

  /** A parsed circuit GeoJSON; kept as it came, but for what the settings say. */
  private Understood circuit(JsonNode tree) {
    if (tree.path("marvek") instanceof ObjectNode own) {
      if (settings.name() != null) {
        own.put("name", settings.name());
      }
      if (settings.smoothing() != 1) {
        own.put("smoothing", settings.smoothing());
      }
    }
    Imported<Circuit> imported = CircuitGeoJson.read(tree);
    warnings.addAll(imported.warnings());
    return understood("circuit GeoJSON", imported.value(), (ObjectNode) tree, null);
  }

  private Understood csv(byte[] bytes, String fileName) {
    String name = settings.name() != null ? settings.name() : nameOf(fileName);
    if (settings.columns().isEmpty() && CentrelineCsv.isOne(bytes)) {
      return surveyed("centreline CSV", CentrelineCsv.read(bytes, name));
    }
    RoadTable table = RoadTable.read(bytes, settings.columns());
    return table.hasWidths()
        ? surveyed("surveyed points", SurveyedTable.circuit(table, name))
        : recorded("recorded points", RecordedLine.ofTable(table, settings, name));
  }

  private Understood surveyed(String kind, Imported<Circuit> imported) {
    warnings.addAll(imported.warnings());
    return kept(kind, imported.value().smoothed(settings.smoothing()), null);
  }

  private Understood recorded(String kind, Imported<RecordedLine.Read> line) {
    warnings.addAll(line.warnings());
    return kept(kind, line.value().circuit(), line.value().facts());
  }

  /** What is kept is a document, so that what is shown is what will be read from it. */
  private Understood kept(String kind, Circuit circuit, RecordedLine.Facts facts) {
    ObjectNode document = CircuitGeoJsonWriter.write(circuit);
    return understood(kind, CircuitGeoJson.read(document).value(), document, facts);
  }

  private Understood understood(
      String kind, Circuit circuit, ObjectNode document, RecordedLine.Facts facts) {
    Road road = circuit.road();
    checkLength(road);
    compareLength(road);
    warnSmoothing(road);
    warnSpacing(circuit.survey());
    return new Understood(kind, circuit, road, document, facts, List.copyOf(warnings));
  }

  private static void checkLength(Road road) {
    if (!(road.lengthM() >= SHORTEST_M && road.lengthM() <= LONGEST_M)) {
      throw BadFileException.whole(
          Sentence.of(
              "file.road-length",
              "length_m",
              road.lengthM(),
              "shortest_m",
              SHORTEST_M,
              "longest_m",
              LONGEST_M));
    }
  }

  private void compareLength(Road road) {
    Double expected = settings.expectedLengthM();
    if (expected != null && Math.abs(road.lengthM() / expected - 1) > LENGTH_TOLERANCE) {
      warnings.add(
          Sentence.of(
              "circuit.length",
              "length_m",
              road.lengthM(),
              "off",
              100 * Math.abs(road.lengthM() / expected - 1),
              "than",
              road.lengthM() > expected ? "longer" : "shorter",
              "expected_m",
              expected));
    }
  }

  private void warnSmoothing(Road road) {
    if (road.largestMoveM() > REPORTED_MOVE_M) {
      warnings.add(
          Sentence.of(
              "circuit.smoothed",
              "moved_m",
              road.largestMoveM(),
              "at_m",
              road.largestMoveStationM(),
              "noise_m",
              road.surveyNoiseM()));
    }
  }

  private void warnSpacing(Survey survey) {
    double widest = 0;
    for (int i = 0; i + 1 < survey.size(); i++) {
      widest = Math.max(widest, survey.chord(i));
    }
    if (widest > 30) {
      warnings.add(Sentence.of("circuit.gaps", "widest_m", widest));
    }
  }

  static char firstCharacter(byte[] bytes) {
    int i = bytes.length >= 3 && (bytes[0] & 0xff) == 0xef ? 3 : 0;
    while (i < bytes.length && Character.isWhitespace(bytes[i])) {
      i++;
    }
    return i < bytes.length ? (char) bytes[i] : ' ';
  }

  private static String nameOf(String fileName) {
    String plain =
        fileName == null
            ? ""
            : fileName.replaceFirst("(?i)(\\.centreline|\\.circuit)?\\.\\w+$", "");
    return plain.isBlank() ? "Circuit" : plain.substring(0, Math.min(120, plain.length()));
  }

  /** An error of the recording with the line of the file that it stands in. */
  static BadFileException atPoint(
      InvalidValueException e, java.util.function.IntUnaryOperator line) {
    return e.index() >= 0 && "track".equals(e.field())
        ? BadFileException.atLine(
            line.applyAsInt(e.index()), null, new InvalidValueException("the track", e.said()))
        : BadFileException.whole(e);
  }
}
