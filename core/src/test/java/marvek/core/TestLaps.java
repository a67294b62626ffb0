package marvek.core;

import java.util.function.Predicate;
import marvek.core.circuit.Road;
import marvek.core.laps.AlongLap;
import marvek.core.laps.LapCutter;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.laps.Stations;
import marvek.core.laps.Thresholds;

/** Laps of recordings, as tests read them. */
public final class TestLaps {
  private TestLaps() {}

  /** The first whole lap at even stations. */
  public static AlongLap along(Recording recording, Road road, double stepM) {
    return along(recording, road, stepM, RecordedLap::isWhole);
  }

  /** The first whole lap. */
  public static RecordedLap whole(Recording recording, Stations stations, Road road) {
    return first(recording, stations, road, RecordedLap::isWhole);
  }

  private static RecordedLap first(
      Recording recording, Stations stations, Road road, Predicate<RecordedLap> wanted) {
    return LapCutter.cut(recording, stations, road).stream()
        .filter(wanted)
        .findFirst()
        .orElseThrow();
  }

  /** The first lap of a kind at even stations, as far as it goes. */
  public static AlongLap along(
      Recording recording, Road road, double stepM, Predicate<RecordedLap> wanted) {
    Stations stations = Stations.of(recording, road);
    RecordedLap lap = first(recording, stations, road, wanted);
    return AlongLap.of(recording, stations, lap, road, Thresholds.DEFAULT, stepM);
  }
}
