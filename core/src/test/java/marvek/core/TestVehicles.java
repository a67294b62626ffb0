package marvek.core;

import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Turning;
import marvek.core.vehicle.Tyre;
import marvek.core.vehicle.Vehicle;

/** Invented vehicles for tests, from a plain club car to a bare mass with tyres. */
public final class TestVehicles {
  private TestVehicles() {}

  public static final Conditions FULL_GRIP = Conditions.DEFAULT.withGripUsed(1);

  public static Vehicle clubCar() {
    return car(Vehicle.Drive.REAR, 0.46, 0.85, 1.1, 0.60);
  }

  public static Vehicle car(
      Vehicle.Drive drive, double cgHeight, double cdA, double clA, double brakeShare) {
    return new Vehicle(
        "Club car",
        Vehicle.Kind.CAR,
        1180,
        80,
        2.55,
        cgHeight,
        0.47,
        1.62,
        1.95,
        4.5,
        drive,
        0,
        engine(),
        gearbox(),
        new Tyre(1.35, 1.40, 0.33, 3000, 0),
        new Brakes(22000, brakeShare),
        new Aero(cdA, clA, 0.42),
        0.014,
        Turning.USUAL);
  }

  /** No air, no rolling, no height, all wheels: what remains is friction, as in the textbooks. */
  public static Vehicle pointMass(double mu) {
    return bare(Vehicle.Drive.ALL, 0, 0.5, mu, new Brakes(900_000, 0.5), engine(), gearbox(), 0);
  }

  /** A tonne on a wheelbase of 2.5 m without rolling resistance or downforce. */
  public static Vehicle bare(
      Vehicle.Drive drive,
      double cgHeight,
      double frontWeight,
      double mu,
      Brakes brakes,
      Engine engine,
      Gearbox gearbox,
      double cdA) {
    return new Vehicle(
        "Bare",
        Vehicle.Kind.CAR,
        1000,
        0,
        2.5,
        cgHeight,
        frontWeight,
        1.6,
        1.8,
        4.2,
        drive,
        0.5,
        engine,
        gearbox,
        new Tyre(mu, mu, 0.33, 3000, 0),
        brakes,
        new Aero(cdA, 0, 0.5),
        0,
        Turning.USUAL);
  }

  public static Vehicle motorcycle() {
    return new Vehicle(
        "Motorcycle",
        Vehicle.Kind.MOTORCYCLE,
        170,
        80,
        1.42,
        0.62,
        0.5,
        0,
        0.7,
        2.1,
        Vehicle.Drive.REAR,
        0,
        new Engine(new double[] {4000, 9000, 13000}, new double[] {60, 85, 80}, 1300, 14000, 8),
        new Gearbox(new double[] {2.6, 2.1, 1.75, 1.5, 1.35, 1.22}, 5.0, 0.94, 0.03, 0.1),
        new Tyre(1.3, 1.3, 0.31, 1200, 0),
        new Brakes(4000, 0.9),
        new Aero(0.33, 0, 0.5),
        0.015,
        Turning.USUAL);
  }

  public static Engine engine() {
    return new Engine(
        new double[] {1500, 3000, 5200, 7200}, new double[] {210, 300, 340, 300}, 1100, 7400, 60);
  }

  public static Gearbox gearbox() {
    return new Gearbox(new double[] {2.9, 2.1, 1.6, 1.3, 1.08, 0.92}, 3.9, 0.92, 0.06, 0.12);
  }
}
