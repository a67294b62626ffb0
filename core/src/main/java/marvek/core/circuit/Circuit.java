package marvek.core.circuit;

import java.time.LocalDate;
import java.util.List;
import marvek.core.Require;

/**
 * One layout of a circuit as it was from a date on: the survey and what is known along it. Stations
 * of everything refer to {@code Road.through(survey, smoothing)}.
 *
 * @param smoothing factor on the smoothing of the survey, see {@link CentrelineFit#of}
 * @param origin where the local plane touches the earth, or null if the file had no such place
 */
public record Circuit(
    String name,
    String layout,
    int layoutVersion,
    LocalDate validFrom,
    String timeZone,
    TrackLimits trackLimits,
    GeoPoint origin,
    Survey survey,
    double smoothing,
    List<Mark> marks,
    List<Kerb> kerbs,
    List<Zone> zones,
    List<Hazard> hazards,
    List<DrawnCorner> corners) {
  public Circuit {
    Require.text("name", name, 120);
    Require.within("layoutVersion", layoutVersion, 1, 100_000);
    layout = layout == null ? "" : layout;
    marks = List.copyOf(marks);
    kerbs = List.copyOf(kerbs);
    zones = List.copyOf(zones);
    hazards = List.copyOf(hazards);
    corners = List.copyOf(corners);
  }

  /** A bare road without anything known along it. */
  public static Circuit bare(String name, Survey survey) {
    return new Circuit(
        name,
        "",
        1,
        null,
        "UTC",
        TrackLimits.ONE_WHEEL_INSIDE_LINE,
        null,
        survey,
        1.0,
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        List.of());
  }

  /** The road that all stations refer to. */
  public Road road() {
    return Road.through(survey, smoothing);
  }
}
