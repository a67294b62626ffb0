package marvek.core.cause;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import marvek.core.TestRoads;
import marvek.core.cause.CornerAccount.Part;
import marvek.core.cause.Finding.Often;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.laps.CornerReading;
import marvek.core.laps.CornerReading.Braking;
import marvek.core.laps.CornerReading.Slowest;
import marvek.core.laps.CornerReading.Throttle;
import marvek.core.laps.CornerReading.Way;
import org.junit.jupiter.api.Test;

/** What laps have in common, on accounts written by hand. */
class SessionCausesTest {
  private static final Road ROAD = Circuit.bare("varied", TestRoads.varied(5)).road();

  private static CornerReading reading(double brakeOnM, double insideM) {
    return new CornerReading(
        1,
        new Braking(brakeOnM, 80.0, 40.0, 150.0, false),
        new Slowest(30.0, 180.0, 3),
        new Throttle(200.0, 220.0, 1, 0.0, 0.0, 1),
        new Way(140.0, insideM, 180.0, 1.5),
        CornerReading.Wheel.UNKNOWN,
        CornerReading.Feet.UNKNOWN,
        50.0,
        40.0,
        9.0);
  }

  private static final CornerReading PAGE = reading(100, 1.2);

  private static Part part(Cause cause, double seconds, double amount) {
    return new Part(cause, seconds, amount, 120);
  }

  /** A lap of one corner. */
  private record OneLap(CornerReading reading, CornerAccount account) {
    static OneLap of(double brakeOnM, double insideM, double lostS, Part... parts) {
      return new OneLap(
          SessionCausesTest.reading(brakeOnM, insideM),
          new CornerAccount(1, 80, 150, 300, 0, 0, lostS, 0.01, List.of(parts)));
    }
  }

  private static List<Finding> found(OneLap... laps) {
    List<List<CornerReading>> readings = new ArrayList<>();
    List<LapAccounts> accounts = new ArrayList<>();
    for (OneLap lap : laps) {
      readings.add(List.of(lap.reading));
      double lost = lap.account.lostS();
      accounts.add(new LapAccounts(lost, 0, 0, List.of(lap.account)));
    }
    return SessionCauses.of(ROAD, List.of(PAGE), readings, accounts);
  }

  @Test
  void aHabitHasItsSizeItsSpreadAndItsShare() {
    Finding habit =
        found(
                OneLap.of(90, 1.2, 0.25, part(Cause.BRAKED_EARLY, 0.2, 10)),
                OneLap.of(88, 1.2, 0.30, part(Cause.BRAKED_EARLY, 0.24, 12)),
                OneLap.of(100, 1.2, 0.05),
                OneLap.of(89, 1.2, 0.20, part(Cause.BRAKED_EARLY, 0.16, 11)))
            .get(0);
    assertThat(habit.often()).isEqualTo(Often.HABIT);
    assertThat(habit.laps()).containsExactly(0, 1, 3);
    assertThat(habit.costS()).isCloseTo(0.2, within(1e-9));
    assertThat(habit.amount()).isCloseTo(11, within(1e-9));
    assertThat(habit.spreadS()).isCloseTo(0.04, within(1e-9));
    assertThat(habit.perLapS()).isCloseTo(0.15, within(1e-9));
    assertThat(habit.shareOfLoss()).isCloseTo(0.15 / 0.2, within(1e-9));
    assertThat(habit.ownS())
        .as("the middle of the laps beyond the best")
        .isCloseTo(0.175, within(1e-9));
    assertThat(habit.laterS()).isCloseTo(0.01, within(1e-9));
  }

  @Test
  void oneLapIsToldAsOnceAndStandsBehindAHabit() {
    List<Finding> found =
        found(
            OneLap.of(100, 1.2, 0.4, part(Cause.LATE_THROTTLE, 0.4, 20)),
            OneLap.of(100, 1.2, 0.2, part(Cause.OVER_SLOWED, 0.12, 1.5)),
            OneLap.of(100, 1.2, 0.2, part(Cause.OVER_SLOWED, 0.14, 1.6)),
            OneLap.of(100, 1.2, 0.2, part(Cause.OVER_SLOWED, 0.16, 1.4)));
    assertThat(found)
        .extracting(Finding::cause)
        .containsExactly(Cause.OVER_SLOWED, Cause.LATE_THROTTLE);
    assertThat(found).extracting(Finding::often).containsExactly(Often.HABIT, Often.ONCE);
    assertThat(found(OneLap.of(100, 1.2, 0.4, part(Cause.LATE_THROTTLE, 0.4, 20))).get(0).ownS())
        .as("one lap has no other")
        .isNull();
  }

  /** A missed apex is slow because it was missed: one finding of two parts. */
  @Test
  void aMissedApexTakesItsSlownessAlong() {
    OneLap missed =
        OneLap.of(
            100, 2.4, 0.3, part(Cause.MISSED_APEX, 0.1, 1.2), part(Cause.OVER_SLOWED, 0.18, 1.0));
    List<Finding> found = found(missed, missed, missed);
    assertThat(found).hasSize(1);
    assertThat(found.get(0).cause()).isEqualTo(Cause.MISSED_APEX);
    assertThat(found.get(0).with()).isEqualTo(Cause.OVER_SLOWED);
    assertThat(found.get(0).costS()).isCloseTo(0.28, within(1e-9));
    assertThat(found.get(0).amount()).isCloseTo(1.2, within(1e-9));
  }

  /** Where laps differ more than they miss it, nothing of it is sure: the slowness stays. */
  @Test
  void anApexThatIsMissedByChanceIsNone() {
    List<Finding> found =
        found(
            OneLap.of(
                100, 1.9, 0.3, part(Cause.MISSED_APEX, 0.1, 0.7), part(Cause.OVER_SLOWED, 0.1, 1)),
            OneLap.of(100, 0.9, 0.2, part(Cause.OVER_SLOWED, 0.1, 1)),
            OneLap.of(100, 1.3, 0.2, part(Cause.OVER_SLOWED, 0.1, 1)));
    assertThat(found).extracting(Finding::cause).containsExactly(Cause.OVER_SLOWED);
  }

  /** Missed by 0.65 m in the middle, by laps that lie metres apart: that is not sure. */
  @Test
  void anApexThatIsMissedUnsurelyIsNone() {
    Part slow = part(Cause.OVER_SLOWED, 0.1, 1);
    Part missed = part(Cause.MISSED_APEX, 0.1, 1);
    List<Finding> found =
        found(
            OneLap.of(100, 0.2, 0.1, slow),
            OneLap.of(100, 0.7, 0.1, slow),
            OneLap.of(100, 1.85, 0.2, missed, slow),
            OneLap.of(100, 3.1, 0.2, missed, slow),
            OneLap.of(100, 3.6, 0.2, missed, slow));
    assertThat(found).extracting(Finding::cause).containsExactly(Cause.OVER_SLOWED);
    assertThat(found.get(0).costS()).as("all of it is slowness").isCloseTo(0.2, within(1e-9));
  }

  /** Coasting and an early brake are one slip, named after the dearer part. */
  @Test
  void coastingAndAnEarlyBrakeAreOne() {
    OneLap lap =
        OneLap.of(95, 1.2, 0.3, part(Cause.BRAKED_EARLY, 0.05, 5), part(Cause.COASTED, 0.2, 0.5));
    List<Finding> found = found(lap, lap, lap);
    assertThat(found).hasSize(1);
    assertThat(found.get(0).cause()).isEqualTo(Cause.COASTED);
    assertThat(found.get(0).with()).isEqualTo(Cause.BRAKED_EARLY);
    assertThat(found.get(0).costS()).isCloseTo(0.25, within(1e-9));
  }

  @Test
  void brakePointsThatScatterAreToldWithoutASize() {
    List<Finding> found =
        found(
            OneLap.of(80, 1.2, 0),
            OneLap.of(101, 1.2, 0),
            OneLap.of(99, 1.2, 0),
            OneLap.of(88, 1.2, 0),
            OneLap.of(112, 1.2, 0));
    assertThat(found).hasSize(1);
    assertThat(found.get(0).cause()).isEqualTo(Cause.INCONSISTENT);
    assertThat(found.get(0).costS()).isNull();
    assertThat(found.get(0).amount()).isCloseTo(11, within(1e-9));
    assertThat(found.get(0).laps()).containsExactly(0, 3, 4);
  }
}
