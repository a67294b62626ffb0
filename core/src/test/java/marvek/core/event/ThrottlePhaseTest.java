package marvek.core.event;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import marvek.core.MadeRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.corner.CornerFinder;
import marvek.core.line.ChosenLine;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/**
 * The throttle of each corner, read off the lap sample by sample, on roads that nobody laid out.
 */
class ThrottlePhaseTest {
  private enum Kind {
    FLAT,
    CLOSED_FOR_THE_NEXT_BRAKE,
    LIFTED,
    BRAKED,
    FULL,
    NEVER_FULL
  }

  private final Map<Kind, Integer> seen = new EnumMap<>(Kind.class);
  private Lap lap;
  private Road road;
  private List<CornerEvents> corners;

  private void see(Kind kind) {
    seen.merge(kind, 1, Integer::sum);
  }

  @Test
  void eachIsWhatTheLapDoes() {
    for (long seed = 1; seed <= 9; seed++) {
      for (Vehicle vehicle : List.of(TestVehicles.clubCar(), TestVehicles.motorcycle())) {
        solve(MadeRoads.of(seed, seed == 4 ? 3 : 1), vehicle);
        corners.forEach(this::check);
      }
    }
    // Of each kind some were there to be checked.
    assertThat(seen).as("%s", seen).containsOnlyKeys(Kind.values());
  }

  private void solve(Circuit circuit, Vehicle vehicle) {
    Reference.Basis basis =
        Reference.basis(circuit, vehicle, Conditions.OF_NEW_BOOKS, ChosenLine.SMOOTH);
    lap = SpeedProfile.solve(basis.path(), vehicle, Conditions.OF_NEW_BOOKS);
    road = lap.path().road();
    corners = LapEvents.of(lap, CornerFinder.find(circuit, road));
  }

  private void check(CornerEvents at) {
    ThrottlePhase throttle = at.throttle();
    if (throttle.flat()) {
      assertThat(at.braking()).isNull();
      staysOpen(at);
    } else if (at.braking() == null) {
      see(Kind.LIFTED);
      assertThat(throttle.first()).as("%s", at).isEqualTo(shutMost(at));
    } else if (throttle.first() >= 0) {
      see(Kind.BRAKED);
      assertThat(throttle.first()).as("%s", at).isEqualTo(firstPull(at.braking().end()));
    }
    if (throttle.first() >= 0) {
      see(throttle.full() < 0 ? Kind.NEVER_FULL : Kind.FULL);
      assertThat(throttle.full()).as("%s", at).isEqualTo(firstFull(at));
    }
  }

  /** From the turn-in to the track-out; or shut, and opened no more before the brakes go on. */
  private void staysOpen(CornerEvents at) {
    int count = untilTheNextBrake(at);
    int shut = 0;
    while (shut <= count && isOpen(at.turnIn() + shut)) {
      shut++;
    }
    see(shut > count ? Kind.FLAT : Kind.CLOSED_FOR_THE_NEXT_BRAKE);
    for (int k = shut; shut <= count && !isBraked(at.turnIn() + k); k++) {
      assertThat(isOpen(at.turnIn() + k)).as("%s: %d", at, k).isFalse();
      assertThat((k - shut) * road.stepM()).as("%s", at).isLessThanOrEqualTo(100);
    }
  }

  private int shutMost(CornerEvents at) {
    assertThat(IntStream.rangeClosed(0, untilTheNextBrake(at)))
        .as("%s is not open throughout", at)
        .anyMatch(k -> !isOpen(at.turnIn() + k));
    return IntStream.rangeClosed(0, untilTheNextBrake(at))
        .map(k -> road.wrap(at.turnIn() + k))
        .filter(i -> !lap.shiftingAt(i))
        .boxed()
        .min((a, b) -> Double.compare(lap.throttleShareAt(a), lap.throttleShareAt(b)))
        .orElse(at.turnIn());
  }

  private int firstPull(int released) {
    return IntStream.range(0, road.size())
        .map(k -> road.wrap(released + k))
        .filter(i -> lap.pullShareAt(i) > 0.02)
        .findFirst()
        .orElseThrow();
  }

  /** First of ten metres of full throttle within the corner's part; −1 without. */
  private int firstFull(CornerEvents at) {
    int first = at.throttle().first();
    int most = at.span().left(first, road.samples(1500), road);
    int ten = road.covering(10);
    return IntStream.rangeClosed(0, most - ten + 1)
        .filter(k -> IntStream.range(k, k + ten).allMatch(j -> isFull(road.wrap(first + j))))
        .map(k -> road.wrap(first + k))
        .findFirst()
        .orElse(-1);
  }

  private boolean isFull(int i) {
    return lap.throttleShareAt(i) >= 0.985 || lap.shiftingAt(i);
  }

  private boolean isOpen(int sample) {
    int i = road.wrap(sample);
    return lap.throttleShareAt(i) >= 0.97 || lap.shiftingAt(i) || lap.onLimiterAt(i);
  }

  private boolean isBraked(int sample) {
    return BrakingZone.of(lap).stream()
        .anyMatch(z -> road.ahead(z.begin(), road.wrap(sample)) < road.ahead(z.begin(), z.end()));
  }

  /** The last three samples before a brake are half of either. */
  private int untilTheNextBrake(CornerEvents at) {
    int count = road.ahead(at.turnIn(), at.trackOut());
    int braked = 0;
    while (braked <= count + 3 && !isBraked(at.turnIn() + braked)) {
      braked++;
    }
    return braked > count + 3 ? count : Math.max(0, braked - 3);
  }
}
