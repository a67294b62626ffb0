package marvek.core.car;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Path;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Tyre;
import marvek.core.vehicle.Vehicle;

/** What a change of the car does to a lap on the same line, each from a run of the model. */
public final class Sensitivities {
  /**
   * Sizes of change that a driver can picture: five per cent, a tenth, a passenger, a slow hand.
   */
  private static final double GRIP = 0.95;

  private static final double POWER = 0.95;
  private static final double TENTH_MORE = 1.1;
  private static final double MASS_KG = 50;
  private static final double SHIFT_S = 0.1;

  private Sensitivities() {}

  /** What is changed. */
  public enum Change {
    MASS_50_KG_MORE,
    GRIP_5_PCT_LESS,
    POWER_5_PCT_LESS,
    DRAG_10_PCT_MORE,
    DOWNFORCE_10_PCT_MORE,
    BRAKE_FORCE_10_PCT_MORE,
    UPSHIFT_TENTH_LONGER
  }

  /**
   * One change and what it does.
   *
   * @param lostS time lost on the lap; negative where it gains
   * @param topSpeedMps highest speed with it
   */
  public record Effect(Change change, double lostS, double topSpeedMps) {}

  /** All changes that apply to a car, on the line of its lap. */
  public static List<Effect> of(Lap lap) {
    List<Effect> effects = new ArrayList<>();
    for (Change change : Change.values()) {
      if (change != Change.DOWNFORCE_10_PCT_MORE || lap.vehicle().aero().clAM2() > 0) {
        effects.add(effect(lap, change));
      }
    }
    return effects;
  }

  private static Effect effect(Lap lap, Change change) {
    Path path = lap.path();
    Conditions conditions = lap.conditions();
    Lap changed = SpeedProfile.solve(path, changed(lap.vehicle(), change), conditions);
    return new Effect(change, changed.timeS() - lap.timeS(), changed.topSpeedMps());
  }

  static Vehicle changed(Vehicle v, Change change) {
    Aero air = v.aero();
    return switch (change) {
      case MASS_50_KG_MORE -> v.heavierBy(MASS_KG);
      case GRIP_5_PCT_LESS -> v.withTyre(withGrip(v.tyre(), GRIP));
      case POWER_5_PCT_LESS -> v.withEngine(v.engine().scaled(POWER));
      case DRAG_10_PCT_MORE ->
          v.withAero(new Aero(TENTH_MORE * air.cdAM2(), air.clAM2(), air.frontShare()));
      case DOWNFORCE_10_PCT_MORE ->
          v.withAero(new Aero(air.cdAM2(), TENTH_MORE * air.clAM2(), air.frontShare()));
      case BRAKE_FORCE_10_PCT_MORE ->
          v.withBrakes(new Brakes(TENTH_MORE * v.brakes().maxForceN(), v.brakes().frontShare()));
      case UPSHIFT_TENTH_LONGER ->
          v.withGearbox(v.gearbox().withUpshiftS(v.gearbox().upshiftS() + SHIFT_S));
    };
  }

  private static Tyre withGrip(Tyre tyre, double factor) {
    return new Tyre(
        factor * tyre.muLateral(),
        factor * tyre.muLongitudinal(),
        tyre.radiusM(),
        tyre.referenceLoadN(),
        tyre.loadSensitivity());
  }
}
