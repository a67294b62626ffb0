package marvek.core.brief;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.circuit.Zone;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Conditions.Surface;
import marvek.core.conditions.Conditions.TyreState;
import marvek.core.conditions.SurfacePart;
import marvek.core.vehicle.Vehicle;

/** A day other than the one that a reference is made for: one thing of it is different. */
public enum Day {
  DRY,
  DAMP,
  WET,
  /** Damp, and wet still where it dries last. */
  DRYING,
  COLD_FIRST_LAP,
  COLD_SECOND_LAP,
  COLD_THIRD_LAP,
  WORN_TYRES,
  HEAVY_FUEL,
  LIGHT_FUEL,
  /** Wind against the car on the longest straight. */
  HEAD_WIND,
  /** Wind from behind on the longest straight. */
  TAIL_WIND,
  /** Wind across the longest straight, from its left. */
  CROSS_WIND,
  /** A thousand metres higher; the engine's torque is taken as it is, as the car's file says. */
  HIGH_PLACE;

  /** A fresh wind, force 5 of Beaufort's scale: 8.0 to 10.7 m/s (WMO-No. 306, from memory). */
  public static final double WIND_MPS = 8;

  /** Ratio of the pressures at 1000 m and at sea level, ISO 2533: 898.76 to 1013.25 hPa. */
  public static final double PRESSURE_AT_1000_M = 898.76 / 1013.25;

  /** A tank that is full against one that is half full (own assumption). */
  private static final double MORE_FUEL_CAR_KG = 30;

  private static final double MORE_FUEL_MOTORCYCLE_KG = 8;

  /** Where water stands or stays. */
  private static final Set<Zone.Type> DRIES_LAST =
      EnumSet.of(Zone.Type.DAMP_SHADE, Zone.Type.DRAIN, Zone.Type.DIP);

  /** The conditions of a reference on this day. */
  public Conditions of(Conditions base, Circuit circuit, Road road, Vehicle vehicle) {
    return switch (this) {
      case DRY -> base.withSurface(Surface.DRY);
      case DAMP -> base.withSurface(Surface.DAMP);
      case WET -> base.withSurface(Surface.WET);
      case DRYING -> base.but().surface(Surface.DAMP).parts(driesLast(circuit)).build();
      case COLD_FIRST_LAP -> cold(base, 1);
      case COLD_SECOND_LAP -> cold(base, 2);
      case COLD_THIRD_LAP -> cold(base, 3);
      case WORN_TYRES -> base.but().tyres(TyreState.WORN).wear(1).build();
      case HEAVY_FUEL -> base.withFuelKg(base.fuelKg() + moreFuelKg(vehicle));
      case LIGHT_FUEL -> base.withFuelKg(Math.max(0, base.fuelKg() - moreFuelKg(vehicle)));
      case HEAD_WIND -> wind(base, road, 0);
      case TAIL_WIND -> wind(base, road, 180);
      case CROSS_WIND -> wind(base, road, 270);
      case HIGH_PLACE ->
          base.but().pressureHpa(Math.max(500, base.pressureHpa() * PRESSURE_AT_1000_M)).build();
    };
  }

  private static Conditions cold(Conditions base, int lap) {
    return base.but().tyres(TyreState.COLD).coldLap(lap).build();
  }

  private static List<SurfacePart> driesLast(Circuit circuit) {
    List<SurfacePart> parts = new ArrayList<>();
    for (Zone zone : circuit.zones()) {
      if (DRIES_LAST.contains(zone.type())) {
        parts.add(new SurfacePart(zone.fromM(), zone.toM(), Surface.WET));
      }
    }
    return parts;
  }

  private static double moreFuelKg(Vehicle vehicle) {
    return vehicle.kind() == Vehicle.Kind.MOTORCYCLE ? MORE_FUEL_MOTORCYCLE_KG : MORE_FUEL_CAR_KG;
  }

  /** Wind from a direction against the longest straight's own, clockwise. */
  private static Conditions wind(Conditions base, Road road, double fromHeadingDeg) {
    double from = (Straights.longestHeadingDeg(road) + fromHeadingDeg) % 360;
    return base.but().windSpeedMps(WIND_MPS).windFromDeg(from).build();
  }

  /** Whether that is another day than the reference's own. */
  public boolean differsFrom(Conditions base, Circuit circuit, Road road, Vehicle vehicle) {
    boolean nothingDriesLast = this == DRYING && driesLast(circuit).isEmpty();
    return !nothingDriesLast && !of(base, circuit, road, vehicle).equals(base);
  }
}
