package marvek.core.vehicle;

import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/**
 * A car or a motorcycle. Field names in errors are those of the car JSON.
 *
 * @param massKg without driver and fuel
 * @param cgHeightM of the loaded vehicle
 * @param frontWeightShare share of the static load on the front axle, of the loaded vehicle
 * @param trackWidthM distance of the wheels of an axle; 0 for a motorcycle
 */
public record Vehicle(
    String name,
    Kind kind,
    double massKg,
    double driverKg,
    double wheelbaseM,
    double cgHeightM,
    double frontWeightShare,
    double trackWidthM,
    double bodyWidthM,
    double lengthM,
    Drive drive,
    double driveFrontShare,
    Engine engine,
    Gearbox gearbox,
    Tyre tyre,
    Brakes brakes,
    Aero aero,
    double rollingResistance,
    Turning turning,
    Eye eye) {
  /** Two wheels or four. */
  public enum Kind {
    CAR,
    MOTORCYCLE
  }

  /** Driven wheels. */
  public enum Drive {
    FRONT,
    REAR,
    ALL
  }

  public Vehicle {
    Require.text("name", name, 120);
    Require.within("mass_kg", massKg, 20, 20_000);
    Require.within("driver_kg", driverKg, 0, 300);
    Require.within("wheelbase_m", wheelbaseM, 0.5, 8);
    Require.within("cgHeight_m", cgHeightM, 0, 3);
    Require.within("frontWeightShare", frontWeightShare, 0.05, 0.95);
    Require.within("trackWidth_m", trackWidthM, 0, 4);
    Require.within("bodyWidth_m", bodyWidthM, 0.2, 4);
    Require.within("length_m", lengthM, 0.5, 15);
    Require.within("driveFrontShare", driveFrontShare, 0, 1);
    Require.within("rollingResistance", rollingResistance, 0, 0.2);
    if (kind == Kind.MOTORCYCLE && drive != Drive.REAR) {
      throw new InvalidValueException(
          "drive", Sentence.of("refused.motorcycle-drive", "drive", drive));
    }
  }

  /** A vehicle whose driver's eyes are where they usually are. */
  public Vehicle(
      String name,
      Kind kind,
      double massKg,
      double driverKg,
      double wheelbaseM,
      double cgHeightM,
      double frontWeightShare,
      double trackWidthM,
      double bodyWidthM,
      double lengthM,
      Drive drive,
      double driveFrontShare,
      Engine engine,
      Gearbox gearbox,
      Tyre tyre,
      Brakes brakes,
      Aero aero,
      double rollingResistance,
      Turning turning) {
    this(
        name,
        kind,
        massKg,
        driverKg,
        wheelbaseM,
        cgHeightM,
        frontWeightShare,
        trackWidthM,
        bodyWidthM,
        lengthM,
        drive,
        driveFrontShare,
        engine,
        gearbox,
        tyre,
        brakes,
        aero,
        rollingResistance,
        turning,
        Eye.usual(kind));
  }

  /** Distance from the centre of gravity to the front axle [m]. */
  public double cgToFrontAxleM() {
    return (1 - frontWeightShare) * wheelbaseM;
  }

  /** Distance from the centre of gravity to the rear axle [m]. */
  public double cgToRearAxleM() {
    return frontWeightShare * wheelbaseM;
  }

  /** Number of wheels that carry it. */
  public int wheels() {
    return kind == Kind.MOTORCYCLE ? 2 : 4;
  }

  /** The same vehicle with another friction of its tyres. */
  public Vehicle withTyre(Tyre other) {
    return with(massKg, engine, gearbox, other, brakes, aero, turning);
  }

  /** The same vehicle heavier, or lighter, by some kilograms at its centre of gravity. */
  public Vehicle heavierBy(double kg) {
    return with(massKg + kg, engine, gearbox, tyre, brakes, aero, turning);
  }

  public Vehicle withEngine(Engine other) {
    return with(massKg, other, gearbox, tyre, brakes, aero, turning);
  }

  public Vehicle withGearbox(Gearbox other) {
    return with(massKg, engine, other, tyre, brakes, aero, turning);
  }

  public Vehicle withBrakes(Brakes other) {
    return with(massKg, engine, gearbox, tyre, other, aero, turning);
  }

  public Vehicle withAero(Aero other) {
    return with(massKg, engine, gearbox, tyre, brakes, other, turning);
  }

  public Vehicle withTurning(Turning other) {
    return with(massKg, engine, gearbox, tyre, brakes, aero, other);
  }

  /** The same vehicle with its driver's eyes elsewhere. */
  public Vehicle withEye(Eye other) {
    return with(massKg, engine, gearbox, tyre, brakes, aero, turning, other);
  }

  private Vehicle with(
      double mass,
      Engine otherEngine,
      Gearbox otherGearbox,
      Tyre otherTyre,
      Brakes otherBrakes,
      Aero otherAero,
      Turning otherTurning) {
    return with(
        mass, otherEngine, otherGearbox, otherTyre, otherBrakes, otherAero, otherTurning, eye);
  }

  private Vehicle with(
      double mass,
      Engine otherEngine,
      Gearbox otherGearbox,
      Tyre otherTyre,
      Brakes otherBrakes,
      Aero otherAero,
      Turning otherTurning,
      Eye otherEye) {
    return new Vehicle(
        name,
        kind,
        mass,
        driverKg,
        wheelbaseM,
        cgHeightM,
        frontWeightShare,
        trackWidthM,
        bodyWidthM,
        lengthM,
        drive,
        driveFrontShare,
        otherEngine,
        otherGearbox,
        otherTyre,
        otherBrakes,
        otherAero,
        rollingResistance,
        otherTurning,
        otherEye);
  }
}
