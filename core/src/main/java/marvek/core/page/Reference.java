package marvek.core.page;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleConsumer;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.corner.CornerFinder;
import marvek.core.light.Light;
import marvek.core.line.Corridor;
import marvek.core.line.SmoothLine;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Vehicle;

/**
 * A reference for a circuit, a vehicle and a day: the line, the lap on it, and a page a corner.
 *
 * @param modelLap the lap of the model alone
 * @param lap the lap with the driver's own values, as far as the model can follow them
 * @param modelPages the model's pages, without own values
 * @param pages the pages with own values in their places
 * @param remarks what the model could not follow
 */
public record Reference(
    Path path,
    Lap modelLap,
    Lap lap,
    List<Corner> corners,
    List<CornerPage> modelPages,
    List<CornerPage> pages,
    List<Remark> remarks) {

  /** The road and the line on it: what a change of own values does not touch. */
  public record Basis(Circuit circuit, Vehicle vehicle, Path path, List<Corner> corners) {}

  /** Finds line and corners: the slow part. */
  public static Basis basis(
      Circuit circuit, Vehicle vehicle, Conditions conditions, LineChoice line) {
    return basis(circuit, vehicle, conditions, line, share -> {});
  }

  /**
   * Finds line and corners, telling how far it is; cancelled by interrupting the thread.
   *
   * @param progress told the share done, 0 to 1
   */
  public static Basis basis(
      Circuit circuit,
      Vehicle vehicle,
      Conditions conditions,
      LineChoice line,
      DoubleConsumer progress) {
    Road road = circuit.road();
    return new Basis(
        circuit,
        vehicle,
        path(circuit, road, vehicle, conditions, line, progress),
        CornerFinder.find(circuit, road));
  }

  private static Path path(
      Circuit circuit,
      Road road,
      Vehicle vehicle,
      Conditions conditions,
      LineChoice line,
      DoubleConsumer progress) {
    if (line == LineChoice.CENTRELINE) {
      return Path.centreline(road, circuit.zones());
    }
    Corridor corridor =
        Corridor.of(circuit, road, vehicle, conditions.isWet(), Corridor.DEFAULT_MARGIN_M);
    return SmoothLine.find(road, corridor, circuit.zones(), progress).path();
  }

  /** No point of a corner lies farther from it; more is a slip of the finger (own assumption). */
  private static final double FARTHEST_POINT_M = 900;

  /** Solves the lap on a basis and writes its pages. */
  public static Reference on(Basis basis, Conditions conditions, List<OwnValues> own) {
    Lap modelLap = SpeedProfile.solve(basis.path(), basis.vehicle(), conditions);
    MarkChooser marks = marks(basis, conditions, modelLap);
    List<CornerPage> modelPages =
        PageWriter.write(
            basis.circuit(), basis.vehicle(), conditions, modelLap, basis.corners(), marks);
    if (own.isEmpty()) {
      List<Remark> crests = crests(modelLap, modelPages);
      return new Reference(
          basis.path(), modelLap, modelLap, basis.corners(), modelPages, modelPages, crests);
    }
    checkCornersExist(modelPages, own);
    checkStations(basis.path().road(), modelPages, own);
    OwnValuesOnLap.Limits limits = OwnValuesOnLap.of(modelLap, modelPages, own);
    Lap lap = SpeedProfile.solve(basis.path(), basis.vehicle(), conditions, limits.options());
    List<CornerPage> pages = OwnPages.of(lap, modelLap, modelPages, own, marks);
    List<Remark> remarks = new ArrayList<>(limits.remarks());
    remarks.addAll(crests(lap, modelPages));
    return new Reference(basis.path(), modelLap, lap, basis.corners(), modelPages, pages, remarks);
  }

  /**
   * What slips cost in each corner of the model's own lap, in the order of the corners: own values
   * do not change it.
   */
  public static List<Stakes> stakes(Basis basis, Conditions conditions) {
    Reference model = on(basis, conditions, List.of());
    return StakesRun.of(model.modelLap(), model.modelPages(), basis.circuit().zones());
  }

  /** The marks of a circuit as they are seen on a lap, in the light of the conditions' hour. */
  public static MarkChooser marks(Basis basis, Conditions conditions, Lap lap) {
    Light light = Light.of(basis.circuit(), lap.path().road(), conditions).orElse(null);
    return MarkChooser.seenOn(basis.circuit(), lap, light, basis.corners());
  }

  /** Where a crest and not grip holds the speed down, said at the corner in whose part it lies. */
  private static List<Remark> crests(Lap lap, List<CornerPage> pages) {
    Road road = lap.path().road();
    List<Remark> remarks = new ArrayList<>();
    for (int p = 0; p < pages.size(); p++) {
      int from = road.indexOf(OwnPages.startM(pages.get(p)));
      int to = road.indexOf(OwnPages.startM(pages.get((p + 1) % pages.size())));
      for (int i = from; i != to; i = road.wrap(i + 1)) {
        if (lap.heldByCrestAt(i)) {
          String text =
              String.format(
                  Locale.ROOT,
                  "The crest %.0f m from the start line would lift the car at more than %.0f km/h:"
                      + " the speed is held there.",
                  road.stationAt(i),
                  3.6 * lap.speedAt(i));
          remarks.add(new Remark(pages.get(p).corner(), "crest", text));
          break;
        }
        if (!road.closed() && i == road.size() - 1) {
          break;
        }
      }
    }
    return remarks;
  }

  private static void checkCornersExist(List<CornerPage> pages, List<OwnValues> own) {
    for (OwnValues values : own) {
      if (pages.stream().noneMatch(page -> page.corner() == values.corner())) {
        throw new InvalidValueException(
            "corner", "(" + values.corner() + ") does not exist on this circuit");
      }
    }
  }

  private static void checkStations(Road road, List<CornerPage> pages, List<OwnValues> own) {
    for (OwnValues values : own) {
      double corner =
          pages.stream()
              .filter(page -> page.corner() == values.corner())
              .mapToDouble(CornerPage::fromM)
              .findFirst()
              .orElseThrow();
      station(road, corner, "brake.at_m", values.brakeAtM());
      station(road, corner, "turnIn.at_m", values.turnInM());
      station(road, corner, "trailBrake.release_m", values.releaseM());
      station(road, corner, "throttle.first_m", values.throttleFirstM());
      station(road, corner, "throttle.full_m", values.throttleFullM());
    }
  }

  private static void station(Road road, double cornerM, String field, Double value) {
    if (value == null) {
      return;
    }
    if (value > road.lengthM()) {
      throw new InvalidValueException(
          field, "(" + value + ") lies beyond the lap of " + Math.round(road.lengthM()) + " m");
    }
    double away = Math.abs(road.offsetBetween(value, cornerM));
    if (away > FARTHEST_POINT_M) {
      throw new InvalidValueException(
          field,
          "("
              + Math.round(value)
              + " m) lies "
              + Math.round(away)
              + " m from its corner: is it meant for another corner?");
    }
  }
}
