package marvek.core.reference;

import java.util.List;
import java.util.Locale;
import marvek.core.InvalidValueException;
import marvek.core.conditions.Conditions;
import marvek.core.drive.PageDrive;
import marvek.core.drive.StakesRun;
import marvek.core.light.Light;
import marvek.core.mark.MarkChooser;
import marvek.core.page.CornerPage;
import marvek.core.page.Lift;
import marvek.core.page.PageWriter;
import marvek.core.page.Stakes;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;

/**
 * What the model alone makes of a road, a vehicle and a day: its lap and its pages. A change of own
 * values does not touch it, so that it is worth keeping while somebody tries values out.
 *
 * @param marks of the circuit, as they are seen on the lap
 */
public record ModelReference(
    Reference.Basis basis,
    Conditions conditions,
    Lap lap,
    MarkChooser marks,
    List<CornerPage> pages) {
  /** Slower than this a car is as good as standing [m/s]. */
  /** A car that does not get away within so many samples does not. */
  private static final int FROM_REST = 20;

  private static final double STANDING_MPS = 1;

  public ModelReference {
    pages = List.copyOf(pages);
  }

  /**
   * Solves the lap on a basis and writes its pages.
   *
   * @throws InvalidValueException where the car would come to a stand
   */
  public static ModelReference on(Reference.Basis basis, Conditions conditions) {
    conditions.checkedOn(basis.path().road().lengthM());
    Lap lap = moving(SpeedProfile.solve(basis.path(), basis.vehicle(), conditions));
    MarkChooser marks = marks(basis, conditions, lap);
    return new ModelReference(
        basis, conditions, lap, marks, written(basis, conditions, lap, marks));
  }

  /** The pages of another lap of the same road, vehicle and day. */
  List<CornerPage> written(Lap other) {
    return written(basis, conditions, other, marks);
  }

  private static List<CornerPage> written(
      Reference.Basis basis, Conditions conditions, Lap lap, MarkChooser marks) {
    List<CornerPage> pages =
        PageWriter.write(basis.circuit(), basis.vehicle(), conditions, lap, basis.corners(), marks);
    return PageDrive.withPedals(lap, basis.circuit(), pages).stream()
        .map(page -> Lift.on(page, marks))
        .toList();
  }

  /** What slips cost in each corner, in the order of the corners. */
  public List<Stakes> stakes() {
    return PageDrive.withLifts(lap, basis.circuit(), pages, StakesRun.of(lap, pages));
  }

  /** The marks of a circuit as they are seen on a lap, in the light of the conditions' hour. */
  public static MarkChooser marks(Reference.Basis basis, Conditions conditions, Lap lap) {
    Light light = Light.of(basis.circuit(), lap.path().road(), conditions).orElse(null);
    return MarkChooser.seenOn(basis.circuit(), lap, light, basis.corners());
  }

  /** Behind the start, where a run begins from rest and its car gets away. */
  private static int firstMoving(Lap lap) {
    int first = 0;
    while (lap.speedAt(0) == 0 && first < FROM_REST && lap.speedAt(first) < STANDING_MPS) {
      first++;
    }
    return first;
  }

  /** The lap, refused in words where the car would come to a stand. */
  private static Lap moving(Lap lap) {
    for (int i = firstMoving(lap); i < lap.size(); i++) {
      if (lap.speedAt(i) < STANDING_MPS) {
        boolean tight = lap.limitSpeedAt(i) < 2 * STANDING_MPS;
        String place =
            String.format(
                Locale.ROOT, "%.0f m from the start line", lap.path().road().stationAt(i));
        throw tight
            ? new InvalidValueException(
                "corner", "cannot be made by this car at any speed, " + place + ": is it so tight?")
            : new InvalidValueException(
                "engine.torqueCurve",
                "is too weak for this circuit: the car comes to a stand " + place);
      }
    }
    return lap;
  }
}
