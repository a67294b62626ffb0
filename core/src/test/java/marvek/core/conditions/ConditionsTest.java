package marvek.core.conditions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.circuit.Zone;
import marvek.core.conditions.Conditions.Surface;
import marvek.core.conditions.Conditions.TyreState;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

class ConditionsTest {
  private static final double RADIUS_M = 100;
  private static final Road CIRCLE = Road.through(TestRoads.circle(RADIUS_M, 5));
  private static final Vehicle POINT = TestVehicles.pointMass(1.2);

  private static double speedAt(Conditions conditions, List<Zone> zones, double stationM) {
    Path path = Path.centreline(CIRCLE, zones);
    Lap lap = SpeedProfile.solve(path, POINT, conditions);
    return lap.limitSpeedAt(CIRCLE.indexOf(stationM));
  }

  /**
   * Peak friction of road tyres, J. Y. Wong, <i>Theory of Ground Vehicles</i>, table of road
   * adhesion (from memory): asphalt and concrete dry 0.8–0.9, asphalt wet 0.5–0.7.
   */
  @Test
  void theSurfacesLieWithinTheRangesOfRoadAdhesion() {
    double wet = Surface.WET.gripFactor() / Surface.DRY.gripFactor();
    assertThat(wet).isBetween(0.5 / 0.9, 0.7 / 0.8);
    assertThat(Surface.DAMP.gripFactor()).isBetween(wet, 1.0);
  }

  /**
   * Common practice: 0.90 on the first lap from cold, 0.95 on the second, warm after a few more.
   */
  @Test
  void tyresWarmUpLapByLap() {
    Conditions.Builder cold = Conditions.DEFAULT.but().tyres(TyreState.COLD);
    assertThat(cold.coldLap(1).build().tyreFactor()).isCloseTo(0.90, within(1e-12));
    assertThat(cold.coldLap(2).build().tyreFactor()).isCloseTo(0.95, within(1e-12));
    assertThat(cold.coldLap(5).build().tyreFactor()).isBetween(0.99, 1.0);
    Conditions.Builder worn = Conditions.DEFAULT.but().tyres(TyreState.WORN);
    assertThat(worn.wear(0).build().tyreFactor()).isEqualTo(1);
    assertThat(worn.wear(2).build().tyreFactor()).isLessThan(worn.wear(1).build().tyreFactor());
  }

  /** v = √(μ g R) on each part with the grip of its own surface. */
  @Test
  void aPartOfTheLapHasItsOwnSurface() {
    Conditions drying =
        Conditions.DEFAULT
            .but()
            .gripUsed(1)
            .surface(Surface.DAMP)
            .parts(
                List.of(
                    new SurfacePart(100, 200, Surface.WET), new SurfacePart(600, 20, Surface.DRY)))
            .build();
    double dry = Math.sqrt(1.2 * 9.80665 * RADIUS_M);
    assertThat(speedAt(drying, List.of(), 400)).isCloseTo(dry * Math.sqrt(0.85), within(0.01));
    assertThat(speedAt(drying, List.of(), 150)).isCloseTo(dry * Math.sqrt(0.70), within(0.01));
    assertThat(speedAt(drying, List.of(), 610)).isCloseTo(dry, within(0.01));
    assertThat(speedAt(drying, List.of(), 5)).isCloseTo(dry, within(0.01));
  }

  /** Rain does not take twice what the water under the trees has taken already. */
  @Test
  void whereItStaysDampTheGripIsThePlacesOwn() {
    Zone shade = new Zone(Zone.Type.DAMP_SHADE, Side.ROAD, 100, 200, 0.8, "");
    Conditions dry = Conditions.DEFAULT.withGripUsed(1);
    double whole = Math.sqrt(1.2 * 9.80665 * RADIUS_M);
    assertThat(speedAt(dry, List.of(shade), 150)).isCloseTo(whole * Math.sqrt(0.8), within(0.01));
    assertThat(speedAt(dry.withSurface(Surface.WET), List.of(shade), 150))
        .isCloseTo(whole * Math.sqrt(0.7), within(0.01));
  }

  /**
   * Drag goes with the square of the air's speed and along the air: its part along the car is
   * ½ρ·CdA·V·(v + headwind), V the speed of the air (vector addition of speeds).
   */
  @Test
  void windFromTheSideAddsToTheDrag() {
    Road straight = Road.through(TestRoads.every(5).straight(500).survey(false, 6, 0, 0));
    Path path = Path.centreline(straight, List.of());
    double rho = Conditions.DEFAULT.airDensityKgM3();
    double halfCdA = 0.5 * rho * TestVehicles.clubCar().aero().cdAM2();
    Conditions.Builder wind = Conditions.DEFAULT.but().windSpeedMps(10);
    // The road of the test leads east.
    ForceModel against = new ForceModel(path, TestVehicles.clubCar(), wind.windFromDeg(90).build());
    ForceModel across = new ForceModel(path, TestVehicles.clubCar(), wind.windFromDeg(0).build());
    ForceModel behind = new ForceModel(path, TestVehicles.clubCar(), wind.windFromDeg(270).build());
    assertThat(against.dragN(10, 40 * 40)).isCloseTo(halfCdA * 50 * 50, within(0.1));
    assertThat(behind.dragN(10, 40 * 40)).isCloseTo(halfCdA * 30 * 30, within(0.1));
    assertThat(across.dragN(10, 40 * 40)).isCloseTo(halfCdA * 40 * Math.hypot(40, 10), within(0.1));
  }

  @Test
  void behindOthersThereIsLessAirOverTheWing() {
    Path path = Path.centreline(CIRCLE, List.of());
    Vehicle wings = TestVehicles.clubCar().withAero(new Aero(1.0, 3.0, 0.45));
    Conditions behind = Conditions.DEFAULT.but().airShare(0.75).build();
    ForceModel alone = new ForceModel(path, wings, Conditions.DEFAULT);
    ForceModel following = new ForceModel(path, wings, behind);
    double still = alone.normalN(3, 0);
    double downforce = alone.normalN(3, 2500) - still;
    assertThat(following.normalN(3, 2500) - still).isCloseTo(0.75 * downforce, within(1e-6));
    assertThat(following.dragN(3, 2500)).isLessThan(alone.dragN(3, 2500));
  }

  @Test
  void whatCannotBeIsRefusedByName() {
    Conditions.Builder but = Conditions.DEFAULT.but();
    assertThatThrownBy(() -> but.windFromDeg(400).build())
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("windFrom_deg (400) must lie between 0 and 360");
    assertThatThrownBy(() -> Conditions.DEFAULT.but().wear(Double.NaN).build())
        .isInstanceOf(InvalidValueException.class);
    Conditions beyond =
        Conditions.DEFAULT.but().parts(List.of(new SurfacePart(100, 9000, Surface.WET))).build();
    assertThatThrownBy(() -> beyond.checkedOn(4600))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("9000 m")
        .hasMessageContaining("lap of 4600 m");
    assertThat(beyond.checkedOn(9000)).isSameAs(beyond);
  }
}
