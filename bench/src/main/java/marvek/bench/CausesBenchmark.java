package marvek.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import marvek.core.cause.Accounts;
import marvek.core.cause.CostToGo;
import marvek.core.cause.Finding;
import marvek.core.cause.LapAccounts;
import marvek.core.cause.SessionCauses;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.AlongLap;
import marvek.core.laps.LapCutter;
import marvek.core.laps.LapReader;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.ReadLap;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.laps.SimulatedDriver;
import marvek.core.laps.Stations;
import marvek.core.laps.Thresholds;
import marvek.core.line.ChosenLine;
import marvek.core.page.Stakes;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.ModelReference;
import marvek.core.reference.Reference;
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

/** What cost twelve laps of the demo their time, beside one lap solve. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(2)
public class CausesBenchmark {
  private static final int LAPS = 12;
  private static final double STEP_M = 2;

  private Reference book;
  private List<Stakes> stakes;
  private LapReader reader;
  private ReadLap page;
  private List<ReadLap> laps;
  private Accounts accounts;

  /** Drives and reads the laps once. */
  @Setup
  public void prepare() {
    Conditions day = Conditions.OF_NEW_BOOKS;
    Reference.Basis basis = Reference.basis(Demo.circuit(), Demo.car(), day, ChosenLine.SMOOTH);
    book = Reference.on(basis, day, List.of());
    stakes = ModelReference.on(basis, day).stakes();
    reader = new LapReader(book.path().road(), book.pages(), Thresholds.DEFAULT, v -> 0);
    page = read(new ModelRecording(100, 0, true, 1).of(List.of(book.lap(), book.lap()))).get(0);
    List<Lap> driven = new SimulatedDriver(basis, day, book).drive(LAPS, Map.of(), 3);
    laps = read(new ModelRecording(100, 0.3, true, 2).of(driven));
    accounts = new Accounts(book.pages(), stakes, book.lap(), page, Thresholds.DEFAULT);
  }

  private List<ReadLap> read(Recording recording) {
    Road road = book.path().road();
    Stations stations = Stations.of(recording, road);
    List<ReadLap> read = new ArrayList<>();
    for (RecordedLap lap : LapCutter.cut(recording, stations, road)) {
      if (lap.isWhole()) {
        AlongLap along = AlongLap.of(recording, stations, lap, road, Thresholds.DEFAULT, STEP_M);
        read.add(new ReadLap(along, reader.read(recording, stations, lap), 0));
      }
    }
    return read;
  }

  /** One lap solve: the measure of the others. */
  @Benchmark
  public Lap lapSolve() {
    return SpeedProfile.solve(book.path(), book.lap().vehicle(), book.lap().conditions());
  }

  /** The table of the cost to go of a page; wanted within 0.5 s. */
  @Benchmark
  public CostToGo table() {
    return CostToGo.of(book.lap());
  }

  /** Accounts of one lap; wanted within 25 ms. */
  @Benchmark
  public LapAccounts oneLap() {
    return accounts.of(laps.get(0));
  }

  /** Accounts of twelve laps, and what they have in common; wanted within 0.8 s. */
  @Benchmark
  public List<Finding> twelveLaps() {
    return SessionCauses.of(
        book.path().road(),
        page.corners(),
        laps.stream().map(ReadLap::corners).toList(),
        laps.stream().map(accounts::of).toList());
  }
}
