package marvek.server.laps;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import marvek.core.laps.CornerReading;
import marvek.core.laps.Finding;
import marvek.core.laps.RecordedLap;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Laps in, and what they did corner by corner. */
@RestController
class LapController {
  private static final MediaType CSV = MediaType.valueOf("text/csv;charset=UTF-8");

  private static final double LINE_STEP_M = 4;

  private final Laps laps;

  LapController(Laps laps) {
    this.laps = laps;
  }

  /** What a lap did in a corner; see the record of the same figures in the core. */
  record ReadingView(
      int corner,
      Double brakeOn_m,
      Double peakBrake_pct,
      Double turnInBrake_pct,
      Double release_m,
      Double lowest_mps,
      Double lowestAt_m,
      Integer gear,
      Double throttleFirst_m,
      Double throttleFull_m,
      Double coasting_s,
      Double exit_mps,
      Double inside_m,
      Double time_s) {
    static ReadingView of(CornerReading r) {
      return new ReadingView(
          r.corner(),
          rounded(r.brakeOnM(), 1),
          rounded(r.peakBrakePct(), 1),
          rounded(r.turnInBrakePct(), 1),
          rounded(r.releaseM(), 1),
          rounded(r.lowestMps(), 2),
          rounded(r.lowestAtM(), 1),
          r.gear(),
          rounded(r.throttleFirstM(), 1),
          rounded(r.throttleFullM(), 1),
          rounded(r.coastingS(), 2),
          rounded(r.exitMps(), 2),
          rounded(r.insideM(), 2),
          rounded(r.timeS(), 3));
    }
  }

  /**
   * A lap.
   *
   * @param number counted from 1 in its file
   * @param kind out, flying, disturbed or in
   */
  record LapView(UUID file, int number, String kind, double time_s, List<ReadingView> corners) {
    static LapView of(Laps.ReadLap lap) {
      RecordedLap l = lap.lap();
      return new LapView(
          lap.file(),
          l.number(),
          l.kind().name().toLowerCase(Locale.ROOT),
          rounded(l.timeS(), 3),
          lap.corners().stream().map(ReadingView::of).toList());
    }
  }

  /** A file and what became of it. */
  record FileView(
      UUID id,
      String name,
      int samples,
      List<String> used,
      List<String> unknown,
      List<String> corrections) {
    static FileView of(Laps.KeptFile file) {
      return new FileView(
          file.id(),
          file.name(),
          file.laps().recording().size(),
          file.laps().file().used(),
          file.laps().file().unknown(),
          file.laps().file().corrections());
    }
  }

  /**
   * Something that several laps did otherwise than the page.
   *
   * @param rule by its name in small letters
   * @param amount metres, m/s, seconds or gears by the rule
   * @param cost_s null where the model does not tell
   */
  record FindingView(int corner, String rule, double amount, int laps, int of, Double cost_s) {
    static FindingView of(Finding f) {
      return new FindingView(
          f.corner(),
          f.rule().name().toLowerCase(Locale.ROOT).replace('_', '-'),
          rounded(f.amount(), 2),
          f.laps(),
          f.of(),
          rounded(f.costS(), 3));
    }
  }

  /** Laps against the revision of their session. */
  record DebriefView(
      int revision,
      double lap_s,
      List<ReadingView> page,
      List<LapView> laps,
      List<FindingView> findings,
      List<FileView> files) {
    static DebriefView of(Laps.Debrief d) {
      return new DebriefView(
          d.revision(),
          d.reference().lap().timeS(),
          d.page().stream().map(ReadingView::of).toList(),
          d.laps().stream().map(LapView::of).toList(),
          d.findings().stream().map(FindingView::of).toList(),
          d.files().stream().map(FileView::of).toList());
    }
  }

  private static Double rounded(Double value, int decimals) {
    if (value == null || value.isNaN()) {
      return null;
    }
    double scale = Math.pow(10, decimals);
    return Math.round(value * scale) / scale;
  }

  @PostMapping("/api/sessions/{id}/laps")
  @ResponseStatus(HttpStatus.CREATED)
  FileView add(@PathVariable UUID id, @RequestPart("file") MultipartFile file) throws IOException {
    return FileView.of(laps.add(id, file.getOriginalFilename(), file.getBytes()));
  }

  @GetMapping("/api/sessions/{id}/debrief")
  DebriefView debrief(@PathVariable UUID id, @RequestParam(defaultValue = "") List<String> left) {
    return DebriefView.of(laps.debrief(id, left));
  }

  /** The line of a lap, one offset every step from the start line on; left positive. */
  record LineView(double step_m, double[] offset_m) {}

  @GetMapping("/api/laps/{id}/line")
  LineView line(@PathVariable UUID id, @RequestParam int lap) {
    double[] line = laps.line(id, lap, LINE_STEP_M);
    for (int k = 0; k < line.length; k++) {
      line[k] = Math.round(line[k] * 100) / 100.0;
    }
    return new LineView(LINE_STEP_M, line);
  }

  @GetMapping("/api/laps/{id}/file.csv")
  ResponseEntity<byte[]> file(@PathVariable UUID id) {
    StoredLapFile file = laps.file(id);
    return csv(file.bytes(), file.name());
  }

  @DeleteMapping("/api/laps/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable UUID id) {
    laps.remove(id);
  }

  /** A file of the simulated logger, which drives the session's book with a person's errors. */
  @GetMapping("/api/sessions/{id}/simulated.laps.csv")
  ResponseEntity<byte[]> simulated(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "6") int laps,
      @RequestParam(defaultValue = "1") long seed) {
    return csv(this.laps.simulated(id, laps, seed), "simulated.laps.csv");
  }

  private static ResponseEntity<byte[]> csv(byte[] bytes, String name) {
    String disposition = ContentDisposition.attachment().filename(name).build().toString();
    return ResponseEntity.ok()
        .contentType(CSV)
        .header(HttpHeaders.CONTENT_DISPOSITION, disposition)
        .body(bytes);
  }
}
