package marvek.core.page;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.corner.CornerFinder;
import marvek.core.line.Corridor;
import marvek.core.line.SmoothLine;
import marvek.core.page.CornerPage.Apex;
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
    Road road = circuit.road();
    return new Basis(
        circuit,
        vehicle,
        path(circuit, road, vehicle, conditions, line),
        CornerFinder.find(circuit, road));
  }

  private static Path path(
      Circuit circuit, Road road, Vehicle vehicle, Conditions conditions, LineChoice line) {
    if (line == LineChoice.CENTRELINE) {
      return Path.centreline(road, circuit.zones());
    }
    Corridor corridor =
        Corridor.of(circuit, road, vehicle, conditions.isWet(), Corridor.DEFAULT_MARGIN_M);
    return SmoothLine.find(road, corridor, circuit.zones()).path();
  }

  /** No point of a corner lies farther from it; more is a slip of the finger (own assumption). */
  private static final double FARTHEST_POINT_M = 900;

  /** Solves the lap on a basis and writes its pages. */
  public static Reference on(Basis basis, Conditions conditions, List<OwnValues> own) {
    Lap modelLap = SpeedProfile.solve(basis.path(), basis.vehicle(), conditions);
    List<CornerPage> modelPages =
        PageWriter.write(basis.circuit(), basis.vehicle(), conditions, modelLap, basis.corners());
    if (own.isEmpty()) {
      List<Remark> crests = crests(modelLap, modelPages);
      return new Reference(
          basis.path(), modelLap, modelLap, basis.corners(), modelPages, modelPages, crests);
    }
    checkCornersExist(modelPages, own);
    checkStations(basis.path().road(), modelPages, own);
    OwnValuesOnLap.Limits limits = OwnValuesOnLap.of(modelLap, modelPages, own);
    Lap lap = SpeedProfile.solve(basis.path(), basis.vehicle(), conditions, limits.options());
    MarkChooser marks = new MarkChooser(basis.circuit().marks(), basis.path().road());
    List<CornerPage> pages = new ArrayList<>();
    for (CornerPage page : withTimesOf(lap, modelLap, modelPages)) {
      pages.add(overlay(page, own, marks));
    }
    List<Remark> remarks = new ArrayList<>(limits.remarks());
    remarks.addAll(crests(lap, modelPages));
    return new Reference(basis.path(), modelLap, lap, basis.corners(), modelPages, pages, remarks);
  }

  /** Where a crest and not grip holds the speed down, said at the corner in whose part it lies. */
  private static List<Remark> crests(Lap lap, List<CornerPage> pages) {
    Road road = lap.path().road();
    List<Remark> remarks = new ArrayList<>();
    for (int p = 0; p < pages.size(); p++) {
      int from = road.indexOf(startM(pages.get(p)));
      int to = road.indexOf(startM(pages.get((p + 1) % pages.size())));
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

  /** Speeds and times as driven with own values, at the places of the model's pages. */
  private static List<CornerPage> withTimesOf(Lap lap, Lap model, List<CornerPage> pages) {
    Road road = lap.path().road();
    List<CornerPage> result = new ArrayList<>();
    for (CornerPage p : pages) {
      List<Apex> apexes = new ArrayList<>();
      for (Apex apex : p.apexes()) {
        double speed = lap.speedAt(road.indexOf(apex.atM()));
        apexes.add(new Apex(apex.atM(), apex.offsetM(), apex.kind(), speed));
      }
      int slowest = road.indexOf(p.lowestSpeedAtM());
      double exitSpeed = lap.speedAt(road.indexOf(p.exit().trackOutM()));
      result.add(
          new CornerPage(
              p.corner(),
              p.name(),
              p.direction(),
              p.fromM(),
              p.toM(),
              p.approach(),
              p.brake(),
              p.gears(),
              p.turnIn(),
              p.trailBrake(),
              apexes,
              p.kerbs(),
              p.throttle(),
              new CornerPage.Exit(p.exit().trackOutM(), p.exit().offsetM(), exitSpeed),
              timeOf(lap, model, pages, p),
              lap.speedAt(slowest),
              p.lowestSpeedAtM(),
              p.sources(),
              p.confidence(),
              p.notes(),
              p.wayOut()));
    }
    return result;
  }

  /** The model's corner time plus what is lost between the same two places. */
  private static double timeOf(Lap lap, Lap model, List<CornerPage> pages, CornerPage page) {
    Road road = lap.path().road();
    int from = road.indexOf(startM(page));
    CornerPage next = pages.get((pages.indexOf(page) + 1) % pages.size());
    int to = road.indexOf(startM(next));
    return page.timeS() + lap.timeBetween(from, to) - model.timeBetween(from, to);
  }

  /** A place safely before the corner's own part of the lap and after the one before. */
  private static double startM(CornerPage page) {
    return page.brake().atM() != null ? page.brake().atM() : page.turnIn().atM();
  }

  private static CornerPage overlay(CornerPage page, List<OwnValues> all, MarkChooser marks) {
    CornerPage result = page;
    for (OwnValues own : all) {
      if (own.corner() == page.corner()) {
        result = overlay(result, own, marks);
      }
    }
    return result;
  }

  private static CornerPage overlay(CornerPage page, OwnValues own, MarkChooser marks) {
    Map<String, CornerPage.Source> sources = new TreeMap<>(page.sources());
    CornerPage.Brake brake = page.brake();
    if (own.brakeAtM() != null) {
      sources.put("brake.at_m", own.source());
      var outside = page.direction().mirrored();
      brake =
          new CornerPage.Brake(
              own.brakeAtM(),
              brake.initialPct(),
              brake.style(),
              marks.target(own.brakeAtM(), outside).orElse(null),
              marks.safe(own.brakeAtM(), outside).orElse(null));
    }
    if (own.initialPct() != null) {
      sources.put("brake.initial_pct", own.source());
      brake =
          new CornerPage.Brake(
              brake.atM(), own.initialPct(), brake.style(), brake.target(), brake.safe());
    }
    CornerPage.Gears gears = page.gears();
    if (own.cornerGear() != null) {
      sources.put("gears.corner", own.source());
      gears = new CornerPage.Gears(gears.approach(), own.cornerGear(), gears.downshiftsM());
    }
    CornerPage.TurnIn turnIn = page.turnIn();
    if (own.turnInM() != null) {
      sources.put("turnIn.at_m", own.source());
      turnIn =
          new CornerPage.TurnIn(
              own.turnInM(),
              turnIn.speedMps(),
              marks.target(own.turnInM(), page.direction().mirrored()).orElse(null));
    }
    CornerPage.TrailBrake trail = page.trailBrake();
    if (own.releaseM() != null) {
      sources.put("trailBrake.release_m", own.source());
      trail =
          trail == null
              ? new CornerPage.TrailBrake(0, 0, 0, own.releaseM())
              : new CornerPage.TrailBrake(
                  trail.atTurnInPct(), trail.halfPct(), trail.nearApexPct(), own.releaseM());
    }
    double lowest = page.lowestSpeedMps();
    if (own.apexSpeedMps() != null) {
      sources.put("apexes.speed_mps", own.source());
      lowest = own.apexSpeedMps();
    }
    CornerPage.Throttle throttle = page.throttle();
    if (own.throttleFirstM() != null) {
      sources.put("throttle.first_m", own.source());
      throttle =
          new CornerPage.Throttle(own.throttleFirstM(), throttle.firstPct(), throttle.fullM());
    }
    if (own.throttleFullM() != null) {
      sources.put("throttle.full_m", own.source());
      throttle =
          new CornerPage.Throttle(throttle.firstM(), throttle.firstPct(), own.throttleFullM());
    }
    return new CornerPage(
        page.corner(),
        page.name(),
        page.direction(),
        page.fromM(),
        page.toM(),
        page.approach(),
        brake,
        gears,
        turnIn,
        trail,
        page.apexes(),
        page.kerbs(),
        throttle,
        page.exit(),
        page.timeS(),
        lowest,
        page.lowestSpeedAtM(),
        sources,
        own.confidence() == null ? page.confidence() : own.confidence(),
        own.notes() == null ? page.notes() : own.notes(),
        own.wayOut() == null ? page.wayOut() : own.wayOut());
  }
}
