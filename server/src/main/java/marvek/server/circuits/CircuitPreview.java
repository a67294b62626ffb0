package marvek.server.circuits;

import java.util.List;
import marvek.core.circuit.GeoPoint;
import marvek.core.circuit.Survey;
import marvek.core.corner.CornerFinder;
import marvek.core.say.Sentence;
import marvek.formats.CircuitImport;
import marvek.formats.RecordedLine;
import org.jspecify.annotations.Nullable;

/** What a file was understood as, to be looked at before anything is stored. */
record CircuitPreview(
    String kind,
    String name,
    double length_m,
    boolean closed,
    int corners,
    int marks,
    int kerbs,
    double spacing_m,
    double surveyNoise_m,
    double largestMove_m,
    double largestMoveAt_m,
    double climb_m,
    @Nullable GeoPoint place,
    RecordedLine.@Nullable Facts track,
    List<Sentence> warnings,
    CircuitView.RoadColumns road) {

  static CircuitPreview of(CircuitImport.Understood understood) {
    var circuit = understood.circuit();
    var road = understood.road();
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < road.size(); i++) {
      low = Math.min(low, road.zAt(i));
      high = Math.max(high, road.zAt(i));
    }
    return new CircuitPreview(
        understood.kind(),
        circuit.name(),
        road.lengthM(),
        road.closed(),
        CornerFinder.find(circuit, road).size(),
        circuit.marks().size(),
        circuit.kerbs().size(),
        medianSpacing(circuit.survey()),
        road.surveyNoiseM(),
        road.largestMoveM(),
        road.largestMoveStationM(),
        high - low,
        circuit.origin(),
        understood.track(),
        understood.warnings(),
        CircuitView.RoadColumns.of(circuit));
  }

  private static double medianSpacing(Survey survey) {
    double[] chords = new double[survey.size() - 1];
    for (int i = 0; i < chords.length; i++) {
      chords[i] = survey.chord(i);
    }
    java.util.Arrays.sort(chords);
    return chords[chords.length / 2];
  }
}
