package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.BitSet;
import marvek.core.laps.PositionLag.Found;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Positions that are late by a known time and go too far by a known share. */
class PositionLagTest {
  private static final double HZ = 50;

  private static Recording driven(double seconds, double lagS, double factor, double noiseM) {
    return new FormulaDrive(HZ, lagS, factor, 0, noiseM).recorded(seconds);
  }

  private static Found found(Recording recording) {
    return PositionLag.of(recording, RoadMatch.of(recording, FormulaDrive.ROAD));
  }

  @ParameterizedTest
  @CsvSource({"0.06, 1", "0.2, 1", "0.41, 1.01", "0.7, 0.99", "-0.13, 1", "-0.2, 1.02"})
  void aLagIsFoundWithTheFactorBesideIt(double lagS, double factor) {
    Found found = found(driven(120, lagS, factor, 0));
    assertThat(found.seconds()).isCloseTo(lagS, within(0.001));
    assertThat(found.factor()).isCloseTo(factor, within(1e-4));
    // A step takes 2 s, and no lag of the range reaches beyond the recording.
    assertThat(found.pairs()).isEqualTo((int) (HZ * (120 - 2 - 0.78 - 0.3)));
  }

  @Test
  void positionsInTimeHaveNone() {
    Found found = found(driven(120, 0, 1.005, 0.3));
    assertThat(found.seconds()).isZero();
    assertThat(found.factor()).isCloseTo(1.005, within(2e-4));
  }

  /** Noise makes a lag unsure: so much of it hides a small one, and not a large one. */
  @ParameterizedTest
  @CsvSource({"0.02, 0", "0.3, 0.3"})
  void aLagThatMayBeChanceIsNone(double lagS, double seconds) {
    assertThat(found(driven(60, lagS, 1, 0.5)).seconds()).isCloseTo(seconds, within(0.03));
  }

  /** What lies beyond the range that is looked through is no lag of a receiver. */
  @ParameterizedTest
  @ValueSource(doubles = {-0.5, 1.2})
  void beyondTheRangeNoneIsFound(double lagS) {
    assertThat(found(driven(120, lagS, 1, 0)).seconds()).isZero();
  }

  /** Two hundred steps are compared at the least: four seconds of them, and two to the first. */
  @ParameterizedTest
  @CsvSource({"5.9, 0", "12, 0.2"})
  void aFewSecondsTellNothing(double seconds, double lagS) {
    Found found = found(driven(seconds, 0.2, 1, 0));
    assertThat(found.seconds()).isCloseTo(lagS, within(0.01));
    assertThat(found.factor()).isCloseTo(1, within(1e-3));
  }

  /** No step is taken across a jump of the clock, nor where the place was lost. */
  @Test
  void stepsAcrossAJumpDoNotCount() {
    Recording whole = driven(120, 0.2, 1, 0);
    int all = found(whole).pairs();
    BitSet jump = new BitSet();
    jump.set(3000);
    int across = (int) (2 * HZ);
    assertThat(found(whole.brokenAt(jump)).pairs()).isEqualTo(all - across);
  }
}
