package marvek.core.measured;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import marvek.core.Require;
import marvek.core.laps.AlongLap;
import marvek.core.laps.GearRatios;
import marvek.core.measured.CarValue.Kind;
import marvek.core.profile.Lap;
import marvek.core.review.MeasuredCar;
import marvek.core.vehicle.Vehicle;

/**
 * A whole car from its laps. Two things laps cannot tell: what the car weighs, since forces show
 * over the mass alone, and how much of the tyres' grip the driver leaves. One number each settles
 * them; until somebody gives it, the book's stands.
 *
 * @param values that the laps tell, in the order of {@link Kind}
 * @param massKg with driver and fuel, that forces are told at
 * @param gripUsed share of the tyres' grip that the driver uses
 */
public record CarFromLaps(List<CarValue> values, double massKg, double gripUsed) {
  /** Of fewer laps nothing is said. */
  public static final int LEAST_LAPS = 3;

  public CarFromLaps {
    values = List.copyOf(values);
  }

  /**
   * The car of some laps at the book's mass and share of grip.
   *
   * @param page the page's lap, in whose car and on whose line they were driven
   * @param pageAlong the same, read as the laps are
   * @param gears that their recordings tell
   */
  public static CarFromLaps of(
      Lap page, AlongLap pageAlong, List<AlongLap> laps, List<GearRatios.Ratio> gears) {
    List<CarValue> values = new ArrayList<>();
    if (laps.size() >= LEAST_LAPS) {
      pullAndDrag(page, laps, values);
      DrivelineOfLaps driveline = new DrivelineOfLaps(page, laps);
      driveline.engineBraking().ifPresent(values::add);
      values.addAll(DrivelineOfLaps.ratios(page.vehicle(), gears));
      driveline.upshift().ifPresent(values::add);
      GripOfLaps grip = new GripOfLaps(page, pageAlong, laps);
      values.addAll(grip.across());
      grip.along().ifPresent(values::add);
    }
    values.sort(Comparator.comparing(CarValue::kind).thenComparingInt(CarValue::gear));
    return new CarFromLaps(values, page.forces().massKg(), page.conditions().gripUsed());
  }

  private static void pullAndDrag(Lap page, List<AlongLap> laps, List<CarValue> values) {
    MeasuredCar.of(page, laps)
        .ifPresent(
            car -> {
              Vehicle book = page.vehicle();
              double area = book.aero().cdAM2();
              MeasuredCar.Factor drag = car.drag();
              values.add(
                  new CarValue(
                      Kind.POWER, 0, 1, car.power().value(), car.power().error(), car.stretches()));
              values.add(
                  new CarValue(
                      Kind.DRAG_AREA,
                      0,
                      area,
                      drag.value() * area,
                      drag.error() * area,
                      car.stretches()));
            });
  }

  /**
   * The same of a car that was weighed.
   *
   * @param kg with driver and fuel
   */
  public CarFromLaps weighing(double kg) {
    Require.within("mass_kg", kg, 0.5 * massKg, 2 * massKg);
    double times = kg / massKg;
    return new CarFromLaps(values.stream().map(v -> v.atMass(times)).toList(), kg, gripUsed);
  }

  /** The same where the driver uses another share of the grip, 0.5 to 1. */
  public CarFromLaps using(double share) {
    Require.within("gripUsed", share, 0.5, 1);
    double times = gripUsed / share;
    return new CarFromLaps(values.stream().map(v -> v.gripTimes(times)).toList(), massKg, share);
  }

  /** What is another value than the book's beyond doubt. */
  public List<CarValue> differing() {
    return values.stream().filter(CarValue::differs).toList();
  }
}
