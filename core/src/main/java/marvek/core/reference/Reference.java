package marvek.core.reference;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.DoubleConsumer;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.corner.CornerFinder;
import marvek.core.drive.GearOrder;
import marvek.core.drive.OwnValuesOnLap;
import marvek.core.drive.PageDrive;
import marvek.core.drive.WorkOrder;
import marvek.core.line.ChosenLine;
import marvek.core.line.Corridor;
import marvek.core.line.FastestLine;
import marvek.core.line.LineChoice;
import marvek.core.line.School;
import marvek.core.line.Schools;
import marvek.core.line.SmoothLine;
import marvek.core.mark.MarkChooser;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerTime;
import marvek.core.page.DayKind;
import marvek.core.page.Driven;
import marvek.core.page.Gate;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.Phase;
import marvek.core.page.Press;
import marvek.core.page.Remark;
import marvek.core.profile.Lap;
import marvek.core.profile.ProfileOptions;
import marvek.core.profile.SpeedProfile;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Vehicle;

/**
 * A reference for a circuit, a vehicle and a day: the line, the lap on it, and a page a corner.
 *
 * @param modelLap the lap of the model alone
 * @param lap the lap with the driver's own values, as far as the model can follow them
 * @param modelPages the model's pages, without own values
 * @param pages the pages with own values in their places
 * @param driven what comes of driving each of the pages
 * @param remarks what the model could not follow
 */
public record Reference(
    Path path,
    Lap modelLap,
    Lap lap,
    List<Corner> corners,
    List<CornerPage> modelPages,
    List<CornerPage> pages,
    List<Driven> driven,
    List<Remark> remarks) {

  /**
   * The road and the line on it: what a change of own points does not touch.
   *
   * @param line how the whole line was chosen
   * @param schools corners that are driven in a way of their own, by number
   * @param lineStill whether the search for the line came to rest
   */
  public record Basis(
      Circuit circuit,
      Vehicle vehicle,
      Path path,
      List<Corner> corners,
      ChosenLine line,
      Map<Integer, School> schools,
      boolean lineStill) {
    public Basis {
      corners = List.copyOf(corners);
      schools = Map.copyOf(schools);
    }

    /** The same road and line for a car set up otherwise. */
    public Basis with(Vehicle other) {
      return new Basis(circuit, other, path, corners, line, schools, lineStill);
    }
  }

  /** Finds line and corners: the slow part. */
  public static Basis basis(
      Circuit circuit, Vehicle vehicle, Conditions conditions, ChosenLine line) {
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
      ChosenLine line,
      DoubleConsumer progress) {
    Road road = circuit.road();
    checkWidth(road, vehicle);
    FoundLine found = path(circuit, road, vehicle, conditions, line, progress);
    return new Basis(
        circuit,
        vehicle,
        found.path,
        CornerFinder.find(circuit, road),
        line,
        Map.of(),
        found.still);
  }

  /**
   * The basis of a line that was found before.
   *
   * @param offsetsM of the path that was found, at every sample of the circuit's road, in metres
   * @param lineStill whether its search came to rest
   */
  public static Basis basis(
      Circuit circuit, Vehicle vehicle, ChosenLine line, double[] offsetsM, boolean lineStill) {
    Road road = circuit.road();
    Path path = Path.at(road, offsetsM, circuit.zones());
    return new Basis(
        circuit, vehicle, path, CornerFinder.find(circuit, road), line, Map.of(), lineStill);
  }

  private record FoundLine(Path path, boolean still) {}

  private static void checkWidth(Road road, Vehicle vehicle) {
    for (int i = 0; i < road.size(); i++) {
      double width = road.widthLeftAt(i) + road.widthRightAt(i);
      if (width < vehicle.bodyWidthM()) {
        throw new InvalidValueException(
            "bodyWidth_m",
            Sentence.of(
                "refused.wider-than-road",
                "car_m",
                vehicle.bodyWidthM(),
                "road_m",
                width,
                "at_m",
                road.stationAt(i)));
      }
    }
  }

  private static FoundLine path(
      Circuit circuit,
      Road road,
      Vehicle vehicle,
      Conditions conditions,
      ChosenLine line,
      DoubleConsumer progress) {
    if (line.choice() == LineChoice.CENTRELINE) {
      return new FoundLine(Path.centreline(road, circuit.zones()), true);
    }
    if (line.offsets() != null) {
      return new FoundLine(Path.at(road, line.offsets().along(road), circuit.zones()), true);
    }
    Corridor corridor = corridor(circuit, road, vehicle, conditions);
    if (line.choice() == LineChoice.SMOOTH) {
      SmoothLine.Result found = SmoothLine.find(road, corridor, circuit.zones(), progress);
      return new FoundLine(found.path(), found.stoodStill());
    }
    DoubleConsumer first = share -> progress.accept(SMOOTH_PART * share);
    DoubleConsumer then = share -> progress.accept(SMOOTH_PART + (1 - SMOOTH_PART) * share);
    SmoothLine.Result smooth = SmoothLine.find(road, corridor, circuit.zones(), first);
    Lap lap = SpeedProfile.solve(smooth.path(), vehicle, conditions);
    FastestLine.Result fastest = FastestLine.find(lap, corridor, then);
    return new FoundLine(fastest.path(), fastest.converged());
  }

  static Corridor corridor(Circuit circuit, Road road, Vehicle vehicle, Conditions conditions) {
    return Corridor.of(circuit, road, vehicle, conditions);
  }

  /** Of the search for the fastest line the smooth one takes about this share. */
  private static final double SMOOTH_PART = 0.1;

  /** The schools that own values ask for, by corner. */
  public static Map<Integer, School> schoolsOf(List<OwnValues> own) {
    Map<Integer, School> schools = new TreeMap<>();
    own.stream().filter(o -> o.line() != null).forEach(o -> schools.put(o.corner(), o.line()));
    return schools;
  }

  /**
   * A basis with some corners driven in a way of their own, one after the other in driving order.
   *
   * @param basis without schools
   * @throws InvalidValueException if a corner does not exist or a school does not apply to it
   */
  public static Basis withSchools(
      Basis basis, Conditions conditions, Map<Integer, School> schools) {
    Corridor corridor = corridor(basis.circuit(), basis.path().road(), basis.vehicle(), conditions);
    Path path = basis.path();
    for (Map.Entry<Integer, School> entry : schools.entrySet()) {
      Lap lap = SpeedProfile.solve(path, basis.vehicle(), conditions);
      double[] offsets =
          Schools.line(
              lap,
              corridor,
              basis.corners(),
              indexOf(basis.corners(), entry.getKey()),
              entry.getValue());
      path = Path.at(path.road(), offsets, path.surface());
    }
    return new Basis(
        basis.circuit(),
        basis.vehicle(),
        path,
        basis.corners(),
        basis.line(),
        schools,
        basis.lineStill());
  }

  /**
   * Index of a corner by its number.
   *
   * @throws InvalidValueException if there is none
   */
  public static int indexOf(List<Corner> corners, int number) {
    for (int c = 0; c < corners.size(); c++) {
      if (corners.get(c).number() == number) {
        return c;
      }
    }
    throw new InvalidValueException(
        "corner", Sentence.of("refused.no-such-corner", "corner", number));
  }

  /** No point of a corner lies farther from it; more is a slip of the finger (own assumption). */
  private static final double FARTHEST_POINT_M = 900;

  /**
   * Solves the lap on a basis and writes its pages: the model's, then the line and the limits that
   * the driver's own values are, then what driving the pages makes of the rest.
   */
  public static Reference on(Basis basis, Conditions conditions, List<OwnValues> own) {
    conditions.checkedOn(basis.path().road().lengthM());
    Map<Integer, School> schools = schoolsOf(own);
    boolean same = schools.equals(basis.schools());
    return of(
        ModelReference.on(same ? basis : withSchools(basis, conditions, schools), conditions), own);
  }

  /**
   * The driver's own values in what the model would do.
   *
   * @param own with the schools that the model's basis has
   */
  public static Reference of(ModelReference model, List<OwnValues> own) {
    boolean works = own.stream().anyMatch(o -> o.presses() != null || o.phases() != null);
    return driven((works ? model.withPedals() : model).footed(own), own);
  }

  private static Reference driven(ModelReference model, List<OwnValues> own) {
    Basis basis = model.basis();
    Conditions conditions = model.conditions();
    Lap modelLap = model.lap();
    List<CornerPage> modelPages = model.pages();
    if (own.isEmpty()) {
      List<Driven> driven = PageDrive.of(modelLap, basis.circuit(), modelPages, own).driven();
      List<Remark> crests = crests(modelLap, modelPages);
      crests.addAll(unsettled(basis, modelLap));
      return new Reference(
          basis.path(),
          modelLap,
          modelLap,
          basis.corners(),
          modelPages,
          modelPages,
          driven,
          crests);
    }
    checkCornersExist(modelPages, own);
    checkStations(modelLap, modelPages, own);
    OwnLine.Result line = OwnLine.of(basis, modelLap, modelPages, own);
    boolean sameLine = line.path() == basis.path();
    Lap onLine = sameLine ? modelLap : SpeedProfile.solve(line.path(), basis.vehicle(), conditions);
    List<CornerPage> linePages =
        sameLine ? modelPages : model.footed(onLine, model.written(onLine), own);
    OwnValuesOnLap.Limits limits = OwnValuesOnLap.of(onLine, linePages, own);
    boolean limited = limits.options() != ProfileOptions.NONE;
    Lap planned =
        limited
            ? SpeedProfile.solve(line.path(), basis.vehicle(), conditions, limits.options())
            : onLine;
    PageDrive.Result drive = PageDrive.of(planned, basis.circuit(), linePages, own);
    List<CornerPage> pages =
        OwnPages.of(drive.lap(), onLine, linePages, own, drive.driven(), model.marks());
    List<Remark> remarks = new ArrayList<>(line.remarks());
    remarks.addAll(limits.remarks());
    remarks.addAll(drive.remarks());
    remarks.addAll(crests(drive.lap(), modelPages));
    remarks.addAll(unsettled(basis, drive.lap()));
    return new Reference(
        line.path(),
        modelLap,
        drive.lap(),
        basis.corners(),
        modelPages,
        pages,
        drive.driven(),
        remarks);
  }

  /** The pages as their driver drives them on another day, where he says so. */
  public List<CornerPage> pagesOn(DayKind day, MarkChooser marks) {
    return pages.stream().map(page -> OwnPages.on(day, page, marks)).toList();
  }

  /** What did not come to rest in the computation, said on the first page. */
  private static List<Remark> unsettled(Basis basis, Lap lap) {
    List<Remark> remarks = new ArrayList<>();
    if (basis.corners().isEmpty()) {
      return remarks;
    }
    int first = basis.corners().get(0).number();
    if (!basis.lineStill()) {
      remarks.add(new Remark(first, "lap", Sentence.of("lap.line-restless")));
    }
    if (!lap.converged()) {
      remarks.add(new Remark(first, "lap", Sentence.of("lap.ends-apart")));
    }
    return remarks;
  }

  /** Where a crest and not grip holds the speed down, said at the corner in whose part it lies. */
  private static List<Remark> crests(Lap lap, List<CornerPage> pages) {
    Road road = lap.path().road();
    List<Remark> remarks = new ArrayList<>();
    for (int p = 0; p < pages.size(); p++) {
      int from = road.indexOf(CornerTime.beginsAtM(pages.get(p), road));
      int to = road.indexOf(CornerTime.beginsAtM(pages.get((p + 1) % pages.size()), road));
      for (int i = from; i != to; i = road.wrap(i + 1)) {
        if (lap.heldByCrestAt(i)) {
          Sentence said =
              Sentence.of("lap.crest", "at_m", road.stationAt(i), "held_mps", lap.speedAt(i));
          remarks.add(new Remark(pages.get(p).corner(), "crest", said));
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
            "corner", Sentence.of("refused.no-such-corner", "corner", values.corner()));
      }
    }
  }

  private static void checkStations(Lap lap, List<CornerPage> pages, List<OwnValues> own) {
    Road road = lap.path().road();
    for (OwnValues values : own) {
      CornerPage page =
          pages.stream().filter(p -> p.corner() == values.corner()).findFirst().orElseThrow();
      double corner = page.fromM();
      station(road, corner, "brake.at_m", values.brakeAtM());
      station(road, corner, "turnIn.at_m", values.turnInM());
      station(road, corner, "trailBrake.release_m", values.releaseM());
      station(road, corner, "throttle.first_m", values.throttleFirstM());
      station(road, corner, "throttle.full_m", values.throttleFullM());
      stationsOfWork(road, corner, values);
      gatesOnRoad(road, corner, values);
      WorkOrder.check(road, page, values);
      GearOrder.check(lap, pages, pages.indexOf(page), values);
    }
  }

  /** Run-off that a car is meant to be on reaches no farther beyond the white line. */
  private static final double BESIDE_M = 6;

  private static void gatesOnRoad(Road road, double corner, OwnValues values) {
    List<Gate> gates = values.gates() == null ? List.of() : values.gates().list();
    for (int k = 0; k < gates.size(); k++) {
      Gate gate = gates.get(k);
      String at = PageField.GATES.path() + "/" + k;
      station(road, corner, at + "/at_m", gate.atM());
      int i = road.indexOf(gate.atM());
      Double offset = gate.offsetM();
      if (offset != null
          && (offset > road.widthLeftAt(i) + BESIDE_M
              || -offset > road.widthRightAt(i) + BESIDE_M)) {
        throw new InvalidValueException(
            at + "/offset_m",
            Sentence.of(
                "refused.gate-off-road",
                "offset_m",
                Math.abs(offset),
                "width_m",
                offset > 0 ? road.widthLeftAt(i) : road.widthRightAt(i)));
      }
    }
  }

  private static void stationsOfWork(Road road, double corner, OwnValues values) {
    if (values.presses() != null) {
      for (Press press : values.presses().list()) {
        station(road, corner, PageField.PRESSES.path(), press.onM());
        press.knots().forEach(k -> station(road, corner, PageField.PRESSES.path(), k.atM()));
        station(road, corner, PageField.PRESSES.path(), press.offM());
      }
    }
    if (values.gearChanges() != null) {
      values
          .gearChanges()
          .list()
          .forEach(change -> station(road, corner, PageField.GEAR_CHANGES.path(), change.atM()));
    }
    if (values.phases() != null) {
      for (Phase phase : values.phases().list()) {
        station(road, corner, PageField.PHASES.path(), phase.atM());
        station(road, corner, PageField.PHASES.path(), phase.untilM());
      }
    }
  }

  private static void station(Road road, double cornerM, String field, Double value) {
    if (value == null) {
      return;
    }
    if (value > road.lengthM()) {
      throw new InvalidValueException(
          field, Sentence.of("refused.beyond-lap", "at_m", value, "lap_m", road.lengthM()));
    }
    double away = Math.abs(road.offsetBetween(value, cornerM));
    if (away > FARTHEST_POINT_M) {
      throw new InvalidValueException(
          field, Sentence.of("refused.far-from-corner", "at_m", value, "away_m", away));
    }
  }
}
