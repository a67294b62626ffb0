package marvek.core.mark;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadPosition;
import marvek.core.circuit.Side;
import marvek.core.circuit.Sight;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Eye;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.algorithm.Angle;
import org.locationtech.jts.geom.Coordinate;

/** Bearings from the seat against plane geometry and the angles of JTS. */
class SeatViewTest {
  /** The spline of the road is off its arcs by so much, in bearing [rad]. */
  private static final double SAME_RAD = 0.005;

  private static final Road OVAL =
      Road.through(
          TestRoads.pointSymmetric(5, r -> r.straight(700).corner(60, 180, 20).straight(0)), 1, 1);

  private static final Vehicle CAR = TestVehicles.clubCar();
  private static final Path MIDDLE = Path.centreline(OVAL, List.of());
  private static final SeatView SEAT = new SeatView(MIDDLE, CAR);

  private static double beforeM(Vehicle vehicle) {
    return vehicle.cgToFrontAxleM() - vehicle.eye().behindFrontAxleM();
  }

  /** Beside a straight: tan b = y / x. */
  @Test
  void besideAStraightTheBearingIsThatOfARightAngledTriangle() {
    double x = 40 - beforeM(CAR);
    assertThat(SEAT.bearingRad(300, new RoadPosition(340, 9)))
        .isCloseTo(Math.atan2(9, x), within(1e-3));
    assertThat(SEAT.bearingRad(300, new RoadPosition(340, -9)))
        .isCloseTo(-Math.atan2(9, x), within(1e-3));
    assertThat(SEAT.bearingRad(300, new RoadPosition(340, 0))).isCloseTo(0, within(1e-3));
  }

  /** Anywhere: the angle of JTS between the car's direction and the thing's. */
  @ParameterizedTest
  @ValueSource(doubles = {120, 690, 730, 780, 830, 900, 1500})
  void anywhereTheBearingIsTheAngleOfJts(double stationM) {
    Road road = OVAL;
    int i = road.indexOf(stationM);
    Coordinate here = new Coordinate(MIDDLE.xAt(i), MIDDLE.yAt(i));
    int next = road.wrap(i + 1);
    int last = road.wrap(i - 1);
    double heading =
        Angle.angle(
            new Coordinate(MIDDLE.xAt(last), MIDDLE.yAt(last)),
            new Coordinate(MIDDLE.xAt(next), MIDDLE.yAt(next)));
    Coordinate eye =
        new Coordinate(
            here.x + beforeM(CAR) * Math.cos(heading), here.y + beforeM(CAR) * Math.sin(heading));
    for (double ahead : new double[] {15, 40, 90}) {
      RoadPosition thing = new RoadPosition(road.wrapStation(stationM + ahead), 12);
      double[] at = thing.toPlane(road);
      double expected = Angle.angle(eye, new Coordinate(at[0], at[1])) - heading;
      assertThat(SEAT.bearingRad(road.stationAt(i), thing))
          .isCloseTo(Angle.normalize(expected), within(SAME_RAD));
    }
  }

  /** At 60° it is y / tan 60° ahead of the eye. */
  @ParameterizedTest
  @ValueSource(doubles = {6, 9, 20})
  void aThingLeavesSightWhereItsBearingIsSixtyDegrees(double asideM) {
    double leaves = SEAT.leavesSightM(new RoadPosition(340, asideM)).orElseThrow();
    assertThat(340 - leaves)
        .isCloseTo(asideM / Math.tan(Math.toRadians(60)) + beforeM(CAR), within(0.1));
    assertThat(Math.toDegrees(SEAT.bearingRad(leaves, new RoadPosition(340, asideM))))
        .isCloseTo(60, within(0.5));
  }

  /** Eyes farther back, or to one side, see it leave later or sooner by as much. */
  @Test
  void whereTheEyesAreCounts() {
    RoadPosition post = new RoadPosition(340, 9);
    double usual = SEAT.leavesSightM(post).orElseThrow();
    SeatView back = new SeatView(MIDDLE, CAR.withEye(new Eye(1.08, 2.5, 0)));
    assertThat(back.leavesSightM(post).orElseThrow() - usual).isCloseTo(1, within(0.05));
    SeatView left = new SeatView(MIDDLE, CAR.withEye(new Eye(1.08, 1.5, 0.4)));
    assertThat(left.leavesSightM(post).orElseThrow() - usual)
        .isCloseTo(0.4 / Math.tan(Math.toRadians(60)), within(0.05));
  }

  private static Mark post(String label, double atM, double asideM) {
    Side side = asideM > 0 ? Side.LEFT : Side.RIGHT;
    return new Mark(label, MarkType.MARSHAL_POST, side, atM, atM, asideM, null, 2.0, "");
  }

  private static SeatMarks marks(Mark... marks) {
    Circuit circuit = Circuit.bare("oval", TestRoads.circle(100, 5));
    Lap lap = SpeedProfile.solve(MIDDLE, CAR, Conditions.DEFAULT);
    return new SeatMarks(List.of(marks), new Sight(circuit, OVAL), lap);
  }

  @Test
  void aPointIsToldAsAThingLeavesSightOrSoManyMetresFromThere() {
    SeatMarks seat = marks(post("post 2", 340, 9));
    double leaves = SEAT.leavesSightM(new RoadPosition(340, 9)).orElseThrow();
    assertThat(seat.leaving(leaves + 1, 3).get(0).text()).isEqualTo("as post 2 leaves sight, left");
    MarkReference past = seat.leaving(leaves + 8, 3).get(0);
    assertThat(past.text()).isEqualTo("8 m past where post 2 leaves sight, left");
    assertThat(past.offsetM()).isCloseTo(8, within(0.01));
    assertThat(past.by()).isEqualTo(By.LEAVES_SIGHT);
    assertThat(seat.leaving(leaves + 14, 3)).isEmpty();
    Optional<MarkReference> chosen = seat.named(By.LEAVES_SIGHT, "post 2", leaves + 30);
    assertThat(chosen).isPresent();
    assertThat(seat.named(By.LEAVES_SIGHT, "post 2", leaves + 90)).isEmpty();
  }

  /** What stands where it does for good is as good as what is nine metres nearer and may go. */
  @Test
  void ofThingsThatLeaveSightTheNearestThatLastsComesFirst() {
    double leaves = SEAT.leavesSightM(new RoadPosition(340, -9)).orElseThrow();
    Mark fence = new Mark("fence", MarkType.FENCE_END, Side.RIGHT, 340, 340, -9, null, 2.0, "");
    assertThat(marks(fence, post("post", 332, -9)).leaving(leaves + 1, 3))
        .extracting(MarkReference::mark)
        .containsExactly("post", "fence");
    assertThat(marks(fence, post("post", 330, -9)).leaving(leaves + 1, 3))
        .extracting(MarkReference::mark)
        .containsExactly("fence", "post");
    assertThat(marks(fence, post("post", 330, -9)).leaving(leaves + 1, 1)).hasSize(1);
  }

  /** Of a fence that runs along the road either end may lie ahead, not too near and not too far. */
  @Test
  void ofALongThingTheEndThatLiesAheadIsAimedAt() {
    Mark near = new Mark("fence", MarkType.FENCE_END, Side.LEFT, 105, 250, 1, null, 2.0, "");
    Mark far = new Mark("fence", MarkType.FENCE_END, Side.LEFT, 250, 560, 1, null, 2.0, "");
    Mark wide = new Mark("fence", MarkType.FENCE_END, Side.LEFT, 105, 560, 1, null, 2.0, "");
    assertThat(marks(near).aims(100, 3)).hasSize(1);
    assertThat(marks(far).aims(100, 3)).hasSize(1);
    assertThat(marks(wide).aims(100, 3)).isEmpty();
  }

  /** A thing that may be gone next year counts like one that is nine tenths of a degree aside. */
  @Test
  void anAimThatLastsMayLieALittleAside() {
    Mark fence = new Mark("fence", MarkType.FENCE_END, Side.LEFT, 500, 500, 0.1, null, 2.0, "");
    assertThat(marks(fence, post("lamp", 500, 1.2)).aims(400, 3))
        .extracting(MarkReference::mark)
        .containsExactly("lamp", "fence");
    assertThat(marks(fence, post("lamp", 500, 2)).aims(400, 3))
        .extracting(MarkReference::mark)
        .containsExactly("fence", "lamp");
  }

  /** Two degrees to either side of the path's direction is an aim, more is none. */
  @Test
  void onlyWhatThePathLeadsTowardsIsAnAim() {
    SeatMarks seat = marks(post("dead ahead", 500, 3), post("aside", 500, 12));
    assertThat(Math.toDegrees(SEAT.bearingRad(400, new RoadPosition(500, 3)))).isLessThan(2);
    assertThat(Math.toDegrees(SEAT.bearingRad(400, new RoadPosition(500, 12)))).isGreaterThan(2);
    assertThat(seat.aims(400, 3))
        .extracting(MarkReference::text)
        .containsExactly("towards the dead ahead");
    assertThat(seat.named(By.AIM, "aside", 400)).isEmpty();
    assertThat(seat.aims(490, 3)).isEmpty();
  }

  /** What lies on the road or moves is neither passed from sight nor driven towards. */
  @Test
  void onlyWhatStandsAndStaysCounts() {
    Mark line = new Mark("line", MarkType.PAINT_LINE, Side.LEFT, 340, 340, 9, null, null, "");
    Mark cone = new Mark("cone", MarkType.CONE, Side.LEFT, 340, 340, 9, null, null, "");
    Mark over = new Mark("bridge", MarkType.BRIDGE, Side.OVER, 340, 340, 0, null, 5.0, "");
    SeatMarks seat = marks(line, cone, over);
    double leaves = SEAT.leavesSightM(new RoadPosition(340, 9)).orElseThrow();
    assertThat(seat.leaving(leaves, 3)).isEmpty();
    assertThat(seat.aims(200, 3))
        .extracting(MarkReference::text)
        .containsExactly("under the bridge");
  }

  /** Ten metres of way for a degree beside the direction, a twentieth of the way there. */
  @Test
  void theBestAimIsTheOneDeadAheadAndNotFar() {
    Mark aside = post("aside", 500, 2.5);
    Mark ahead = post("ahead", 500, 0.5);
    Mark nearer = post("nearer", 450, 1);
    assertThat(marks(aside, nearer, ahead).aims(400, 3))
        .extracting(MarkReference::mark)
        .containsExactly("ahead", "nearer", "aside");
    assertThat(marks(post("far", 600, 0.2), post("near", 440, 0.2)).aims(400, 1))
        .extracting(MarkReference::mark)
        .containsExactly("near");
    assertThat(marks(post("short of it", 418, 0.1)).aims(400, 3)).isEmpty();
  }
}
