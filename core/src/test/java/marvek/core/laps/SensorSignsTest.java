package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import marvek.core.TestRoads;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.say.Sentence;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Round a ring to the left, faster and slower: v²/R across and dv/dt along, by hand. */
class SensorSignsTest {
  private static final double G0 = 9.80665;
  private static final double RADIUS_M = 100;
  private static final int SAMPLES = 600;
  private static final double STEP_S = 0.05;

  private final Road ring = Circuit.bare("ring", TestRoads.circle(RADIUS_M, 5)).road();
  private final Corrections corrections = new Corrections();

  private static double speed(double t) {
    return 18 + 4 * Math.sin(0.8 * t);
  }

  private static double gain(double t) {
    return 3.2 * Math.cos(0.8 * t);
  }

  private static double metres(double t) {
    return 18 * t + 5 * (1 - Math.cos(0.8 * t));
  }

  private static Recording drive(Channel channel, DoubleUnaryOperator value) {
    double[] time = new double[SAMPLES];
    double[] v = new double[SAMPLES];
    double[] way = new double[SAMPLES];
    double[] shown = new double[SAMPLES];
    for (int i = 0; i < SAMPLES; i++) {
      time[i] = STEP_S * i;
      v[i] = speed(time[i]);
      way[i] = metres(time[i]) % (2 * Math.PI * RADIUS_M);
      shown[i] = value.applyAsDouble(time[i]);
    }
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    channels.put(Channel.SPEED, v);
    channels.put(Channel.DISTANCE, way);
    channels.put(channel, shown);
    return new Recording(time, channels);
  }

  private Recording checked(Recording recording) {
    return SensorSigns.checked(recording, Stations.of(recording, ring), ring, corrections);
  }

  /** As shown, so many times what it should be; what comes out is right, and said. */
  @ParameterizedTest
  @CsvSource({
    "1, ''",
    "-1, The force sideways is counted the other way round: turned.",
    "9.80665, The force sideways is in m/s² and not in g: put right.",
    "0.7, ''"
  })
  void aSideForceIsHeldAgainstTheBendsOfTheRoad(double factor, String said) {
    Recording shown = drive(Channel.LATERAL_G, t -> factor * speed(t) * speed(t) / RADIUS_M / G0);
    Recording right = checked(shown);
    double own = factor == 0.7 ? 0.7 : 1;
    for (int i = 10; i < SAMPLES; i += 50) {
      double v = speed(STEP_S * i);
      assertThat(right.at(Channel.LATERAL_G, i))
          .isCloseTo(own * v * v / RADIUS_M / G0, within(1e-6));
    }
    assertThat(corrections.said())
        .extracting(Sentence::words)
        .isEqualTo(said.isEmpty() ? List.of() : List.of(said));
  }

  @Test
  void metresASecondSquaredTheOtherWayRoundAreBothPutRight() {
    Recording right = checked(drive(Channel.LATERAL_G, t -> -speed(t) * speed(t) / RADIUS_M));
    assertThat(right.at(Channel.LATERAL_G, 100))
        .isCloseTo(speed(5) * speed(5) / RADIUS_M / G0, within(1e-6));
    assertThat(corrections.said()).hasSize(2);
  }

  @ParameterizedTest
  @CsvSource({"1, 0", "-1, 1", "-9.80665, 2"})
  void aForceAlongIsHeldAgainstTheChangesOfTheSpeed(double factor, int said) {
    Recording right = checked(drive(Channel.LONGITUDINAL_G, t -> factor * gain(t) / G0));
    for (int i = 10; i < SAMPLES; i += 50) {
      assertThat(right.at(Channel.LONGITUDINAL_G, i))
          .isCloseTo(gain(STEP_S * i) / G0, within(1e-6));
    }
    assertThat(corrections.said()).hasSize(said);
  }

  /** A wheel is turned to the side, but its degrees are nobody's m/s². */
  @ParameterizedTest
  @CsvSource({"STEER, 40", "STEER, -40", "YAW_RATE, 12", "YAW_RATE, -12"})
  void wheelAndTurningAreTurnedAndNeverScaled(Channel channel, double degrees) {
    Recording right = checked(drive(channel, t -> degrees + 0.01 * t));
    assertThat(right.at(channel, 0)).isCloseTo(Math.abs(degrees), within(1e-6));
    assertThat(corrections.said()).hasSize(degrees < 0 ? 1 : 0);
  }

  @Test
  void whatGoesWithNothingIsLeftAsItIs() {
    Random random = new Random(2);
    double[] noise = random.doubles(SAMPLES, -1, 1).toArray();
    Recording shown = drive(Channel.LATERAL_G, t -> 20 * noise[(int) Math.round(t / STEP_S)]);
    assertThat(checked(shown).channel(Channel.LATERAL_G))
        .isEqualTo(shown.channel(Channel.LATERAL_G));
    assertThat(corrections.said()).isEmpty();
    double[] none = new double[SAMPLES];
    Arrays.fill(none, Double.NaN);
    assertThat(checked(drive(Channel.YAW_RATE, t -> Double.NaN)).channel(Channel.YAW_RATE))
        .isEqualTo(none);
  }
}
