package marvek.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.line.Corridor;
import marvek.core.line.SmoothLine;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import marvek.formats.CircuitGeoJson;
import marvek.formats.JsonFiles;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The same waits on a long lap: 36.6 km at 2 m, 149 corners, 286 marks. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(2)
public class RoadCourseBenchmark {
  private byte[] file;
  private Circuit circuit;
  private Vehicle car;
  private Road road;
  private Reference.Basis basis;
  private OwnValues braked;

  /** Reads the course and finds its line once. */
  @Setup
  public void prepare() {
    file = Demo.roadCourseFile();
    circuit = CircuitGeoJson.read(JsonFiles.parse(file)).value();
    car = Demo.car();
    road = circuit.road();
    basis = Reference.basis(circuit, car, Conditions.DEFAULT, ChosenLine.SMOOTH);
    CornerPage page =
        Reference.on(basis, Conditions.DEFAULT, List.of()).pages().stream()
            .filter(p -> p.brake().atM() != null)
            .skip(40)
            .findFirst()
            .orElseThrow();
    braked = OwnValues.in(page.corner()).brakeAtM(page.brake().atM() - 3).build();
  }

  /** Circuit GeoJSON from bytes to a fitted road with everything along it. */
  @Benchmark
  public Road courseImport() {
    return CircuitGeoJson.read(JsonFiles.parse(file)).value().road();
  }

  /** Forces, profile, gears and times of one lap. */
  @Benchmark
  public Lap courseLapSolve() {
    return SpeedProfile.solve(basis.path(), car, Conditions.DEFAULT);
  }

  /** Line of least curvature from the centreline. */
  @Benchmark
  public SmoothLine.Result courseSmoothLine() {
    Corridor corridor = Corridor.of(circuit, road, car, Conditions.DEFAULT);
    return SmoothLine.find(road, corridor, circuit.zones());
  }

  /** What one own brake point does to a lap: the wait of a driver who moves it. */
  @Benchmark
  public Reference courseBrakeMoved() {
    return Reference.on(basis, Conditions.DEFAULT, List.of(braked));
  }

  /** Lap and all pages on a known line, every mark looked for from the seat. */
  @Benchmark
  public Reference coursePages() {
    return Reference.on(basis, Conditions.DEFAULT, List.of());
  }
}
