package marvek.core.car;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Vehicle;

/** Two setup sheets of a car laid side by side: what differs, and what the model can say of it. */
public final class SheetComparison {
  private SheetComparison() {}

  /**
   * A value that differs.
   *
   * @param field name as in the sheet's file
   * @param lostS what the second sheet's value costs on the lap in the first one's place; null
   *     where the model does not know
   * @param words what the model can or cannot say
   */
  public record Difference(
      String field, String first, String second, Double lostS, Sentence words) {}

  /**
   * All differences and what the second sheet as a whole costs.
   *
   * @param lostS by what the model can compute of it
   */
  public record Result(double lostS, List<Difference> differences) {
    public Result {
      differences = List.copyOf(differences);
    }
  }

  private record Field(String name, Function<SetupSheet, Object> value, String code) {}

  private static final List<Field> COMPUTED =
      List.of(
          new Field("brakeFrontShare", SetupSheet::brakeFrontShare, "sheet.braking"),
          new Field("finalDrive", SetupSheet::finalDrive, "sheet.gears"),
          new Field("cdA_m2", SetupSheet::cdAM2, "sheet.drag"),
          new Field("clA_m2", SetupSheet::clAM2, "sheet.downforce"),
          new Field("aeroFrontShare", SetupSheet::aeroFrontShare, "sheet.traction"),
          new Field("gripFactor", SetupSheet::gripFactor, "sheet.tyres"),
          new Field("powerFactor", SetupSheet::powerFactor, "sheet.torque"),
          new Field("fuel_kg", SetupSheet::fuelKg, "sheet.mass"));

  private static final List<Field> KEPT =
      List.of(
          new Field("pressureFront_kpa", SetupSheet::pressureFrontKpa, "sheet.measure"),
          new Field("pressureRear_kpa", SetupSheet::pressureRearKpa, "sheet.measure"),
          new Field("barFront", SetupSheet::barFront, "sheet.axles"),
          new Field("barRear", SetupSheet::barRear, "sheet.axles"),
          new Field("rideHeightFront_mm", SetupSheet::rideHeightFrontMm, "sheet.measure"),
          new Field("rideHeightRear_mm", SetupSheet::rideHeightRearMm, "sheet.measure"),
          new Field("wing", SetupSheet::wing, "sheet.setting"),
          new Field("tyres", SetupSheet::tyres, "sheet.measure"));

  /**
   * Compares on a line.
   *
   * @param car without either sheet
   * @param on a lap that gives the line and the conditions
   */
  public static Result of(Vehicle car, Lap on, SetupSheet first, SetupSheet second) {
    double base = seconds(car, on, first);
    List<Difference> differences = new ArrayList<>();
    for (Field field : COMPUTED) {
      if (differ(field, first, second)) {
        double alone = seconds(car, on, with(first, second, field.name())) - base;
        differences.add(difference(field, first, second, alone));
      }
    }
    for (Field field : KEPT) {
      if (differ(field, first, second)) {
        differences.add(difference(field, first, second, null));
      }
    }
    return new Result(seconds(car, on, second) - base, differences);
  }

  private static boolean differ(Field field, SetupSheet first, SetupSheet second) {
    return !Objects.equals(field.value().apply(first), field.value().apply(second));
  }

  private static Difference difference(
      Field field, SetupSheet first, SetupSheet second, Double lostS) {
    return new Difference(
        field.name(),
        told(field.value().apply(first)),
        told(field.value().apply(second)),
        lostS,
        Sentence.of(field.code()));
  }

  private static String told(Object value) {
    return value == null || value.equals("") ? "" : value.toString();
  }

  private static double seconds(Vehicle car, Lap on, SetupSheet sheet) {
    Conditions day =
        sheet.fuelKg() == null ? on.conditions() : on.conditions().withFuelKg(sheet.fuelKg());
    return SpeedProfile.solve(on.path(), sheet.onto(car), day).timeS();
  }

  /** The first sheet with one computed value of the second. */
  private static SetupSheet with(SetupSheet a, SetupSheet b, String field) {
    return new SetupSheet(
        a.name(),
        a.date(),
        field.equals("brakeFrontShare") ? b.brakeFrontShare() : a.brakeFrontShare(),
        field.equals("finalDrive") ? b.finalDrive() : a.finalDrive(),
        field.equals("cdA_m2") ? b.cdAM2() : a.cdAM2(),
        field.equals("clA_m2") ? b.clAM2() : a.clAM2(),
        field.equals("aeroFrontShare") ? b.aeroFrontShare() : a.aeroFrontShare(),
        field.equals("gripFactor") ? b.gripFactor() : a.gripFactor(),
        field.equals("powerFactor") ? b.powerFactor() : a.powerFactor(),
        field.equals("fuel_kg") ? b.fuelKg() : a.fuelKg(),
        a.pressureFrontKpa(),
        a.pressureRearKpa(),
        a.barFront(),
        a.barRear(),
        a.rideHeightFrontMm(),
        a.rideHeightRearMm(),
        a.wing(),
        a.tyres(),
        a.notes());
  }
}
