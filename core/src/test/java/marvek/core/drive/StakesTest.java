package marvek.core.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.page.Stakes;
import marvek.core.profile.Lap;
import marvek.core.profile.LocalRun;
import marvek.core.profile.ProfileOptions;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.ModelReference;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

class StakesTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));

  private static Reference.Basis basis(Circuit circuit, Vehicle car) {
    return Reference.basis(circuit, car, Conditions.DEFAULT, ChosenLine.SMOOTH);
  }

  private static final Reference.Basis BASIS = basis(VARIED, TestVehicles.clubCar());
  private static final Reference MODEL = Reference.on(BASIS, Conditions.DEFAULT, List.of());

  /**
   * With the engine's braking too the first throttle is where the tyres begin to drive, and waiting
   * there costs: common practice is some hundredths for ten metres.
   */
  @Test
  void aLateThrottleCostsWithTheEnginesBrakingToo() {
    Conditions day = Conditions.OF_NEW_BOOKS;
    Reference.Basis basis = Reference.basis(VARIED, TestVehicles.clubCar(), day, ChosenLine.SMOOTH);
    Reference model = Reference.on(basis, day, List.of());
    List<Stakes> stakes = StakesRun.of(model.modelLap(), model.modelPages());
    int braked = 0;
    int costly = 0;
    for (int p = 0; p < stakes.size(); p++) {
      CornerPage page = model.modelPages().get(p);
      if (page.brake().atM() != null && page.throttle().firstM() != null) {
        int first = basis.path().road().indexOf(page.throttle().firstM());
        assertThat(model.modelLap().pullShareAt(first)).isPositive();
        braked++;
        costly += stakes.get(p).throttle10mLateS() > 0.01 ? 1 : 0;
      }
    }
    assertThat(braked).isGreaterThan(4);
    assertThat(2 * costly).isGreaterThan(braked);
  }

  @Test
  void noChangeCostsNothing() {
    Lap lap = MODEL.modelLap();
    for (int from = 0; from < lap.size(); from += 211) {
      LocalRun.Result run = LocalRun.of(lap, lap.path(), ProfileOptions.NONE, from, 150);
      assertThat(run.lostS()).isCloseTo(0, within(1e-6));
      assertThat(run.settled()).isTrue();
    }
  }

  /** A part run again gives what the whole lap run again gives; with one gear there is no other. */
  @Test
  void aPartIsWorthTheWhole() {
    Reference.Basis basis = basis(VARIED, constantForces());
    Reference model = Reference.on(basis, Conditions.DEFAULT, List.of());
    Lap lap = model.modelLap();
    Road road = lap.path().road();
    for (CornerPage page : model.modelPages()) {
      int exit = road.indexOf(page.exit().trackOutM());
      double[] cap = new double[lap.size()];
      Arrays.fill(cap, Double.POSITIVE_INFINITY);
      for (int k = -5; k <= 5; k++) {
        cap[road.wrap(exit + k)] = 0.93 * lap.speedAt(exit);
      }
      ProfileOptions options = ProfileOptions.NONE.withSpeedCap(cap);
      double part = LocalRun.of(lap, lap.path(), options, road.wrap(exit - 160), 200).lostS();
      double whole =
          SpeedProfile.solve(lap.path(), basis.vehicle(), Conditions.DEFAULT, options).timeS()
              - lap.timeS();
      assertThat(part).isPositive().isCloseTo(whole, within(1e-3));
    }
  }

  /** A car with one gear and a flat torque: constant drive, constant braking, nothing else. */
  private static Vehicle constantForces() {
    return TestVehicles.bare(
        Vehicle.Drive.ALL,
        0,
        0.5,
        1.0,
        new Brakes(900_000, 0.5),
        new Engine(new double[] {1000}, new double[] {400}, 0, 30_000, 0),
        new Gearbox(new double[] {1.0}, 3.3, 1.0, 0, 0),
        0);
  }

  private static final Circuit OVAL =
      Circuit.bare(
          "oval",
          TestRoads.pointSymmetric(5, r -> r.straight(500).corner(40, 180, 20).straight(0)));

  /**
   * By hand: with a braking curve moved by 5 m and the speed at its end held for these 5 m, the way
   * at the high speed is driven at the low one: 5/v_low less what 5 m took at the brake point.
   */
  @Test
  void fiveMetresEarlyCostsTheirTimeAtLowSpeedLessThatAtHighSpeed() {
    Reference.Basis basis =
        Reference.basis(OVAL, constantForces(), Conditions.DEFAULT, ChosenLine.CENTRELINE);
    Reference model = Reference.on(basis, Conditions.DEFAULT, List.of());
    CornerPage page = model.modelPages().get(0);
    Stakes stakes = ModelReference.on(basis, Conditions.DEFAULT).stakes().get(0);
    Lap lap = model.modelLap();
    Road road = lap.path().road();
    double high = lap.speedAt(road.indexOf(page.brake().atM()));
    double byHand = 5 / page.lowestSpeedMps() - 5 / high;
    assertThat(stakes.brake5mEarlyS()).isCloseTo(byHand, within(0.012));
  }

  /**
   * By hand: from v the car gains a until the braking curve to v_b at the end of D comes, at b: it
   * meets it at s = (v_b² + 2bD − v²)/(2(a + b)), and the whole takes (v_s − v)/a + (v_s − v_b)/b.
   */
  @Test
  void aSlowerExitCostsItsTimeDownTheStraight() {
    Reference.Basis basis =
        Reference.basis(OVAL, constantForces(), Conditions.DEFAULT, ChosenLine.CENTRELINE);
    Reference model = Reference.on(basis, Conditions.DEFAULT, List.of());
    CornerPage page = model.modelPages().get(0);
    Lap lap = model.modelLap();
    Road road = lap.path().road();
    double exitM = page.exit().trackOutM();
    double v = lap.speedAt(road.indexOf(exitM));
    // Force 400·3.3/0.33 N on 1000 kg, and the friction that grip used leaves for the brakes.
    double a = 4.0;
    double b = 0.97 * 9.80665;
    CornerPage next = model.modelPages().get(1);
    double lowest = next.lowestSpeedMps();
    // The braking on the straight ends where the road begins to bend: at 500 m of each half.
    double end = road.lengthM();
    double way = end - exitM;
    double vb = lap.speedAt(road.indexOf(end - 0.5));
    assertThat(vb).isGreaterThan(lowest);
    double byHand = straight(v - 1 / 3.6, vb, a, b, way) - straight(v, vb, a, b, way);
    Stakes stakes = ModelReference.on(basis, Conditions.DEFAULT).stakes().get(0);
    assertThat(stakes.exit1kmhSlowerS()).isCloseTo(byHand, within(0.15 * byHand));
  }

  private static double straight(double v, double vb, double a, double b, double way) {
    double meet = (vb * vb + 2 * b * way - v * v) / (2 * (a + b));
    double top = Math.sqrt(v * v + 2 * a * meet);
    return (top - v) / a + (top - vb) / b;
  }

  @Test
  void everySlipCosts() {
    List<Stakes> all = ModelReference.on(BASIS, Conditions.DEFAULT).stakes();
    assertThat(all).hasSameSizeAs(MODEL.pages());
    for (int i = 0; i < all.size(); i++) {
      Stakes s = all.get(i);
      CornerPage page = MODEL.pages().get(i);
      assertThat(s.apex2kmhSlowerS()).isBetween(0.0, 1.0);
      assertThat(s.exit1kmhSlowerS()).isBetween(0.0, 0.5);
      assertThat(s.brake5mEarlyS() == null).isEqualTo(page.brake().atM() == null);
      if (s.brake5mEarlyS() != null) {
        assertThat(s.brake5mEarlyS()).isBetween(0.0, 0.6);
      }
      if (s.throttle10mLateS() != null) {
        assertThat(s.throttle10mLateS()).isBetween(0.0, 0.6);
      }
      assertThat(s.weightS()).isPositive();
    }
    // Common practice: half a metre off one apex costs hundredths, not tenths.
    assertThat(all.stream().map(Stakes::apexHalfMetreOffS).filter(x -> x != null))
        .allSatisfy(x -> assertThat(x).isBetween(-0.02, 0.3));
  }

  /** Costs grow with the slip: ten metres early cost more than five. */
  @Test
  void moreOfASlipCostsMore() {
    Lap lap = MODEL.modelLap();
    CornerPage page =
        MODEL.modelPages().stream().filter(p -> p.brake().atM() != null).findFirst().orElseThrow();
    double last = 0;
    for (double early : new double[] {2, 5, 10, 20}) {
      OwnValues slip =
          OwnValues.in(page.corner())
              .brakeAtM(lap.path().road().wrapStation(page.brake().atM() - early))
              .build();
      double cost = Reference.on(BASIS, Conditions.DEFAULT, List.of(slip)).lap().timeS();
      assertThat(cost - lap.timeS()).isGreaterThan(last);
      last = cost - lap.timeS();
    }
  }
}
