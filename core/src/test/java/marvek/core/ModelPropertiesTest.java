package marvek.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.circuit.Survey;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.CornerPage;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

/** What must hold on any road, with any car. */
class ModelPropertiesTest {
  /** A closed lap of random corners: the same half twice, turned by 180°. */
  private static Survey randomLap(int seed) {
    Random random = new Random(seed);
    int corners = 2 + random.nextInt(3);
    double[] angles = new double[corners];
    double sum = 0;
    for (int c = 0; c < corners - 1; c++) {
      angles[c] = (random.nextBoolean() ? 1 : -1) * (40 + 90 * random.nextDouble());
      sum += angles[c];
    }
    angles[corners - 1] = 180 - sum;
    long drawing = random.nextLong();
    return TestRoads.pointSymmetric(
        5,
        road -> {
          Random r = new Random(drawing);
          for (double angle : angles) {
            road.straight(80 + 300 * r.nextDouble());
            if (Math.abs(angle) > 25) {
              road.corner(25 + 70 * r.nextDouble(), angle, 8 + 4 * r.nextDouble());
            } else {
              road.bend(
                  Math.abs(Math.toRadians(angle)) * 200, sign(angle) / 200, sign(angle) / 200);
            }
          }
        });
  }

  private static double sign(double angle) {
    return Math.signum(angle);
  }

  private static Vehicle vehicle(int which) {
    return switch (which) {
      case 0 -> TestVehicles.clubCar();
      case 1 -> TestVehicles.car(Vehicle.Drive.FRONT, 0.5, 0.7, 0.1, 0.68);
      case 2 -> TestVehicles.car(Vehicle.Drive.ALL, 0.45, 1.1, 3.0, 0.58);
      default -> TestVehicles.motorcycle();
    };
  }

  @Property(tries = 40, seed = "20261124", shrinking = ShrinkingMode.OFF)
  void moreGripIsNeverSlower(
      @ForAll @IntRange(max = 10_000) int road,
      @ForAll @IntRange(max = 3) int car,
      @ForAll @DoubleRange(min = 0.5, max = 0.97) double grip) {
    Path path = Path.centreline(Road.through(randomLap(road)), List.of());
    Conditions less = Conditions.DEFAULT.withGripUsed(grip);
    Conditions more = Conditions.DEFAULT.withGripUsed(grip + 0.03);
    double slower = SpeedProfile.solve(path, vehicle(car), less).timeS();
    double quicker = SpeedProfile.solve(path, vehicle(car), more).timeS();
    // Gears are chosen on a grid of samples: two thousandths of a second are its grain.
    assertThat(quicker).isLessThanOrEqualTo(slower + 0.002 * slower / 60);
  }

  @Property(tries = 25, seed = "20261124", shrinking = ShrinkingMode.OFF)
  void lessPowerIsNeverQuicker(
      @ForAll @IntRange(max = 10_000) int road,
      @ForAll @DoubleRange(min = 0, max = 80) double fuel) {
    Path path = Path.centreline(Road.through(randomLap(road)), List.of());
    Conditions c = Conditions.DEFAULT;
    Conditions heavy =
        new Conditions(c.surface(), c.tyres(), c.gripUsed(), fuel, 0, 0, 18, 1013.25, 0, 0, 0);
    double light = SpeedProfile.solve(path, TestVehicles.clubCar(), c).timeS();
    assertThat(SpeedProfile.solve(path, TestVehicles.clubCar(), heavy).timeS())
        .isGreaterThanOrEqualTo(light - 0.002 * light / 60);
  }

  @Property(tries = 12, seed = "20261124", shrinking = ShrinkingMode.OFF)
  void aMirroredCircuitGivesMirroredPages(@ForAll @IntRange(max = 10_000) int road) {
    Survey survey = randomLap(road);
    List<CornerPage> pages = pages(survey);
    List<CornerPage> mirrored = pages(TestRoads.mirrored(survey));
    assertThat(mirrored).hasSameSizeAs(pages);
    for (int c = 0; c < pages.size(); c++) {
      CornerPage a = pages.get(c);
      CornerPage b = mirrored.get(c);
      assertThat(b.direction()).isEqualTo(a.direction() == Side.LEFT ? Side.RIGHT : Side.LEFT);
      assertThat(b.lowestSpeedMps()).isCloseTo(a.lowestSpeedMps(), within(0.02));
      assertThat(b.timeS()).isCloseTo(a.timeS(), within(0.01));
      assertThat(b.gears().corner()).isEqualTo(a.gears().corner());
      assertThat(b.apexes().get(0).offsetM()).isCloseTo(-a.apexes().get(0).offsetM(), within(0.05));
      if (a.brake().atM() != null) {
        assertThat(b.brake().atM()).isCloseTo(a.brake().atM(), within(1.01));
      }
    }
  }

  private static List<CornerPage> pages(Survey survey) {
    Circuit circuit = Circuit.bare("Random", survey);
    Reference.Basis basis =
        Reference.basis(circuit, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH);
    return Reference.on(basis, Conditions.DEFAULT, List.of()).pages();
  }

  @Property(tries = 15, seed = "20261124", shrinking = ShrinkingMode.OFF)
  void theSmoothLineIsNeverSlowerThanTheCentreline(@ForAll @IntRange(max = 10_000) int road) {
    Circuit circuit = Circuit.bare("Random", randomLap(road));
    Conditions c = Conditions.DEFAULT;
    double[] time = new double[2];
    for (ChosenLine line : List.of(ChosenLine.SMOOTH, ChosenLine.CENTRELINE)) {
      Reference.Basis basis = Reference.basis(circuit, TestVehicles.clubCar(), c, line);
      time[line == ChosenLine.SMOOTH ? 0 : 1] = Reference.on(basis, c, List.of()).lap().timeS();
    }
    assertThat(time[0]).isLessThan(time[1]);
  }
}
