package marvek.server.rehearse;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import marvek.core.rehearse.ImaginedLap;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Laps in the head against the clock. */
@RestController
class StopwatchController {
  /** So many laps tell how steady one is. */
  private static final int LAPS_OF_SCATTER = 5;

  private final Stopwatch stopwatch;

  StopwatchController(Stopwatch stopwatch) {
    this.stopwatch = stopwatch;
  }

  /** Corner 0 is the line. */
  record BeatView(int corner, double at_s) {}

  record PartView(int corner, double reference_s, double imagined_s) {}

  record LapView(
      UUID id,
      Instant at,
      int revision,
      double reference_s,
      double imagined_s,
      List<PartView> parts) {
    static LapView of(StoredImaginedLap stored) {
      ImaginedLap lap = stored.lap();
      return new LapView(
          stored.id(),
          stored.createdAt(),
          stored.revision(),
          rounded(lap.referenceS()),
          rounded(lap.imaginedS()),
          lap.parts().stream()
              .map(p -> new PartView(p.corner(), rounded(p.referenceS()), rounded(p.imaginedS())))
              .toList());
    }
  }

  /**
   * The stopwatch of a book.
   *
   * @param scatter_s standard deviation of the last five laps; null with fewer than two
   */
  record StopwatchView(int revision, List<BeatView> beats, List<LapView> laps, Double scatter_s) {}

  private static double rounded(double seconds) {
    return Math.round(seconds * 1000) / 1000.0;
  }

  /** Laps in the head, and what is tapped at. */
  @GetMapping("/api/books/{id}/stopwatch")
  StopwatchView getStopwatch(@PathVariable UUID id) {
    Stopwatch.Beats beats = stopwatch.beats(id);
    List<StoredImaginedLap> laps = stopwatch.laps(id);
    List<Double> last =
        laps.subList(Math.max(0, laps.size() - LAPS_OF_SCATTER), laps.size()).stream()
            .map(lap -> lap.lap().imaginedS())
            .toList();
    return new StopwatchView(
        beats.revision(),
        beats.beats().stream().map(b -> new BeatView(b.corner(), rounded(b.atS()))).toList(),
        laps.stream().map(LapView::of).toList(),
        last.size() < 2 ? null : rounded(ImaginedLap.scatterS(last)));
  }

  /** Seconds of each tap since that at the start line. */
  record TapsBody(List<Double> taps_s) {}

  /** Keeps a lap in the head by its taps. */
  @PostMapping("/api/books/{id}/stopwatch")
  @ResponseStatus(HttpStatus.CREATED)
  LapView keepImaginedLap(@PathVariable UUID id, @RequestBody TapsBody body) {
    return LapView.of(stopwatch.keep(id, body.taps_s()));
  }

  /** Removes a lap in the head. */
  @DeleteMapping("/api/imagined-laps/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeImaginedLap(@PathVariable UUID id) {
    stopwatch.remove(id);
  }
}
