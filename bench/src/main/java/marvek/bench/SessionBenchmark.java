package marvek.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import marvek.core.brief.CallOut;
import marvek.core.brief.CallOuts;
import marvek.core.brief.Day;
import marvek.core.brief.DayShift;
import marvek.core.brief.Preparation;
import marvek.core.brief.Targets;
import marvek.core.brief.WarmUp;
import marvek.core.circuit.Circuit;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.PageField;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
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

/** What is computed before a session, on the demo circuit; beside one lap solve. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(2)
public class SessionBenchmark {
  private static final List<Day> VARIANTS =
      List.of(
          Day.DRY,
          Day.DAMP,
          Day.WET,
          Day.COLD_FIRST_LAP,
          Day.COLD_SECOND_LAP,
          Day.COLD_THIRD_LAP,
          Day.WORN_TYRES);

  private Circuit circuit;
  private Vehicle car;
  private Conditions wet;
  private Reference.Basis basis;
  private Reference base;
  private Reference inTheWet;

  /** Reads the demo, finds its lines and computes the dry book and the wet one. */
  @Setup
  public void prepare() {
    circuit = Demo.circuit();
    car = Demo.car();
    wet = Conditions.DEFAULT.withSurface(Conditions.Surface.WET);
    basis = Reference.basis(circuit, car, Conditions.DEFAULT, ChosenLine.SMOOTH);
    base = Reference.on(basis, Conditions.DEFAULT, List.of());
    Reference.Basis wetBasis = Reference.basis(circuit, car, wet, ChosenLine.SMOOTH);
    inTheWet = Reference.on(wetBasis, wet, List.of());
  }

  /** The measure of all others. */
  @Benchmark
  public Lap lapSolve() {
    return SpeedProfile.solve(basis.path(), car, Conditions.DEFAULT);
  }

  /** Seven variants of a book with their own lines, nothing kept from before. */
  @Benchmark
  public List<List<DayShift>> sevenVariants() {
    List<List<DayShift>> all = new ArrayList<>();
    for (Day day : VARIANTS) {
      Conditions then = day.of(Conditions.DEFAULT, circuit, basis.path().road(), car);
      Reference.Basis own = Reference.basis(circuit, car, then, ChosenLine.SMOOTH);
      all.add(DayShift.between(base, Reference.on(own, then, List.of())));
    }
    return all;
  }

  /** What a wet session changes in a dry book, both computed. */
  @Benchmark
  public List<Preparation.Change> changesForTheWet() {
    return Preparation.of(base, inTheWet, List.of(), Map.of()).changes();
  }

  /** Warm-up lap by lap, and laps to aim at. */
  @Benchmark
  public Object warmUpAndTargets() {
    return List.of(
        WarmUp.of(basis, Conditions.DEFAULT),
        Targets.of(basis, Conditions.DEFAULT, base, OptionalDouble.empty()));
  }

  /** The lap as spoken words. */
  @Benchmark
  public List<CallOut> callOuts() {
    return CallOuts.of(base.lap(), base.pages(), 1, 1, PageField::group);
  }
}
