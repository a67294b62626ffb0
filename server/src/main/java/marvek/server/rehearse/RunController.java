package marvek.server.rehearse;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import marvek.core.rehearse.Act;
import marvek.core.rehearse.RunThrough;
import marvek.formats.Spelled;
import marvek.server.contract.OneOf;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The strip that comes towards the driver: what is to be pressed, and what was. */
@RestController
class RunController {
  private final Runs runs;

  RunController(Runs runs) {
    this.runs = runs;
  }

  /** An act of the lap; its kind by its name in small letters. */
  record ActView(int corner, @OneOf(Act.Kind.class) String kind, double at_m, double at_s) {
    static ActView of(Act act) {
      return new ActView(
          act.corner(), Spelled.of(act.kind()), rounded(act.atM()), rounded(act.atS()));
    }
  }

  /** An act with how late it was pressed; null members if it was not. */
  record HitView(
      int corner,
      @OneOf(Act.Kind.class) String kind,
      double at_m,
      double at_s,
      Double off_s,
      Double off_m) {
    static HitView of(RunThrough.Hit hit) {
      ActView act = ActView.of(hit.act());
      return new HitView(
          act.corner(), act.kind(), act.at_m(), act.at_s(), known(hit.offS()), known(hit.offM()));
    }
  }

  /** What a corner came to: mean distance of its presses, whichever way. */
  record CornerView(int corner, int acts, int missed, Double mean_m) {
    static CornerView of(RunThrough.CornerScore c) {
      return new CornerView(c.corner(), c.acts(), c.missed(), known(c.meanM()));
    }
  }

  record RunView(
      UUID id,
      Instant at,
      int revision,
      double speedShare,
      @OneOf(StoredRun.Help.class) String help,
      double until_s,
      int extra,
      List<CornerView> corners,
      List<HitView> hits) {
    static RunView of(StoredRun stored) {
      RunThrough run = stored.run();
      return new RunView(
          stored.id(),
          stored.createdAt(),
          stored.revision(),
          stored.speedShare(),
          Spelled.of(stored.help()),
          rounded(run.untilS()),
          run.extra(),
          run.corners().stream().map(CornerView::of).toList(),
          run.hits().stream().map(HitView::of).toList());
    }
  }

  record RunsView(int revision, double lap_s, List<ActView> acts, List<RunView> runs) {}

  private static double rounded(double value) {
    return Math.round(value * 1000) / 1000.0;
  }

  private static Double known(Double value) {
    return value == null ? null : Double.valueOf(rounded(value));
  }

  /** What is to be pressed on the lap, and the run-throughs so far. */
  @GetMapping("/api/books/{id}/runs")
  RunsView listRuns(@PathVariable UUID id) {
    Runs.Lap lap = runs.lap(id);
    return new RunsView(
        lap.revision(),
        rounded(lap.lapS()),
        lap.acts().stream().map(ActView::of).toList(),
        runs.of(id).stream().map(RunView::of).toList());
  }

  /** A key that was pressed at a time in the lap, as it would be at full speed. */
  record PressBody(@OneOf(Act.Kind.class) String kind, double at_s) {}

  /**
   * A run that is over.
   *
   * @param help plates, marks, road or dark
   * @param until_s time in the lap at which it ended
   */
  record RunBody(
      int revision,
      double speedShare,
      @OneOf(StoredRun.Help.class) String help,
      double until_s,
      List<PressBody> presses) {}

  /** Keeps a run-through by what was pressed. */
  @PostMapping("/api/books/{id}/runs")
  @ResponseStatus(HttpStatus.CREATED)
  RunView keepRun(@PathVariable UUID id, @RequestBody RunBody body) {
    List<PressBody> presses = body.presses() == null ? List.of() : body.presses();
    return RunView.of(
        runs.keep(
            id,
            body.revision(),
            body.speedShare(),
            Spelled.read(StoredRun.Help.class, "help", body.help()),
            presses.stream()
                .map(
                    p ->
                        new RunThrough.Press(
                            Spelled.read(Act.Kind.class, "kind", p.kind()), p.at_s()))
                .toList(),
            body.until_s()));
  }

  /** Removes a run-through. */
  @DeleteMapping("/api/runs/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeRun(@PathVariable UUID id) {
    runs.remove(id);
  }
}
