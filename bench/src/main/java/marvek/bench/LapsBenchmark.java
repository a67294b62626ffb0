package marvek.bench;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.Channel;
import marvek.core.laps.CornerReading;
import marvek.core.laps.LapReader;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.laps.Thresholds;
import marvek.core.line.ChosenLine;
import marvek.core.profile.Lap;
import marvek.core.reference.Reference;
import marvek.formats.FileText;
import marvek.formats.LapCsvWriter;
import marvek.formats.LapFile;
import marvek.formats.LapFiles;
import marvek.formats.LapsOnRoad;
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

/** A logger's file of an hour at 100 Hz: read, placed on the road, cut, every corner read. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 4)
@Measurement(iterations = 4, time = 4)
@Fork(1)
public class LapsBenchmark {
  private static final int LAPS_OF_AN_HOUR = 31;

  private byte[] file;
  private Circuit circuit;
  private Road road;
  private Reference book;

  /** Writes the file once. */
  @Setup
  public void prepare() {
    circuit = Demo.circuit();
    Reference.Basis basis =
        Reference.basis(circuit, Demo.car(), Conditions.DEFAULT, ChosenLine.SMOOTH);
    book = Reference.on(basis, Conditions.DEFAULT, List.of());
    road = book.path().road();
    List<Lap> laps = new ArrayList<>();
    for (int k = 0; k < LAPS_OF_AN_HOUR; k++) {
      laps.add(book.lap());
    }
    file =
        LapCsvWriter.write(sixteen(new ModelRecording(100, 0.3, true, 1).of(laps), road.lengthM()));
  }

  /** As many channels as a good logger has: a distance and five more of slow noise. */
  private static Recording sixteen(Recording nine, double lapM) {
    double[] distance = new double[nine.size()];
    for (int i = 1; i < distance.length; i++) {
      double step = nine.at(Channel.SPEED, i) * (nine.timeAt(i) - nine.timeAt(i - 1));
      distance[i] = (distance[i - 1] + step) % lapM;
    }
    Recording all = nine.with(Channel.DISTANCE, distance);
    Channel[] more = {
      Channel.LAP, Channel.ALTITUDE, Channel.STEER, Channel.YAW_RATE, Channel.CLUTCH
    };
    for (int c = 0; c < more.length; c++) {
      double[] values = new double[nine.size()];
      int rate = 40 + 7 * c;
      Arrays.setAll(values, i -> 30 + 20 * Math.sin(i / (double) rate));
      all = all.with(more[c], values);
    }
    return all;
  }

  /** What the parser of the library alone needs: the measure of the other. */
  @Benchmark
  public long parserAlone() throws IOException {
    long fields = 0;
    try (CsvReader<CsvRecord> reader =
        CsvReader.builder()
            .ofCsvRecord(
                new InputStreamReader(new ByteArrayInputStream(file), StandardCharsets.UTF_8))) {
      for (CsvRecord record : reader) {
        fields += record.getFieldCount();
      }
    }
    return fields;
  }

  /** All of it: put right, laid on the road, cut, every corner of every lap read. */
  @Benchmark
  public List<List<CornerReading>> readCutAndRead() {
    LapsOnRoad laps = laid();
    LapReader reader = new LapReader(road, book.pages(), Thresholds.DEFAULT, v -> 0);
    List<RecordedLap> whole = laps.laps().stream().filter(RecordedLap::isWhole).toList();
    return reader.read(laps.recording(), laps.placed().stations(), whole);
  }

  /** What a preview shows, and an import stores nothing before: laid on the road and cut. */
  @Benchmark
  public LapsOnRoad laid() {
    LapFile read = LapFiles.read(FileText.of(file), Map.of(), 0);
    return LapsOnRoad.of(read, circuit, road, book.lap());
  }
}
