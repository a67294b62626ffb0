package marvek.formats;

import java.util.ArrayList;
import java.util.List;
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
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/**
 * A file of laps on its circuit: cleaned, placed on the road and cut at the line.
 *
 * @param corrections what was put right, in the order in which it was
 */
public record LapsOnRoad(
    List<String> used,
    List<String> unknown,
    Placing.Placed placed,
    List<RecordedLap> laps,
    List<Sentence> corrections) {
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
    List<Sentence> corrections = new ArrayList<>(file.corrections());
    // The file is not looked at any more: a day's recording is there once at a time.
    Cleaning.Cleaned clean = Cleaning.of(inPlane(file.recording(), circuit, corrections));
    corrections.addAll(clean.corrections());
    Placing.Placed placed = Placing.of(clean.recording(), road, page);
    corrections.addAll(placed.corrections());
    List<RecordedLap> laps = LapCutter.cut(placed.recording(), placed.stations(), road);
    if (laps.stream().noneMatch(RecordedLap::isWhole)) {
      throw BadFileException.whole(Sentence.of("file.no-whole-lap"));
    }
    double zero = BrakeZero.of(placed.recording(), Thresholds.DEFAULT).largestPct();
    if (zero >= LEAST_ZERO_PCT) {
      corrections.add(Sentence.of("laps.brake-zero", "pct", zero));
    }
    return new LapsOnRoad(used, unknown, placed, laps, corrections);
  }

  public Recording recording() {
    return placed.recording();
  }

  /** What it has no channel for: the reader gives what the others can. */
  public List<Sentence> missing() {
    List<Sentence> missing = new ArrayList<>();
    Recording r = recording();
    if (1 / r.intervalS() < SLOW_HZ) {
      missing.add(Sentence.of("laps.few-a-second", "rate", 1 / r.intervalS()));
    }
    if (!r.has(Channel.BRAKE)) {
      missing.add(Sentence.of("laps.no-brake"));
    }
    if (!r.has(Channel.THROTTLE)) {
      missing.add(Sentence.of("laps.no-throttle"));
    }
    if (!r.has(Channel.GEAR)) {
      missing.add(Sentence.of("laps.no-gear"));
    }
    if (!r.hasPosition()) {
      missing.add(Sentence.of("laps.no-position"));
    } else if (!placed.stations().tellLine()) {
      missing.add(Sentence.of("laps.no-line"));
    }
    return missing;
  }

  /** Places on the earth brought to the circuit's plane. */
  private static Recording inPlane(
      Recording recording, Circuit circuit, List<Sentence> corrections) {
    boolean onEarth = recording.has(Channel.LATITUDE) && recording.has(Channel.LONGITUDE);
    if (recording.hasPosition() || !onEarth) {
      return recording;
    }
    if (circuit.origin() == null) {
      throw BadFileException.whole(Sentence.of("file.circuit-without-place"));
    }
    EarthForms.Fitting fitting = EarthForms.of(recording, circuit.origin());
    corrections.addAll(fitting.told());
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
