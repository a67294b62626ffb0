package marvek.core.reference;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import marvek.core.InvalidValueException;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Footwork;
import marvek.core.drive.LiftStakes;
import marvek.core.drive.ModelPedals;
import marvek.core.drive.StakesRun;
import marvek.core.light.Light;
import marvek.core.mark.MarkChooser;
import marvek.core.page.CornerPage;
import marvek.core.page.Lift;
import marvek.core.page.OwnValues;
import marvek.core.page.PageWriter;
import marvek.core.page.Stakes;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.say.Sentence;

/**
 * What the model alone makes of a road, a vehicle and a day: its lap and its pages. A change of own
 * values does not touch it, so that it is worth keeping while somebody tries values out.
 *
 * @param marks of the circuit, as they are seen on the lap
 * @param pedalsWritten whether the pages have presses, phases and lifts, see {@link #withPedals()}
 */
public record ModelReference(
    Reference.Basis basis,
    Conditions conditions,
    Lap lap,
    MarkChooser marks,
    List<CornerPage> pages,
    boolean pedalsWritten) {
  /** A car that does not get away within so many samples does not. */
  private static final int FROM_REST = 20;

  /** Slower than this a car is as good as standing [m/s]. */
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
        basis, conditions, lap, marks, plain(basis, conditions, lap, marks), false);
  }

  /** The same with the pages of those corners that a driver brakes for with a foot of his own. */
  ModelReference footed(List<OwnValues> own) {
    if (own.stream().allMatch(o -> o.feet() == null)) {
      return this;
    }
    return new ModelReference(
        basis, conditions, lap, marks, footed(lap, pages, own), pedalsWritten);
  }

  /** Pages of a lap with those of corners in their place that are braked for with another foot. */
  List<CornerPage> footed(Lap of, List<CornerPage> plain, List<OwnValues> own) {
    Map<Footwork, List<CornerPage>> written = new EnumMap<>(Footwork.class);
    List<CornerPage> footed = new ArrayList<>(plain);
    for (OwnValues values : own) {
      for (int p = 0; p < plain.size(); p++) {
        if (values.feet() != null && plain.get(p).corner() == values.corner()) {
          Lap then = of.footed(values.feet());
          footed.set(p, written.computeIfAbsent(values.feet(), feet -> written(then)).get(p));
        }
      }
    }
    return footed;
  }

  /** The pages of another lap of the same road, vehicle and day, written as far as these are. */
  List<CornerPage> written(Lap other) {
    List<CornerPage> plain = plain(basis, conditions, other, marks);
    return pedalsWritten ? withPedals(other, plain) : plain;
  }

  private static List<CornerPage> plain(
      Reference.Basis basis, Conditions conditions, Lap lap, MarkChooser marks) {
    return PageWriter.write(
        basis.circuit(), basis.vehicle(), conditions, lap, basis.corners(), marks);
  }

  /**
   * The same with what both feet do on its pages, and lifts told by their marks: the slow part of
   * the pages, for those that are shown.
   */
  public ModelReference withPedals() {
    return pedalsWritten
        ? this
        : new ModelReference(basis, conditions, lap, marks, withPedals(lap, pages), true);
  }

  private List<CornerPage> withPedals(Lap of, List<CornerPage> plain) {
    return ModelPedals.on(of, plain).stream().map(page -> Lift.on(page, marks)).toList();
  }

  /** What slips cost in each corner, in the order of the corners. */
  public List<Stakes> stakes() {
    return LiftStakes.on(lap, pages, StakesRun.of(lap, pages));
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
        double at = lap.path().road().stationAt(i);
        throw tight
            ? new InvalidValueException("corner", Sentence.of("refused.too-tight", "at_m", at))
            : new InvalidValueException(
                "engine.torqueCurve", Sentence.of("refused.too-weak", "at_m", at));
      }
    }
    return lap;
  }
}
