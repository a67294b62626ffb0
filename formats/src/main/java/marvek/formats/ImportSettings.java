package marvek.formats;

import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.circuit.RecordedTrack;
import tools.jackson.databind.JsonNode;

/**
 * What a driver says of a file before it is taken in. For a surveyed circuit only name and
 * smoothing count.
 *
 * @param name name to give the circuit, or null for the file's own
 * @param expectedLengthM length that the circuit is known to have, or null
 * @param smoothing factor on the smoothing that the noise asks for, 1e-3 to 1e3
 * @param widthSaid whether the widths were said and not assumed
 * @param columns what the columns of a table are, by header, where their names do not say it
 */
public record ImportSettings(
    String name,
    Double expectedLengthM,
    double smoothing,
    RecordedTrack.Settings track,
    boolean widthSaid,
    Map<String, String> columns) {
  /** Half a width that is assumed where a recording says nothing. */
  private static final double ASSUMED_HALF_WIDTH_M = 5;

  private static final Set<String> KNOWN = PublishedSchema.IMPORT.membersOf("importSettings");

  /** Nothing said. */
  public static final ImportSettings NONE =
      new ImportSettings(
          null,
          null,
          1,
          new RecordedTrack.Settings(
              false, 0, 0, ASSUMED_HALF_WIDTH_M, ASSUMED_HALF_WIDTH_M, false),
          false,
          Map.of());

  public ImportSettings {
    if (name != null) {
      Require.text("name", name, 120);
    }
    if (expectedLengthM != null) {
      Require.within("expectedLength_m", expectedLengthM, 50, 60_000);
    }
    Require.within("smoothing", smoothing, 1e-3, 1e3);
    columns = Map.copyOf(columns);
  }

  /**
   * Reads them; null gives {@link #NONE}.
   *
   * @throws BadFileException with the pointer
   */
  public static ImportSettings read(JsonNode node) {
    if (node == null || node.isNull()) {
      return NONE;
    }
    JsonPlace place = JsonPlace.top(node);
    place.onlyKnown(KNOWN);
    RecordedTrack.Settings d = NONE.track();
    try {
      String name = place.text("name", "").strip();
      return new ImportSettings(
          name.isEmpty() ? null : name,
          place.optionalNumber("expectedLength_m"),
          place.number("smoothing", 1),
          new RecordedTrack.Settings(
              place.bool("reversed", d.reversed()),
              place.number("startAt_m", d.startAtM()),
              place.has("lap") ? place.integer("lap") : d.lap(),
              place.number("widthLeft_m", d.widthLeftM()),
              place.number("widthRight_m", d.widthRightM()),
              place.bool("level", d.level())),
          place.has("widthLeft_m") && place.has("widthRight_m"),
          columns(node.path("columns")));
    } catch (InvalidValueException e) {
      throw BadFileException.atPointer("/" + e.field(), e);
    }
  }

  private static Map<String, String> columns(JsonNode node) {
    Map<String, String> columns = new TreeMap<>();
    node.properties().forEach(of -> columns.put(of.getKey(), of.getValue().asString("")));
    return columns;
  }

  /** The same with a name. */
  public ImportSettings named(String other) {
    return new ImportSettings(other, expectedLengthM, smoothing, track, widthSaid, columns);
  }
}
