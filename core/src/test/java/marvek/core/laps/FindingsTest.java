package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import marvek.core.TestRoads;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.laps.CornerReading.Braking;
import marvek.core.laps.CornerReading.Slowest;
import marvek.core.laps.CornerReading.Throttle;
import marvek.core.laps.CornerReading.Way;
import marvek.core.laps.Finding.Rule;
import marvek.core.laps.Finding.SizedBy;
import marvek.core.numeric.Median;
import marvek.core.page.Stakes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Rules on readings written by hand. */
class FindingsTest {
  private static final Road ROAD = Circuit.bare("varied", TestRoads.varied(5)).road();
  private static final Stakes STAKES = new Stakes(0.05, 0.06, 0.04, null, null, null, null);

  /** A corner as it stands on the page. */
  private static final CornerReading PAGE =
      new CornerReading(
          1,
          new Braking(100.0, 80.0, 40.0, 150.0, false),
          new Slowest(30.0, 180.0, 3),
          new Throttle(200.0, 220.0, 1, 0.0, 0.0, 1),
          new Way(140.0, 1.2, 180.0, 1.5, 0),
          50.0,
          40.0,
          9.0);

  private static CornerReading with(Braking braking, Slowest slowest, Throttle throttle, Way way) {
    return new CornerReading(1, braking, slowest, throttle, way, 50.0, 40.0, 9.0);
  }

  private static CornerReading driven(
      double brakeOnM, double lowestMps, double throttleM, int gear) {
    return with(
        new Braking(brakeOnM, 80.0, 40.0, 150.0, false),
        new Slowest(lowestMps, 180.0, gear),
        new Throttle(throttleM, 220.0, 1, 0.0, 0.0, 1),
        PAGE.way());
  }

  private static List<Finding> findings(double lostS, CornerReading... laps) {
    List<List<CornerReading>> each = new ArrayList<>();
    List<List<Charges.Loss>> losses = new ArrayList<>();
    for (CornerReading lap : laps) {
      each.add(List.of(lap));
      losses.add(List.of(new Charges.Loss(lostS, 0, lostS)));
    }
    return Findings.of(ROAD, List.of(PAGE), List.of(STAKES), each, losses);
  }

  @Test
  void aHabitIsFoundWithItsSizeAndItsLaps() {
    List<Finding> found =
        findings(
            0.12,
            driven(89, 30, 200, 3),
            driven(90, 30, 200, 3),
            driven(99, 30, 200, 3),
            driven(88, 30, 200, 3));
    Finding early = found.get(0);
    assertThat(early.rule()).isEqualTo(Rule.BRAKED_EARLY);
    assertThat(early.amount()).isCloseTo(10.5, within(1e-9));
    assertThat(early.laps()).containsExactly(0, 1, 3);
    assertThat(early.of()).isEqualTo(4);
    // 5 m early cost 0.05 s: 10.5 m cost 0.105 s.
    assertThat(early.costS()).isCloseTo(0.105, within(1e-9));
    assertThat(early.sizedBy()).isEqualTo(SizedBy.MODEL);
    assertThat(found).hasSize(1);
  }

  @Test
  void whatIsTooSmallOrTooRareIsNoFinding() {
    assertThat(
            findings(0, driven(97, 29.5, 203, 3), driven(98, 29.6, 202, 3), driven(84, 30, 200, 3)))
        .isEmpty();
    assertThat(findings(0, driven(80, 25, 240, 2), driven(80, 25, 240, 2))).isEmpty();
  }

  @Test
  void theCostliestComesFirst() {
    CornerReading lap = driven(94, 27, 212, 2);
    assertThat(findings(0.2, lap, lap, lap))
        .extracting(Finding::rule)
        .containsExactly(Rule.OVER_SLOWED, Rule.BRAKED_EARLY, Rule.LATE_THROTTLE, Rule.OTHER_GEAR);
  }

  @Test
  void whatTheModelCannotSizeSharesWhatIsLeftOfTheLoss() {
    CornerReading lap = driven(94, 30, 200, 2);
    List<Finding> found = findings(0.2, lap, lap, lap);
    Finding gear =
        found.stream().filter(f -> f.rule() == Rule.OTHER_GEAR).findFirst().orElseThrow();
    // Of 0.2 s 6 m early take 0.06.
    assertThat(gear.costS()).isCloseTo(0.14, within(1e-9));
    assertThat(gear.sizedBy()).isEqualTo(SizedBy.LAPS);
    Finding unsized =
        findings(0.06, lap, lap, lap).stream()
            .filter(f -> f.rule() == Rule.OTHER_GEAR)
            .findFirst()
            .orElseThrow();
    assertThat(unsized.costS()).isNull();
  }

  /** What shows each of the rules and no other. */
  private static CornerReading slip(Rule rule) {
    Braking b = PAGE.braking();
    Throttle t = PAGE.throttle();
    Way w = PAGE.way();
    return switch (rule) {
      case BRAKED_EARLY -> driven(92, 30, 200, 3);
      case BRAKED_LATE -> driven(108, 30, 200, 3);
      case OVER_SLOWED -> driven(100, 28, 200, 3);
      case LATE_THROTTLE -> driven(100, 30, 210, 3);
      case OTHER_GEAR -> driven(100, 30, 200, 4);
      case TURNED_IN_EARLY -> with(b, PAGE.slowest(), t, new Way(130.0, 1.2, 180.0, 1.5, 0));
      case RELEASED_EARLY ->
          with(new Braking(100.0, 80.0, 40.0, 140.0, false), PAGE.slowest(), t, w);
      case HELD_TOO_LONG ->
          with(new Braking(100.0, 80.0, 40.0, 162.0, false), PAGE.slowest(), t, w);
      case COASTING -> with(b, PAGE.slowest(), new Throttle(200.0, 220.0, 1, 0.0, 0.5, 1), w);
      case MISSED_APEX -> with(b, PAGE.slowest(), t, new Way(140.0, 2.2, 180.0, 1.5, 0));
      case EARLY_APEX -> with(b, PAGE.slowest(), t, new Way(140.0, 1.2, 168.0, 0.9, 0));
      case EARLY_THROTTLE_LIFTED ->
          with(b, PAGE.slowest(), new Throttle(192.0, 225.0, 2, 40.0, 0.0, 1), w);
      case THROTTLE_TWICE ->
          with(b, PAGE.slowest(), new Throttle(200.0, 225.0, 2, 40.0, 0.0, 1), w);
      case SHORT_SHIFT -> with(b, PAGE.slowest(), new Throttle(200.0, 220.0, 1, 0.0, 0.0, 2), w);
      case INCONSISTENT -> PAGE;
    };
  }

  @ParameterizedTest
  @EnumSource(value = Rule.class, mode = EnumSource.Mode.EXCLUDE, names = "INCONSISTENT")
  void everyRuleSpeaksForItsSlipAlone(Rule rule) {
    CornerReading lap = slip(rule);
    List<Finding> found = findings(0.1, lap, lap, lap);
    assertThat(found).extracting(Finding::rule).containsExactly(rule);
    assertThat(found.get(0).costS()).isPositive();
  }

  /** The model has 0.105 s for 10.5 m: more than was lost, or much less, and the laps count. */
  @Test
  void whereTheModelIsFarOffTheLapsAreBelieved() {
    CornerReading lap = driven(89.5, 30, 200, 3);
    Finding little = findings(0.04, lap, lap, lap).get(0);
    assertThat(little.costS()).isCloseTo(0.04, within(1e-9));
    assertThat(little.sizedBy()).isEqualTo(SizedBy.LAPS);
    assertThat(findings(0.5, lap, lap, lap).get(0).costS()).isCloseTo(0.5, within(1e-9));
  }

  @Test
  void whatFollowsFromAnotherSlipIsNone() {
    CornerReading early =
        with(
            new Braking(88.0, 80.0, 40.0, 138.0, false),
            PAGE.slowest(),
            new Throttle(200.0, 220.0, 1, 0.0, 0.6, 1),
            PAGE.way());
    assertThat(findings(0.2, early, early, early))
        .extracting(Finding::rule)
        .containsExactly(Rule.BRAKED_EARLY);
  }

  @Test
  void aCornerThatIsReachedSlowlyIsNotOverSlowed() {
    CornerReading lap = driven(100, 27, 200, 3);
    List<List<CornerReading>> laps = List.of(List.of(lap), List.of(lap), List.of(lap));
    List<Charges.Loss> brought = List.of(new Charges.Loss(0.2, 0.15, 0.05));
    assertThat(
            Findings.of(
                ROAD, List.of(PAGE), List.of(STAKES), laps, List.of(brought, brought, brought)))
        .isEmpty();
  }

  @Test
  void scatteredBrakePointsAreInconsistent() {
    List<Finding> found =
        findings(
            0.05,
            driven(86, 30, 200, 3),
            driven(100, 30, 200, 3),
            driven(108, 30, 200, 3),
            driven(96, 30, 200, 3),
            driven(103, 30, 200, 3));
    assertThat(found).extracting(Finding::rule).containsExactly(Rule.INCONSISTENT);
    // Distances from 100 are 14, 0, 8, 4 and 3 m.
    assertThat(found.get(0).amount()).isCloseTo(4, within(1e-9));
    assertThat(found.get(0).laps()).containsExactly(0, 2, 3);
  }

  @Test
  void anEarlyApexWithRoomBehindItIsAnotherLineAndNoSlip() {
    CornerReading roomy =
        with(PAGE.braking(), PAGE.slowest(), PAGE.throttle(), new Way(140.0, 1.2, 168.0, 1.5, 0));
    assertThat(findings(0, roomy, roomy, roomy)).isEmpty();
  }

  @Test
  void whatALapDoesNotTellIsNoSlip() {
    CornerReading blind = CornerReading.nothing(1);
    assertThat(findings(0.3, blind, blind, blind)).isEmpty();
  }

  /** Median and MAD against Hipparchus. */
  @Test
  void medianAndScatterAreThoseOfTheLibrary() {
    Random random = new Random(5);
    for (int n = 1; n < 40; n++) {
      double[] values = random.doubles(n, -30, 30).toArray();
      double median = new org.hipparchus.stat.descriptive.rank.Median().evaluate(values);
      assertThat(Median.of(values)).isCloseTo(median, within(1e-12));
      double[] away = new double[n];
      for (int k = 0; k < n; k++) {
        away[k] = Math.abs(values[k] - median);
      }
      assertThat(Median.of(Median.deviations(values)))
          .isCloseTo(
              new org.hipparchus.stat.descriptive.rank.Median().evaluate(away), within(1e-12));
    }
  }
}
