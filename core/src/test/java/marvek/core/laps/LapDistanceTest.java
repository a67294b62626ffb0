package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import marvek.core.InvalidValueException;
import marvek.core.MadeRoads;
import marvek.core.TestRoads;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import org.junit.jupiter.api.Test;

/** Metres of loggers that count them in several ways, over laps of a ring of 100 m radius. */
class LapDistanceTest {
  private static final int SAMPLES = 2000;
  private static final double STEP_M = 1;

  private final Road ring = Circuit.bare("ring", TestRoads.circle(100, 5)).road();

  private static Recording recording(Map<Channel, double[]> channels) {
    double[] time = new double[SAMPLES];
    Arrays.setAll(time, i -> 0.05 * i);
    return new Recording(time, channels);
  }

  private static double[] runningOn(double fromM) {
    double[] metres = new double[SAMPLES];
    Arrays.setAll(metres, i -> fromM + STEP_M * i);
    return metres;
  }

  private Map<Channel, double[]> withLaps(double fromM) {
    double[] laps = new double[SAMPLES];
    Arrays.setAll(laps, i -> 1 + Math.floor((fromM + STEP_M * i) / ring.lengthM()));
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    channels.put(Channel.DISTANCE, runningOn(fromM));
    channels.put(Channel.LAP, laps);
    return channels;
  }

  @Test
  void metresThatBeginAgainAtTheLineStayAsTheyAre() {
    double[] again = runningOn(0);
    Arrays.setAll(again, i -> again[i] % ring.lengthM());
    assertThat(LapDistance.of(recording(Map.of(Channel.DISTANCE, again)), ring)).isEqualTo(again);
  }

  /** Where they run on, the number of the lap tells where one begins, to half a sample. */
  @Test
  void metresThatRunOnBeginWhereTheLapsNumberChanges() {
    double fromM = 250;
    double[] told = LapDistance.of(recording(withLaps(fromM)), ring);
    int line = (int) Math.ceil(ring.lengthM() - fromM);
    assertThat(told[0]).isNaN();
    assertThat(told[line - 1]).isNaN();
    for (int i = line; i < SAMPLES; i++) {
      assertThat(told[i]).isCloseTo((fromM + i) % ring.lengthM(), within(STEP_M / 2));
    }
  }

  /** A lap's number that is lost for a moment is no new lap. */
  @Test
  void aNumberThatIsLostForAMomentBeginsNoLap() {
    Map<Channel, double[]> channels = withLaps(250);
    double[] whole = LapDistance.of(recording(channels), ring);
    Arrays.fill(channels.get(Channel.LAP), 700, 720, Double.NaN);
    channels.put(Channel.DISTANCE, runningOn(250));
    assertThat(LapDistance.of(recording(channels), ring)).isEqualTo(whole);
  }

  @Test
  void metresThatRunOnWithoutALapAreRefusedAtTheirField() {
    Recording without = recording(Map.of(Channel.DISTANCE, runningOn(0)));
    assertThatThrownBy(() -> LapDistance.of(without, ring))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("distance_m")
        .hasMessageContaining("a column lap");
    double[] none = new double[SAMPLES];
    Arrays.fill(none, Double.NaN);
    assertThatThrownBy(() -> LapDistance.of(recording(Map.of(Channel.DISTANCE, none)), ring))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("is empty");
  }

  /** An open road has one run: its metres are those of the road, however many. */
  @Test
  void onAnOpenRoadTheyStayAsTheyAre() {
    double[] metres = runningOn(0);
    Road open = MadeRoads.open().road();
    assertThat(LapDistance.of(recording(Map.of(Channel.DISTANCE, metres)), open)).isEqualTo(metres);
  }
}
