package marvek.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.laps.BrakeZero;
import marvek.core.laps.Channel;
import marvek.core.laps.Cleaning;
import marvek.core.laps.LapCutter;
import marvek.core.laps.Placing;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.laps.Thresholds;
import marvek.core.profile.Lap;
import org.jspecify.annotations.Nullable;

/**
 * A file of laps on its circuit: cleaned, placed on the road and cut at the line.
 *
 * @param corrections what was put right, in words, in the order in which it was
 */
public record LapsOnRoad(
    List<String> used,
    List<String> unknown,
    Placing.Placed placed,
    List<RecordedLap> laps,
    List<String> corrections) {
  /** A zero of less is none [%]. */
  private static final double LEAST_ZERO_PCT = 0.5;

  /** Slower than this no point of a pedal is told [Hz]. */
  private static final double SLOW_HZ = 4;

  private static final double[] NOWHERE = {Double.NaN, Double.NaN};

  public LapsOnRoad {
    used = List.copyOf(used);
    unknown = List.copyOf(unknown);
    laps = List.copyOf(laps);
    corrections = List.copyOf(corrections);
  }

  /**
   * Lays a file on its circuit.
   *
   * @param page the lap that was to be driven; null without one
   * @throws BadFileException if it lies elsewhere or holds no whole lap
   * @throws marvek.core.InvalidValueException if it cannot be one of this circuit
   */
  public static LapsOnRoad of(LapFile file, Circuit circuit, Road road, @Nullable Lap page) {
    List<String> used = file.used();
    List<String> unknown = file.unknown();
    List<String> corrections = new ArrayList<>(file.corrections());
    // The file is not looked at any more: a day's recording is there once at a time.
    Cleaning.Cleaned clean = Cleaning.of(inPlane(file.recording(), circuit, corrections));
    corrections.addAll(clean.corrections());
    Placing.Placed placed = Placing.of(clean.recording(), road, page);
    corrections.addAll(placed.corrections());
    List<RecordedLap> laps = LapCutter.cut(placed.recording(), placed.stations(), road);
    if (laps.stream().noneMatch(RecordedLap::isWhole)) {
      throw BadFileException.whole(
          "The file holds no whole lap: the start line was not crossed twice. Bring in a recording"
              + " that runs over the line.");
    }
    double zero = BrakeZero.of(placed.recording(), Thresholds.DEFAULT).largestPct();
    if (zero >= LEAST_ZERO_PCT) {
      corrections.add(
          String.format(
              Locale.ROOT,
              "The brake sensor shows up to %.1f %% while nobody brakes: taken out as its zero.",
              zero));
    }
    return new LapsOnRoad(used, unknown, placed, laps, corrections);
  }

  public Recording recording() {
    return placed.recording();
  }

  /** What it has no channel for, in words: the reader gives what the others can. */
  public List<String> missing() {
    List<String> missing = new ArrayList<>();
    Recording r = recording();
    if (1 / r.intervalS() < SLOW_HZ) {
      missing.add(
          String.format(
              Locale.ROOT,
              "%.0f samples a second: lap times are good to some tenths, and brake points are not"
                  + " told.",
              1 / r.intervalS()));
    }
    if (!r.has(Channel.BRAKE)) {
      missing.add("Without a brake sensor braking is told by the deceleration, not its pressure.");
    }
    if (!r.has(Channel.THROTTLE)) {
      missing.add("Without a throttle sensor nothing is said of throttle and coasting.");
    }
    if (!r.has(Channel.GEAR)) {
      missing.add("Without a gear nothing is said of gears and changes.");
    }
    if (!r.hasPosition()) {
      missing.add("Without a position nothing is said of the line, the apex and the edges.");
    } else if (!placed.stations().tellLine()) {
      missing.add("Positions scatter too much to tell the apex and the edges.");
    }
    return missing;
  }

  /** Places on the earth brought to the circuit's plane. */
  private static Recording inPlane(Recording recording, Circuit circuit, List<String> corrections) {
    boolean onEarth = recording.has(Channel.LATITUDE) && recording.has(Channel.LONGITUDE);
    if (recording.hasPosition() || !onEarth) {
      return recording;
    }
    if (circuit.origin() == null) {
      throw BadFileException.whole(
          "The file has places on the earth, and this circuit has none: it was drawn without."
              + " Bring in a file with x_m and y_m, or with a distance_m alone.");
    }
    EarthForms.Fitting fitting = EarthForms.of(recording, circuit.origin());
    if (!fitting.told().isEmpty()) {
      corrections.add(fitting.told());
    }
    LocalPlane plane = new LocalPlane(circuit.origin());
    double[] x = new double[recording.size()];
    double[] y = new double[recording.size()];
    for (int i = 0; i < x.length; i++) {
      double lat = recording.at(Channel.LATITUDE, i);
      double lon = recording.at(Channel.LONGITUDE, i);
      double[] at =
          EarthForms.isNowhere(lat, lon)
              ? NOWHERE
              : plane.toPlane(fitting.latDeg(lat, lon), fitting.lonDeg(lat, lon));
      x[i] = at[0];
      y[i] = at[1];
    }
    return recording
        .without(Channel.LATITUDE)
        .without(Channel.LONGITUDE)
        .with(Channel.X, x)
        .with(Channel.Y, y);
  }
}
