package marvek.core.circuit;

import java.time.LocalDate;
import java.util.List;
import marvek.core.Require;
import org.jspecify.annotations.Nullable;

/**
 * One layout of a circuit as it was from a date on: the survey and what is known along it. Stations
 * of everything refer to {@code Road.through(survey, smoothing)}.
 *
 * @param smoothing factor on the smoothing of the survey, see {@link CentrelineFit#of}
 * @param stretches on which an organiser's notice says more than the rule
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
    List<DrawnCorner> corners,
    List<LimitStretch> stretches) {
  public Circuit {
    Require.text("name", name, 120);
    Require.within("layoutVersion", layoutVersion, 1, 100_000);
    layout = layout == null ? "" : layout;
    marks = List.copyOf(marks);
    kerbs = List.copyOf(kerbs);
    zones = List.copyOf(zones);
    hazards = List.copyOf(hazards);
    corners = List.copyOf(corners);
    stretches = List.copyOf(stretches);
  }

  /** A circuit of whose track limits nothing more is known than the rule. */
  public Circuit(
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
    this(
        name,
        layout,
        layoutVersion,
        validFrom,
        timeZone,
        trackLimits,
        origin,
        survey,
        smoothing,
        marks,
        kerbs,
        zones,
        hazards,
        corners,
        List.of());
  }

  /** A bare road without anything known along it. */
  public static Circuit bare(String name, Survey survey) {
    return bare(name, survey, null, "UTC");
  }

  /**
   * The same at a place on the earth.
   *
   * @param origin of the survey's x and y, or null where nobody knows it
   */
  public static Circuit bare(String name, Survey survey, GeoPoint origin, String timeZone) {
    return new Circuit(
        name,
        "",
        1,
        null,
        timeZone,
        TrackLimits.ONE_WHEEL_INSIDE_LINE,
        origin,
        survey,
        1.0,
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        List.of());
  }

  /** The same as another layout version. */
  public Circuit asVersion(int version) {
    return copy(version, smoothing);
  }

  /** The same with its survey smoothed otherwise, see {@link CentrelineFit#of}. */
  public Circuit smoothed(double factor) {
    return copy(layoutVersion, factor);
  }

  /** The same with its kerbs used otherwise. */
  public Circuit withKerbs(List<Kerb> others) {
    return new Circuit(
        name,
        layout,
        layoutVersion,
        validFrom,
        timeZone,
        trackLimits,
        origin,
        survey,
        smoothing,
        marks,
        others,
        zones,
        hazards,
        corners,
        stretches);
  }

  /** The same with corners drawn by hand. */
  public Circuit withCorners(List<DrawnCorner> drawn) {
    return new Circuit(
        name,
        layout,
        layoutVersion,
        validFrom,
        timeZone,
        trackLimits,
        origin,
        survey,
        smoothing,
        marks,
        kerbs,
        zones,
        hazards,
        drawn,
        stretches);
  }

  private Circuit copy(int version, double factor) {
    return new Circuit(
        name,
        layout,
        version,
        validFrom,
        timeZone,
        trackLimits,
        origin,
        survey,
        factor,
        marks,
        kerbs,
        zones,
        hazards,
        corners,
        stretches);
  }

  /** The same with other stretches of its track limits. */
  public Circuit withStretches(List<LimitStretch> others) {
    return new Circuit(
        name,
        layout,
        layoutVersion,
        validFrom,
        timeZone,
        trackLimits,
        origin,
        survey,
        smoothing,
        marks,
        kerbs,
        zones,
        hazards,
        corners,
        others);
  }

  /** The track-limits rule at a station: a corner's own, else the layout's. */
  public TrackLimits ruleAt(Road road, double stationM) {
    for (DrawnCorner corner : corners) {
      double length = road.distance(corner.fromM(), corner.toM());
      double way = road.distance(corner.fromM(), stationM);
      if (corner.rule() != null && way >= 0 && way <= length) {
        return corner.rule();
      }
    }
    return trackLimits;
  }

  /** The notices of one side that a place lies on, whether they bound a car there or not yet. */
  public List<LimitStretch> stretchesAt(Road road, double stationM, Side side) {
    return stretches.stream()
        .filter(stretch -> stretch.side() == side && stretch.covers(road, stationM))
        .toList();
  }

  /** The kerb that lies along a side of a place; null without one. */
  public @Nullable Kerb kerbAt(Road road, double stationM, Side side) {
    for (Kerb kerb : kerbs) {
      double way = road.distance(kerb.fromM(), stationM);
      if (kerb.side() == side && way >= 0 && way <= road.distance(kerb.fromM(), kerb.toM())) {
        return kerb;
      }
    }
    return null;
  }

  /** The road that all stations refer to. */
  public Road road() {
    return survey.road(smoothing);
  }
}
