package marvek.core.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.drive.OwnPedals.Shape;
import marvek.core.profile.Drive;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.profile.UsedGrip;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What a foot does at a place, of what the lap's foot does at the place that belongs to it: each
 * mapping by hand. The lap's own trace is that of a real braking zone, so that a wrong place has
 * another pressure.
 */
class OwnPedalsTest {
  private static final Path PATH = Path.centreline(Road.through(TestRoads.varied(5)), List.of());
  private final Lap lap = SpeedProfile.solve(PATH, TestVehicles.clubCar(), TestVehicles.FULL_GRIP);

  /** From 240 m on; the first corner begins at 400 m. Positions are metres from there. */
  private static final int START = PATH.road().indexOf(240);

  private static final CornerPoints OF = new CornerPoints(60, 75, 105, 150, 160, 200, 50);

  /** A trace that rises with every metre would do; here the feet of the lap without delay. */
  private final PedalTrace trace =
      PedalTrace.of(
          lap,
          UsedGrip.of(lap),
          new Drive.Part(START, 300, 0, 1e9),
          new CornerPoints(
              Double.POSITIVE_INFINITY,
              Double.POSITIVE_INFINITY,
              0,
              Double.POSITIVE_INFINITY,
              160,
              200,
              50));

  private OwnPedals pedals(CornerPoints wanted, Shape shape) {
    return new OwnPedals(trace, OF, wanted, shape);
  }

  private static CornerPoints points(
      double act, double brake, double turnIn, double release, double first, double full) {
    return new CornerPoints(act, brake, turnIn, release, first, full, 50);
  }

  /** The trace: what each element of the lap asks, in the middle of it, linear between. */
  @Test
  void withoutAWayOfTheFootTheTraceIsTheLaps() {
    Road road = PATH.road();
    for (int k = 0; k < 300; k++) {
      int i = road.wrap(START + k);
      double middle = (k + 0.5) * road.stepM();
      assertThat(trace.brakeShare(middle)).isCloseTo(lap.elementBrakeShareAt(i), within(1e-9));
      assertThat(trace.throttleShare(middle))
          .isCloseTo(lap.elementThrottleShareAt(i), within(1e-9));
    }
    double a = trace.brakeShare(110.5 * road.stepM());
    double b = trace.brakeShare(111.5 * road.stepM());
    assertThat(trace.brakeShare(110.75 * road.stepM()))
        .isCloseTo(0.75 * a + 0.25 * b, within(1e-9));
    assertThat(trace.brakeShare(-5)).isEqualTo(trace.brakeShare(0));
    assertThat(trace.brakeShare(5000)).isEqualTo(trace.brakeShare(299.5 * road.stepM()));
  }

  @Test
  void theLapsOwnPointsAreTheLapsOwnFeet() {
    OwnPedals same = pedals(OF, Shape.SAME);
    for (double m = 0; m < 290; m += 0.7) {
      double brake = trace.brakeShare(m);
      assertThat(same.brakeShare(m)).as("%.1f m", m).isCloseTo(Math.min(1, brake), within(1e-9));
      boolean off = m >= 60 && m < 160;
      double throttle = off ? 0 : trace.throttleShare(m < 60 ? Math.min(m, 59.5) : m);
      assertThat(same.throttleShare(m)).as("%.1f m", m).isCloseTo(throttle, within(1e-9));
    }
  }

  /** Six metres later on the brakes: the way to the turn-in is compressed, behind it all stays. */
  @ParameterizedTest
  @CsvSource({
    // wanted m, lap's m: from 81..105 to 75..105, and 66..81 to 60..75
    "70, 64",
    "81, 75",
    "93, 90",
    "102, 101.25",
    "105, 105",
    "120, 120",
    "149, 149"
  })
  void laterOnTheBrakesCompressesTheWayToTheTurnIn(double wantedM, double lapsM) {
    OwnPedals later = pedals(points(66, 81, 105, 150, 160, 200), Shape.SAME);
    assertThat(later.brakeShare(wantedM))
        .isCloseTo(Math.min(1, trace.brakeShare(lapsM)), within(1e-9));
    assertThat(later.brakeShare(62)).isZero();
    assertThat(later.throttleShare(62)).isEqualTo(trace.throttleShare(59.5));
    assertThat(later.throttleShare(40)).isEqualTo(trace.throttleShare(40));
  }

  /** Twenty metres longer on the brake: the last fifth is stretched, what came before stays. */
  @ParameterizedTest
  @CsvSource({
    // the tail begins at 105 + 0.8 · 45 = 141 m; 141..170 to 141..150
    "90, 90",
    "120, 120",
    "141, 141",
    "155.5, 145.5",
    "169, 149.6896551724"
  })
  void longerOnTheBrakeStretchesTheLastFifth(double wantedM, double lapsM) {
    OwnPedals longer = pedals(points(60, 75, 105, 170, 170, 210), Shape.SAME);
    assertThat(longer.brakeShare(wantedM))
        .isCloseTo(Math.min(1, trace.brakeShare(lapsM)), within(1e-7));
    assertThat(longer.brakeShare(170)).isCloseTo(trace.brakeShare(170), within(1e-9));
    assertThat(longer.throttleShare(168)).isZero();
  }

  /** Sooner off the brake: what is left of it from the turn-in on is compressed. */
  @ParameterizedTest
  @CsvSource({"90, 90", "105, 105", "112.5, 120", "127, 149"})
  void soonerOffTheBrakeCompressesTheTrail(double wantedM, double lapsM) {
    OwnPedals sooner = pedals(points(60, 75, 105, 127.5, 140, 200), Shape.SAME);
    assertThat(sooner.brakeShare(wantedM))
        .isCloseTo(Math.min(1, trace.brakeShare(lapsM)), within(1e-9));
    assertThat(sooner.brakeShare(130)).isZero();
    assertThat(sooner.brakeShare(149)).isZero();
    assertThat(sooner.brakeShare(151)).isEqualTo(trace.brakeShare(151));
  }

  /** A turn-in of one's own moves the pressures with it; one beside the brake point does not. */
  @Test
  void aTurnInOfOnesOwnMovesThePressures() {
    OwnPedals later = pedals(points(60, 75, 120, 150, 160, 200), Shape.SAME);
    assertThat(later.brakeShare(97.5)).isCloseTo(Math.min(1, trace.brakeShare(90)), within(1e-9));
    assertThat(later.brakeShare(135)).isCloseTo(Math.min(1, trace.brakeShare(127.5)), within(1e-9));
    for (double turnIn : new double[] {76, 149}) {
      OwnPedals beside = pedals(points(60, 75, turnIn, 150, 160, 200), Shape.SAME);
      assertThat(beside.brakeShare(97.5)).isCloseTo(trace.brakeShare(97.5), within(1e-9));
    }
  }

  /** From the first pressure to that at turn-in over the last two fifths of the way between. */
  @ParameterizedTest
  @CsvSource({"75, 0.8", "90, 0.8", "93, 0.8", "99, 0.65", "104, 0.525", "105, 0.5", "140, 0.5"})
  void pressuresOfOnesOwnBleedOverTheLastOfTheWay(double metres, double factor) {
    OwnPedals own = pedals(OF, new Shape(0.8, 0.5));
    assertThat(own.brakeShare(metres)).isCloseTo(factor * trace.brakeShare(metres), within(1e-9));
  }

  @Test
  void moreThanAllOfTheBrakeIsAllOfIt() {
    assertThat(pedals(OF, new Shape(50, 50)).brakeShare(100)).isEqualTo(1);
    Shape half = new Shape(0.8, 0.5).times(0.5);
    assertThat(half).isEqualTo(new Shape(0.4, 0.25));
    OwnPedals shaped = pedals(OF, half);
    assertThat(shaped.brakeShare(80)).isCloseTo(0.4 * trace.brakeShare(80), within(1e-9));
    // A turn-in before the brakes are on has no pressure of its own.
    OwnPedals early = pedals(points(60, 75, 76, 150, 160, 200), new Shape(0.8, 0.5));
    assertThat(early.brakeShare(140)).isCloseTo(0.8 * trace.brakeShare(140), within(1e-9));
  }

  /** The whole braking begun later, but no nearer to its release than two metres. */
  @Test
  void brakingLaterMovesItsBegin() {
    OwnPedals later = pedals(OF, Shape.SAME).brakingLater(6);
    assertThat(later.brakeShare(93)).isCloseTo(Math.min(1, trace.brakeShare(90)), within(1e-9));
    assertThat(later.brakeShare(65)).isZero();
    OwnPedals most = pedals(OF, Shape.SAME).brakingLater(500);
    assertThat(most.brakeShare(132)).isZero();
    assertThat(most.brakeShare(149)).isPositive();
  }

  /** Earlier or later on the throttle, and full: mapped between the points, then as the lap. */
  @Test
  void theThrottleIsStretchedBetweenItsPoints() {
    OwnPedals later = pedals(points(60, 75, 105, 150, 170, 220), Shape.SAME);
    assertThat(later.throttleShare(149)).isZero();
    assertThat(later.throttleShare(160)).isCloseTo(trace.throttleShare(155), within(1e-9));
    assertThat(later.throttleShare(195)).isCloseTo(trace.throttleShare(180), within(1e-9));
    assertThat(later.throttleShare(240)).isCloseTo(trace.throttleShare(240), within(1e-9));
    OwnPedals soon = pedals(points(60, 75, 105, 150, 150.3, 190), Shape.SAME);
    assertThat(soon.throttleShare(150.3)).isCloseTo(trace.throttleShare(160), within(1e-9));
    assertThat(soon.throttleShare(170.15)).isCloseTo(trace.throttleShare(180), within(1e-9));
    OwnPedals earlierFull = pedals(points(60, 75, 105, 150, 160, 180), Shape.SAME);
    assertThat(earlierFull.throttleShare(190)).isCloseTo(trace.throttleShare(200), within(1e-9));
    assertThat(earlierFull.throttleShare(205)).isCloseTo(trace.throttleShare(205), within(1e-9));
  }

  /** A corner that is not braked keeps the lap's feet, but for the throttle. */
  @Test
  void aLiftHasNoBrake() {
    double never = Double.POSITIVE_INFINITY;
    CornerPoints lift = new CornerPoints(never, never, 105, never, 160, 200, 50);
    CornerPoints later = new CornerPoints(never, never, 105, never, 165, 200, 50);
    OwnPedals own = new OwnPedals(trace, lift, later, Shape.SAME);
    assertThat(own.brakeShare(120)).isEqualTo(trace.brakeShare(120));
    assertThat(own.throttleShare(165)).isCloseTo(trace.throttleShare(160), within(1e-9));
    assertThat(own.throttleShare(30)).isCloseTo(trace.throttleShare(25), within(1e-9));
  }
}
