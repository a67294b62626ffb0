package marvek.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.line.Corridor;
import marvek.core.line.SmoothLine;
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

/** What a driver waits for, from one lap solve to a whole new book. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(3)
public class CoreBenchmark {
  private byte[] file;
  private Circuit circuit;
  private Vehicle car;
  private Road road;
  private Corridor corridor;
  private Reference.Basis basis;

  /** Reads the demo and finds its line once. */
  @Setup
  public void prepare() {
    file = Demo.circuitFile();
    circuit = Demo.circuit();
    car = Demo.car();
    road = circuit.road();
    corridor = Corridor.of(circuit, road, car, Conditions.DEFAULT);
    basis = Reference.basis(circuit, car, Conditions.DEFAULT, ChosenLine.SMOOTH);
  }

  /** Forces, profile, gears and times of one lap at 1 m. */
  @Benchmark
  public Lap lapSolve() {
    return SpeedProfile.solve(basis.path(), car, Conditions.DEFAULT);
  }

  /** Lap and all pages on a known line: what an edit waits for. */
  @Benchmark
  public Reference pages() {
    return Reference.on(basis, Conditions.DEFAULT, List.of());
  }

  /** Line of least curvature from the centreline. */
  @Benchmark
  public SmoothLine.Result smoothLine() {
    return SmoothLine.find(road, corridor, circuit.zones());
  }

  /** From a read circuit and car to all pages. */
  @Benchmark
  public Reference newBook() {
    Reference.Basis fresh = Reference.basis(circuit, car, Conditions.DEFAULT, ChosenLine.SMOOTH);
    return Reference.on(fresh, Conditions.DEFAULT, List.of());
  }

  /** Circuit GeoJSON from bytes to a fitted road. */
  @Benchmark
  public Road circuitImport() {
    return CircuitGeoJson.read(JsonFiles.parse(file)).value().road();
  }
}
