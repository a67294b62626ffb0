package marvek.core.car;

import static marvek.core.profile.Constants.G0;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Brake balance against the handbook: T. D. Gillespie, <i>Fundamentals of Vehicle Dynamics</i>, ch.
 * 3 (load transfer, ideal share, the axle that locks first), and UN Regulation No. 13-H, annex 5
 * (adhesion used by an axle); formulas from memory, numbers worked by hand.
 */
class BrakeBalanceTest {
  private static final double MU = 0.8;
  private static final double H = 0.5;
  private static final double L = 2.5;
  private static final double FRONT = 0.5;

  private static final Road OVAL =
      Circuit.bare(
              "oval",
              TestRoads.pointSymmetric(5, r -> r.straight(500).corner(40, 180, 20).straight(0)))
          .road();

  private static Vehicle car(double share) {
    return TestVehicles.bare(
        Vehicle.Drive.REAR,
        H,
        FRONT,
        MU,
        new Brakes(900_000, share),
        TestVehicles.engine(),
        TestVehicles.gearbox(),
        0);
  }

  private static Lap lap(Vehicle vehicle) {
    return SpeedProfile.solve(
        Path.centreline(OVAL, java.util.List.of()), vehicle, TestVehicles.FULL_GRIP);
  }

  /**
   * Worked by hand: weight 9807 N, half of it in front at rest; at 0.8 g the load moves by 9807 ·
   * 0.8 · 0.5/2.5 = 1569 N, so that the front carries 4903 + 1569 = 6472 N, 66 % of all.
   */
  @Test
  void theWorkedExampleComesOut() {
    ForceModel forces = lap(car(0.6)).forces();
    double weight = forces.massKg() * G0;
    int flat = OVAL.indexOf(250);
    assertThat(weight).isCloseTo(9807, within(1.0));
    assertThat(forces.frontLoadShare(flat, 100, 0.8 * weight)).isCloseTo(0.66, within(1e-4));
    assertThat(forces.frontLoadShare(flat, 100, 0)).isCloseTo(0.5, within(1e-6));
  }

  /** β* = (b + z·h)/l over the whole curve. */
  @Test
  void theIdealShareIsTheHandbooks() {
    BrakeBalance.Result balance = BrakeBalance.of(lap(car(0.6)));
    assertThat(balance.standing()).hasSizeGreaterThan(5);
    for (BrakeBalance.Ideal ideal : balance.standing()) {
      double handbook = FRONT + ideal.decelerationG() * H / L;
      assertThat(ideal.frontShare()).isCloseTo(handbook, within(2e-4));
    }
    BrakeBalance.Ideal last = balance.standing().get(balance.standing().size() - 1);
    assertThat(last.decelerationG()).isCloseTo(MU, within(1e-3));
  }

  /** UN R13-H: at the ideal share both axles use the same adhesion, T/N of each. */
  @ParameterizedTest
  @ValueSource(doubles = {0.3, 0.5, 0.8})
  void bothAxlesUseTheSameAdhesionAtTheIdealShare(double z) {
    ForceModel forces = lap(car(0.6)).forces();
    int flat = OVAL.indexOf(250);
    double weight = forces.massKg() * G0;
    double ideal = forces.frontLoadShare(flat, 100, z * weight);
    double frontLoad = weight * (FRONT + z * H / L);
    double frontUsed = ideal * z * weight / frontLoad;
    double rearUsed = (1 - ideal) * z * weight / (weight - frontLoad);
    assertThat(frontUsed).isCloseTo(rearUsed, within(1e-3));
    assertThat(frontUsed).isCloseTo(z, within(1e-3));
  }

  /** Below the ideal share (66 % here) the rear locks first, above it the front. */
  @Test
  void theAxleWithTooMuchOfTheBrakesLocksFirst() {
    assertThat(BrakeBalance.of(lap(car(0.60))).zones())
        .allSatisfy(z -> assertThat(z.locksFirst()).isEqualTo(BrakeBalance.Locks.REAR));
    assertThat(BrakeBalance.of(lap(car(0.72))).zones())
        .allSatisfy(z -> assertThat(z.locksFirst()).isEqualTo(BrakeBalance.Locks.FRONT));
    assertThat(BrakeBalance.of(lap(car(0.66))).zones())
        .allSatisfy(
            z -> {
              assertThat(z.locksFirst()).isEqualTo(BrakeBalance.Locks.TOGETHER);
              assertThat(z.costM()).isCloseTo(0, within(0.05));
            });
  }

  /**
   * With the rear locking first the braking force is μ·N_r0/(1 − β + μh/l): the way from v to w is
   * (v² − w²)/2 over what it gives, against μ·g with the ideal share.
   */
  @Test
  void aWrongShareCostsTheMetresOfTheFormula() {
    double beta = 0.60;
    BrakeBalance.Zone zone = BrakeBalance.of(lap(car(beta))).zones().get(0);
    double squares = (Math.pow(zone.fromMps(), 2) - Math.pow(zone.toMps(), 2)) / 2;
    double rear = MU * (1 - FRONT) / (1 - beta + MU * H / L);
    double byHand = squares / (rear * G0) - squares / (MU * G0);
    assertThat(zone.costM()).isCloseTo(byHand, within(0.02 * byHand + 0.1));
    assertThat(zone.forwardM()).isNegative();
    assertThat(zone.rearwardM()).isPositive();
  }

  /** Common practice: on a wet road less load moves, so that the balance goes to the rear. */
  @Test
  void theWetRoadWantsLessInFront() {
    Conditions wet = TestVehicles.FULL_GRIP.withSurface(Conditions.Surface.WET);
    Lap lap = SpeedProfile.solve(Path.centreline(OVAL, java.util.List.of()), car(0.66), wet);
    assertThat(BrakeBalance.of(lap).zones())
        .allSatisfy(
            z -> {
              assertThat(z.idealAtBegin()).isLessThan(0.64);
              assertThat(z.locksFirst()).isEqualTo(BrakeBalance.Locks.FRONT);
            });
  }

  @Test
  void aWeakSystemLocksNothing() {
    Vehicle weak = car(0.6).withBrakes(new Brakes(3000, 0.6));
    assertThat(BrakeBalance.of(lap(weak)).zones())
        .allSatisfy(z -> assertThat(z.locksFirst()).isEqualTo(BrakeBalance.Locks.NONE));
  }
}
