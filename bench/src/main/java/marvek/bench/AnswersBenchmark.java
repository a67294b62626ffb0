package marvek.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import marvek.core.car.BrakeBalance;
import marvek.core.car.Sensitivities;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.corner.CornerFinder;
import marvek.core.line.ChosenLine;
import marvek.core.line.Corridor;
import marvek.core.line.FastestLine;
import marvek.core.line.LinkSweep;
import marvek.core.line.Schools;
import marvek.core.page.OwnValues;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.CornerGears;
import marvek.core.reference.CornerQuestions;
import marvek.core.reference.ModelReference;
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

/** What a page, a car and a line answer, on the demo circuit; beside one lap solve. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(2)
public class AnswersBenchmark {
  private static final int HAIRPIN = 3;
  private static final int LINKED = 5;
  private static final Conditions DAY = Conditions.OF_NEW_BOOKS;

  private Circuit circuit;
  private Vehicle car;
  private Corridor corridor;
  private List<Corner> corners;
  private Reference.Basis basis;
  private Lap lap;
  private OwnValues later;
  private PlainLoop loop;

  /** Reads the demo and finds its smooth line once. */
  @Setup
  public void prepare() {
    circuit = Demo.circuit();
    car = Demo.car();
    Road road = circuit.road();
    corridor = Corridor.of(circuit, road, car, DAY);
    corners = CornerFinder.find(circuit, road);
    basis = Reference.basis(circuit, car, DAY, ChosenLine.SMOOTH);
    lap = SpeedProfile.solve(basis.path(), car, DAY);
    Reference model = Reference.on(basis, DAY, List.of());
    double brake = model.modelPages().get(HAIRPIN).brake().atM();
    loop = new PlainLoop(basis.path(), car, DAY);
    later = OwnValues.in(corners.get(HAIRPIN).number()).brakeAtM(brake + 5).build();
  }

  /** The measure of all others. */
  @Benchmark
  public Lap lapSolve() {
    return SpeedProfile.solve(basis.path(), car, DAY);
  }

  /** The same in the plain model. */
  @Benchmark
  public Lap lapSolvePlain() {
    return SpeedProfile.solve(basis.path(), car, Conditions.DEFAULT);
  }

  /** What a lap solve could be at its quickest. */
  @Benchmark
  public double plainLoop() {
    return loop.timeS();
  }

  /** A brake point moved 5 m later: lap, pages and every page driven. */
  @Benchmark
  public Reference whatIf() {
    return Reference.on(basis, DAY, List.of(later));
  }

  /** Time-optimal refinement of the whole line. */
  @Benchmark
  public FastestLine.Result fastestLine() {
    return FastestLine.find(lap, corridor, share -> {});
  }

  /** All schools of the hairpin. */
  @Benchmark
  public List<Schools.Tried> schoolsOfACorner() {
    return Schools.of(lap, corridor, corners, HAIRPIN);
  }

  /** A link swept over 41 positions. */
  @Benchmark
  public LinkSweep.Result linkSweep() {
    return LinkSweep.of(lap, corridor, corners, LINKED, 41, false);
  }

  /** A link swept over 15 positions, each way of least time. */
  @Benchmark
  public LinkSweep.Result linkSweepOfLeastTime() {
    return LinkSweep.of(lap, corridor, corners, LINKED, 15, true);
  }

  /** The gears of one corner explained. */
  @Benchmark
  public CornerGears gearsOfACorner() {
    return CornerQuestions.gears(ModelReference.on(basis, DAY), corners.get(HAIRPIN).number());
  }

  /** Brake balance of all zones of a lap. */
  @Benchmark
  public BrakeBalance.Result brakeBalance() {
    return BrakeBalance.of(lap);
  }

  /** What seven changes of the car do to the lap. */
  @Benchmark
  public List<Sensitivities.Effect> sensitivities() {
    return Sensitivities.of(lap);
  }
}
