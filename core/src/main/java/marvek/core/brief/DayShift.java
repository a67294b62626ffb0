package marvek.core.brief;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerTime;
import marvek.core.reference.Reference;

/**
 * What another day does to one corner, model against model: the driver's own values stand on top of
 * both and are told apart from this.
 *
 * @param brakeEarlierM how much earlier the driver acts; null unless both brake
 * @param brakeHeld whether the brake point stays because later would be no advice with less grip
 * @param begins whether the brakes are needed only on the other day
 * @param gearsLower gears lower in the corner; negative where it is a higher one
 * @param releaseEarlierM how much earlier the brake is off; null unless both trail it
 * @param lowestSlowerMps how much slower the slowest place is
 * @param throttleLaterM how much later the throttle is picked up; null unless both do
 * @param apexKerb use of the kerb at the apex where it is another one, else null
 * @param exitKerb the same at the exit
 * @param lostS time lost over the corner and the straight after it, between the same two places on
 *     both days: the base page's first point and the next page's
 */
public record DayShift(
    int corner,
    Double brakeEarlierM,
    boolean brakeHeld,
    boolean begins,
    int gearsLower,
    Double releaseEarlierM,
    double lowestSlowerMps,
    Double throttleLaterM,
    Kerb.Use apexKerb,
    Kerb.Use exitKerb,
    double lostS) {

  /** The shift of each corner from a reference's model to that of another day. */
  public static List<DayShift> between(Reference base, Reference other) {
    List<DayShift> shifts = new ArrayList<>();
    for (int p = 0; p < base.modelPages().size(); p++) {
      CornerPage before = base.modelPages().get(p);
      CornerPage after = other.modelPages().get(p);
      boolean held = HeldBrake.holds(base, other, before.brake().atM(), after.brake().atM());
      double lost =
          CornerTime.between(base.modelPages(), p, other.modelLap())
              - CornerTime.between(base.modelPages(), p, base.modelLap());
      shifts.add(of(base.path().road(), before, after, held, lost));
    }
    return shifts;
  }

  private static DayShift of(
      Road road, CornerPage before, CornerPage after, boolean held, double lostS) {
    Double brake = before.brake().atM();
    Double brakeThen = after.brake().atM();
    return new DayShift(
        before.corner(),
        held ? Double.valueOf(0) : way(road, brakeThen, brake),
        held,
        brake == null && brakeThen != null,
        before.gears().corner() - after.gears().corner(),
        way(road, releaseM(after), releaseM(before)),
        before.lowestSpeedMps() - after.lowestSpeedMps(),
        way(road, before.throttle().firstM(), after.throttle().firstM()),
        other(before.kerbs().apex(), after.kerbs().apex()),
        other(before.kerbs().exit(), after.kerbs().exit()),
        lostS);
  }

  private static Double releaseM(CornerPage page) {
    return page.trailBrake() == null ? null : page.trailBrake().releaseM();
  }

  private static Double way(Road road, Double fromM, Double toM) {
    return fromM == null || toM == null ? null : road.offsetBetween(fromM, toM);
  }

  private static Kerb.Use other(Kerb.Use before, Kerb.Use after) {
    return before == after ? null : after;
  }
}
