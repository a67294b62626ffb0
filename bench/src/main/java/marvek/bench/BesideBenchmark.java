package marvek.bench;

import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import marvek.core.beside.LapsBeside;
import marvek.core.beside.ValuesOfLap;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.AlongLap;
import marvek.core.laps.CornerReading;
import marvek.core.laps.LapCutter;
import marvek.core.laps.LapReader;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.laps.SimulatedDriver;
import marvek.core.laps.Stations;
import marvek.core.laps.Thresholds;
import marvek.core.line.ChosenLine;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.core.review.TriedValue;
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

/** Two laps of the demo at 100 Hz laid together, and what one would change; beside a lap solve. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(1)
public class BesideBenchmark {
  private static final double STEP_M = 2;

  private Reference book;
  private Recording first;
  private Recording second;
  private ValuesOfLap.Case values;

  /** Drives the laps once. */
  @Setup
  public void prepare() {
    Conditions day = Conditions.OF_NEW_BOOKS;
    Reference.Basis basis = Reference.basis(Demo.circuit(), Demo.car(), day, ChosenLine.SMOOTH);
    book = Reference.on(basis, day, List.of());
    SimulatedDriver driver = new SimulatedDriver(basis, day, book);
    first = new ModelRecording(100, 0.3, true, 2).of(driver.drive(2, Map.of(), 3));
    second = new ModelRecording(100, 0.3, true, 4).of(driver.drive(2, Map.of(), 5));
    Recording own = new ModelRecording(100, 0, true, 1).of(List.of(book.lap(), book.lap()));
    TriedValue tried = new TriedValue(basis, day, book, List.of());
    values = new ValuesOfLap.Case(tried, corners(own), corners(first), false, false, Map.of());
  }

  private Road road() {
    return book.path().road();
  }

  private RecordedLap whole(Recording recording, Stations stations) {
    return LapCutter.cut(recording, stations, road()).stream()
        .filter(RecordedLap::isWhole)
        .findFirst()
        .orElseThrow();
  }

  private List<CornerReading> corners(Recording recording) {
    Stations stations = Stations.of(recording, road());
    return new LapReader(road(), book.pages(), Thresholds.DEFAULT, v -> 0)
        .read(recording, stations, whole(recording, stations));
  }

  private AlongLap along(Recording recording) {
    Stations stations = Stations.of(recording, road());
    RecordedLap lap = whole(recording, stations);
    return AlongLap.of(recording, stations, lap, road(), Thresholds.DEFAULT, STEP_M);
  }

  /** One lap solve: the measure of the others. */
  @Benchmark
  public Lap lapSolve() {
    return SpeedProfile.solve(book.path(), book.lap().vehicle(), book.lap().conditions());
  }

  /** Two laps from their samples to their difference; wanted within 0.5 s. */
  @Benchmark
  public double laidTogether() {
    return new LapsBeside(along(first), along(second), road().lengthM())
        .behindAtM(road().lengthM());
  }

  /** What one of them would change on the pages, each with its cost. */
  @Benchmark
  public List<ValuesOfLap.Value> whatItWouldChange() {
    return ValuesOfLap.of(values);
  }
}
