package marvek.core.circuit;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.function.ToDoubleFunction;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/**
 * What a driver keeps of a circuit by hand: everything but the surveyed line itself. The whole of
 * it each time, not the differences.
 *
 * @param widths widths measured anew, applied in their order
 * @param stretches of the track limits; in a draft of an earlier day there are none
 */
public record CircuitEdits(
    String name,
    String layout,
    @Nullable LocalDate validFrom,
    String timeZone,
    TrackLimits trackLimits,
    List<Mark> marks,
    List<Kerb> kerbs,
    List<Zone> zones,
    List<Hazard> hazards,
    List<DrawnCorner> corners,
    List<WidthEdit> widths,
    List<LimitStretch> stretches) {
  public CircuitEdits {
    Require.text("name", name, 120);
    Require.present("trackLimits", trackLimits);
    layout = layout == null ? "" : layout;
    timeZone = timeZone == null ? "UTC" : zone(timeZone);
    marks = copy(marks);
    kerbs = copy(kerbs);
    zones = copy(zones);
    hazards = copy(hazards);
    corners = copy(corners);
    widths = copy(widths);
    stretches = copy(stretches);
  }

  private static String zone(String name) {
    try {
      return ZoneId.of(name).getId();
    } catch (DateTimeException e) {
      throw new InvalidValueException("timeZone", Sentence.of("refused.time-zone", "given", name));
    }
  }

  private static <T> List<T> copy(List<T> list) {
    return list == null ? List.of() : List.copyOf(list);
  }

  /** A circuit as it stands, nothing changed. */
  public static CircuitEdits of(Circuit c) {
    return new CircuitEdits(
        c.name(),
        c.layout(),
        c.validFrom(),
        c.timeZone(),
        c.trackLimits(),
        c.marks(),
        c.kerbs(),
        c.zones(),
        c.hazards(),
        c.corners(),
        List.of(),
        c.stretches());
  }

  /**
   * The circuit with these in the place of its own.
   *
   * @throws InvalidValueException naming list and index, where something lies beyond the lap or two
   *     corners have the same number
   */
  public Circuit on(Circuit base) {
    Road road = base.road();
    within(road, "marks", marks, Mark::fromM, Mark::toM);
    within(road, "kerbs", kerbs, Kerb::fromM, Kerb::toM);
    within(road, "zones", zones, Zone::fromM, Zone::toM);
    within(road, "hazards", hazards, Hazard::fromM, Hazard::toM);
    within(road, "corners", corners, DrawnCorner::fromM, DrawnCorner::toM);
    within(road, "stretches", stretches, LimitStretch::fromM, LimitStretch::toM);
    checkStretches(road);
    within(road, "widths", widths, WidthEdit::fromM, WidthEdit::toM);
    checkNumbers();
    return new Circuit(
        name,
        layout,
        base.layoutVersion(),
        validFrom,
        timeZone,
        trackLimits,
        base.origin(),
        surveyWithWidths(base, road),
        base.smoothing(),
        marks,
        kerbs,
        zones,
        hazards,
        corners,
        stretches);
  }

  private void checkStretches(Road road) {
    for (int i = 0; i < stretches.size(); i++) {
      try {
        stretches.get(i).checkOn(road);
      } catch (InvalidValueException e) {
        throw new InvalidValueException("stretches", i, e.said());
      }
    }
  }

  private static <T> void within(
      Road road, String list, List<T> things, ToDoubleFunction<T> from, ToDoubleFunction<T> to) {
    for (int i = 0; i < things.size(); i++) {
      double last = Math.max(from.applyAsDouble(things.get(i)), to.applyAsDouble(things.get(i)));
      if (last > road.lengthM() + road.stepM()) {
        throw new InvalidValueException(
            list, i, Sentence.of("refused.beyond-lap", "at_m", last, "lap_m", road.lengthM()));
      }
      boolean backward = to.applyAsDouble(things.get(i)) < from.applyAsDouble(things.get(i));
      if (backward && !road.closed()) {
        throw new InvalidValueException(list, i, Sentence.of("refused.ends-before-on-open"));
      }
    }
  }

  private void checkNumbers() {
    for (int i = 0; i < corners.size(); i++) {
      int number = corners.get(i).number();
      for (int j = 0; j < i; j++) {
        if (corners.get(j).number() == number) {
          throw new InvalidValueException(
              "corners", i, Sentence.of("refused.number-twice", "number", number));
        }
      }
    }
  }

  private Survey surveyWithWidths(Circuit base, Road road) {
    Survey survey = base.survey();
    if (widths.isEmpty()) {
      return survey;
    }
    double[] stations = new double[survey.size()];
    double walked = 0;
    for (int i = 0; i < stations.length; i++) {
      // Counted along the chords, then brought to the nearest metre of the smoothed road.
      stations[i] =
          RoadPosition.near(road, survey.xAt(i), survey.yAt(i), walked, NEAR_M).stationM();
      walked = stations[i] + survey.chord(i);
    }
    for (WidthEdit edit : widths) {
      survey = survey.withWidths(stations, road.lengthM(), edit);
    }
    return survey;
  }

  /** The smoothed road runs so near to where the chords count to, and more. */
  private static final double NEAR_M = 40;
}
