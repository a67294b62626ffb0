package marvek.core.car;

import java.time.LocalDate;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Vehicle;

/**
 * How a car is set up for a session. Null where the car's own value stands, or where nothing was
 * written down. The first part the model computes with, the second it only keeps.
 *
 * @param brakeFrontShare front share of the brakes, 0.2 to 0.95
 * @param finalDrive ratio of the final drive
 * @param cdAM2 drag area with this wing
 * @param clAM2 downforce area with this wing
 * @param aeroFrontShare share of the downforce at the front
 * @param gripFactor grip of these tyres over that of the car's own, 0.5 to 1.5
 * @param powerFactor power of this engine over that of the car's own, 0.5 to 1.5
 * @param fuelKg fuel at the session's begin
 * @param pressureFrontKpa cold, as the rear's
 * @param barFront setting of the front anti-roll bar, as it is counted on the car
 * @param wing setting of the wing, as it is counted on the car
 * @param tyres which tyres, and their laps
 */
public record SetupSheet(
    String name,
    LocalDate date,
    Double brakeFrontShare,
    Double finalDrive,
    Double cdAM2,
    Double clAM2,
    Double aeroFrontShare,
    Double gripFactor,
    Double powerFactor,
    Double fuelKg,
    Double pressureFrontKpa,
    Double pressureRearKpa,
    Double barFront,
    Double barRear,
    Double rideHeightFrontMm,
    Double rideHeightRearMm,
    Double wing,
    String tyres,
    String notes) {
  /** What fits a line, and a page of notes. */
  private static final int LONGEST_NAME = 120;

  private static final int LONGEST_NOTE = 2000;

  public SetupSheet {
    Require.text("name", name, LONGEST_NAME);
    range("brakeFrontShare", brakeFrontShare, 0.2, 0.95);
    range("finalDrive", finalDrive, 0.1, 50);
    range("cdA_m2", cdAM2, 0.01, 10);
    range("clA_m2", clAM2, 0, 20);
    range("aeroFrontShare", aeroFrontShare, 0, 1);
    range("gripFactor", gripFactor, 0.5, 1.5);
    range("powerFactor", powerFactor, 0.5, 1.5);
    range("fuel_kg", fuelKg, 0, 500);
    range("pressureFront_kpa", pressureFrontKpa, 20, 500);
    range("pressureRear_kpa", pressureRearKpa, 20, 500);
    range("barFront", barFront, -100, 100);
    range("barRear", barRear, -100, 100);
    range("rideHeightFront_mm", rideHeightFrontMm, 0, 500);
    range("rideHeightRear_mm", rideHeightRearMm, 0, 500);
    range("wing", wing, -100, 100);
    tyres = shortEnough("tyres", tyres, LONGEST_NAME);
    notes = shortEnough("notes", notes, LONGEST_NOTE);
  }

  private static void range(String field, Double value, double low, double high) {
    if (value != null) {
      Require.within(field, value, low, high);
    }
  }

  private static String shortEnough(String field, String text, int longest) {
    if (text != null && text.length() > longest) {
      throw new InvalidValueException(
          field, Sentence.of("refused.too-long", "given", text.length(), "most", longest));
    }
    return text == null ? "" : text;
  }

  /** The car with what the model computes with. */
  public Vehicle onto(Vehicle car) {
    Vehicle set = car;
    if (brakeFrontShare != null) {
      set = set.withBrakes(new Brakes(car.brakes().maxForceN(), brakeFrontShare));
    }
    if (finalDrive != null) {
      set = set.withGearbox(set.gearbox().withFinalDrive(finalDrive));
    }
    if (gripFactor != null) {
      set = set.withTyre(car.tyre().times(gripFactor));
    }
    if (powerFactor != null) {
      set = set.withEngine(set.engine().scaled(powerFactor));
    }
    Aero air = car.aero();
    return set.withAero(
        new Aero(
            otherwise(cdAM2, air.cdAM2()),
            otherwise(clAM2, air.clAM2()),
            otherwise(aeroFrontShare, air.frontShare())));
  }

  private static double otherwise(Double own, double car) {
    return own == null ? car : own;
  }

  /** The same sheet with other fuel. */
  public SetupSheet withFuelKg(Double kg) {
    return new SetupSheet(
        name,
        date,
        brakeFrontShare,
        finalDrive,
        cdAM2,
        clAM2,
        aeroFrontShare,
        gripFactor,
        powerFactor,
        kg,
        pressureFrontKpa,
        pressureRearKpa,
        barFront,
        barRear,
        rideHeightFrontMm,
        rideHeightRearMm,
        wing,
        tyres,
        notes);
  }

  /** The same sheet with another grip, power and drag area; null leaves the car's own. */
  public SetupSheet calibrated(Double grip, Double power, Double dragAreaM2) {
    return new SetupSheet(
        name,
        date,
        brakeFrontShare,
        finalDrive,
        dragAreaM2,
        clAM2,
        aeroFrontShare,
        grip,
        power,
        fuelKg,
        pressureFrontKpa,
        pressureRearKpa,
        barFront,
        barRear,
        rideHeightFrontMm,
        rideHeightRearMm,
        wing,
        tyres,
        notes);
  }

  /** A sheet with nothing but a name. */
  public static SetupSheet named(String name) {
    return new SetupSheet(
        name, null, null, null, null, null, null, null, null, null, null, null, null, null, null,
        null, null, "", "");
  }
}
