package marvek.core.mark;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadPosition;
import marvek.core.vehicle.Eye;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Bearings on a circle and at the ends of a straight, in closed form. */
class SeatGeometryTest {
  private static final double RADIUS_M = 90;
  private static final Road CIRCLE = Road.through(TestRoads.circle(RADIUS_M, 5));
  private static final Road STRAIGHT =
      Circuit.bare("straight", TestRoads.every(5).straight(200).survey(false, 6, 0, 0)).road();

  /** Chords of a metre on this radius turn by so much, and lie so little inside of it. */
  private static final double SAME_RAD = 1e-3;

  private static SeatView seat(Road road, Eye eye) {
    Path middle = Path.centreline(road, List.of());
    return new SeatView(middle, TestVehicles.clubCar().withEye(eye));
  }

  /**
   * Seen from the car, whose circle lies {@code R} to its left: what is an arc {@code a} ahead and
   * {@code d} to the left of the road lies at {@code ((R − d) sin a, R − (R − d) cos a)}; the eye
   * is before and beside the car's point on the path.
   */
  @ParameterizedTest
  @CsvSource({
    "0, 20, 4",
    "10.25, 15, -6",
    "99.5, 30, 0",
    "141.75, 12, 8",
    "300.9, 40, -9",
    "480.1, 25, 3",
    "564.8, 9, -2",
    "565.3, 30, 5"
  })
  void onACircleItIsThatOfPlaneGeometry(double stationM, double aheadM, double asideM) {
    double turn = 2 * Math.PI * aheadM / CIRCLE.lengthM();
    double x = (RADIUS_M - asideM) * Math.sin(turn);
    double y = RADIUS_M - (RADIUS_M - asideM) * Math.cos(turn);
    for (Eye eye : List.of(new Eye(1.08, 1.5, 0), new Eye(1.08, -2, 0.4), new Eye(1.3, 3, -0.7))) {
      double beforeM = TestVehicles.clubCar().cgToFrontAxleM() - eye.behindFrontAxleM();
      double bearing =
          seat(CIRCLE, eye)
              .bearingRad(
                  stationM, new RoadPosition(CIRCLE.wrapStation(stationM + aheadM), asideM));
      assertThat(bearing).isCloseTo(Math.atan2(y - eye.sideM(), x - beforeM), within(SAME_RAD));
    }
  }

  /** From one metre to the next the direction turns as the arc does, over the start line too. */
  @Test
  void theDirectionTurnsEvenly() {
    SeatView seat = seat(CIRCLE, new Eye(1.08, 1.5, 0));
    double first = seat.headingRad(0);
    for (double station = 0; station < CIRCLE.lengthM(); station += 0.37) {
      double turned = Math.IEEEremainder(seat.headingRad(station) - first, 2 * Math.PI);
      double expected = Math.IEEEremainder(2 * Math.PI * station / CIRCLE.lengthM(), 2 * Math.PI);
      assertThat(Math.abs(Math.IEEEremainder(turned - expected, 2 * Math.PI)))
          .as("%.2f m", station)
          .isLessThan(SAME_RAD);
    }
  }

  @Test
  void anOpenRoadHasADirectionAtItsEnds() {
    Vehicle car = TestVehicles.clubCar();
    double beforeM = car.cgToFrontAxleM() - car.eye().behindFrontAxleM();
    SeatView seat = seat(STRAIGHT, car.eye());
    assertThat(seat.headingRad(0)).isCloseTo(0, within(1e-9));
    assertThat(seat.headingRad(STRAIGHT.lengthM())).isCloseTo(0, within(1e-9));
    assertThat(seat.bearingRad(0, new RoadPosition(30, 5)))
        .isCloseTo(Math.atan2(5, 30 - beforeM), within(1e-6));
    double end = STRAIGHT.lengthM();
    assertThat(seat.bearingRad(end - 0.4, new RoadPosition(end, 5)))
        .isCloseTo(Math.atan2(5, 0.4 - beforeM), within(1e-3));
  }

  /** Before the road begins nobody sees anything, and what is far off to the side never goes by. */
  @Test
  void whatDoesNotLeaveSightOnTheRoadDoesNotDoSoAtAll() {
    SeatView seat = seat(STRAIGHT, new Eye(1.08, 1.5, 0));
    assertThat(seat.leavesSightM(new RoadPosition(4, 9))).isEmpty();
    assertThat(seat.leavesSightM(new RoadPosition(12, 9))).isPresent();
    assertThat(seat.leavesSightM(new RoadPosition(150, 120))).isEmpty();
    assertThat(seat.leavesSightM(new RoadPosition(150, 90))).isPresent();
    assertThat(seat.leavesSightM(new RoadPosition(150, -90)).orElseThrow())
        .isEqualTo(seat.leavesSightM(new RoadPosition(150, 90)).orElseThrow(), within(1e-6));
  }
}
