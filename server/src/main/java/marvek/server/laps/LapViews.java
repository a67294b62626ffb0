package marvek.server.laps;

import java.util.List;
import java.util.UUID;
import marvek.core.laps.Charges;
import marvek.core.laps.CornerReading;
import marvek.core.laps.Finding;
import marvek.core.laps.RecordedLap;
import marvek.formats.LapsOnRoad;
import marvek.formats.Spelled;
import marvek.server.contract.OneOf;
import org.jspecify.annotations.Nullable;

/** Laps and what they did, as a client sees them. SI units; stations from the line of the lap. */
final class LapViews {
  private LapViews() {}

  /**
   * What a lap did in a corner; see the record of the same figures in the core.
   *
   * @param delta_s slower than the page
   * @param brought_s part of it that the corner before is to blame for
   * @param charged_s what this corner is to blame for
   */
  record ReadingView(
      int corner,
      Double brakeOn_m,
      Double brakePeak_pct,
      Double brakeAtTurnIn_pct,
      Double release_m,
      Boolean lockSuspected,
      Double turnIn_m,
      Double lowestSpeed_mps,
      Double lowestSpeed_m,
      Integer gear,
      Double firstThrottle_m,
      Double fullThrottle_m,
      Double coasting_s,
      Integer throttlePickUps,
      Double lift_pct,
      Integer upshifts,
      Double inside_m,
      Double insideAt_m,
      Double outside_m,
      Integer corrections,
      Double entrySpeed_mps,
      Double exitSpeed_mps,
      Double time_s,
      Double delta_s,
      Double brought_s,
      Double charged_s) {
    static ReadingView of(CornerReading r, Charges.Loss loss) {
      return new ReadingView(
          r.corner(),
          rounded(r.braking().onM(), 1),
          rounded(r.braking().peakPct(), 1),
          rounded(r.braking().atTurnInPct(), 1),
          rounded(r.braking().releaseM(), 1),
          r.braking().locked(),
          rounded(r.way().turnInM(), 1),
          rounded(r.slowest().speedMps(), 2),
          rounded(r.slowest().atM(), 1),
          r.slowest().gear(),
          rounded(r.throttle().firstM(), 1),
          rounded(r.throttle().fullM(), 1),
          rounded(r.throttle().coastingS(), 2),
          r.throttle().pickUps(),
          rounded(r.throttle().liftPct(), 0),
          r.throttle().upshifts(),
          rounded(r.way().insideM(), 2),
          rounded(r.way().insideAtM(), 1),
          rounded(r.way().outsideM(), 2),
          r.way().corrections(),
          rounded(r.entryMps(), 2),
          rounded(r.exitMps(), 2),
          rounded(r.timeS(), 3),
          loss == null ? null : rounded(loss.lostS(), 3),
          loss == null ? null : rounded(loss.broughtS(), 3),
          loss == null ? null : rounded(loss.chargedS(), 3));
    }
  }

  /**
   * A lap.
   *
   * @param id of the file and the lap's number in it
   * @param kind out, flying, off, slow, other-surface, broken or in
   * @param recognised the kind before somebody said otherwise
   * @param time_s null in laps that were not recorded from line to line
   */
  record LapView(
      String id,
      UUID file,
      int number,
      @OneOf(RecordedLap.Kind.class) String kind,
      @OneOf(RecordedLap.Kind.class) String recognised,
      boolean whole,
      Double time_s,
      List<ReadingView> corners) {
    static LapView of(SessionLaps.DrivenLap lap) {
      return new LapView(
          lap.id(),
          lap.file(),
          lap.lap().number(),
          Spelled.of(lap.kind()),
          Spelled.of(lap.lap().kind()),
          lap.lap().isWhole(),
          lap.lap().isWhole() ? rounded(lap.lap().timeS(), 3) : null,
          readings(lap));
    }
  }

  static List<ReadingView> readings(SessionLaps.DrivenLap lap) {
    List<CornerReading> corners = lap.corners();
    return java.util.stream.IntStream.range(0, corners.size())
        .mapToObj(p -> ReadingView.of(corners.get(p), lap.losses().get(p)))
        .toList();
  }

  /**
   * What a file's positions had of their own.
   *
   * @param lag_s by which they came behind the other channels
   * @param shift_m by which all of them lay off as one
   * @param noise_m by which each of them scatters
   */
  record PutRight(double lag_s, double shift_m, double noise_m) {
    static PutRight of(LapsOnRoad laps) {
      return new PutRight(
          rounded(laps.placed().lagS(), 3),
          rounded(Math.hypot(laps.placed().shiftEastM(), laps.placed().shiftNorthM()), 1),
          rounded(laps.placed().noiseM(), 1));
    }
  }

  /**
   * A file and what became of it.
   *
   * @param driver whose laps they are; empty for the book's own
   * @param vehicle that they were driven in; empty for the book's
   * @param put_right how far its positions were moved, in time and in place
   * @param missing what it has no channel for, in words
   */
  record FileView(
      UUID id,
      String name,
      String driver,
      String vehicle,
      int samples,
      PutRight put_right,
      List<String> used,
      List<String> unknown,
      List<String> corrections,
      List<String> missing) {
    static FileView of(Laps.KeptFile file) {
      LapsOnRoad laps = file.laps();
      return new FileView(
          file.stored().id(),
          file.stored().name(),
          file.whose().driver(),
          file.whose().vehicle(),
          laps.recording().size(),
          PutRight.of(laps),
          laps.used(),
          laps.unknown(),
          laps.corrections(),
          laps.missing());
    }
  }

  /**
   * Something that several laps did otherwise than the page.
   *
   * @param rule by its name in small letters
   * @param amount metres, m/s, seconds, presses or gears by the rule
   * @param laps that show it
   * @param of so many that could be read for it
   * @param cost_s null where neither the model nor the laps tell
   * @param sizedBy model or laps
   * @param inNext_s part of the corner's loss that is lost in the next one
   */
  record FindingView(
      int corner,
      @OneOf(Finding.Rule.class) String rule,
      double amount,
      List<String> laps,
      int of,
      Double cost_s,
      @OneOf(Finding.SizedBy.class) @Nullable String sizedBy,
      Double inNext_s,
      LapNotes.@Nullable Dismissed dismissed) {
    static FindingView of(Debriefs.Found found) {
      Finding f = found.finding();
      return new FindingView(
          f.corner(),
          Spelled.of(f.rule()),
          rounded(f.amount(), 2),
          found.laps(),
          f.of(),
          rounded(f.costS(), 3),
          Spelled.of(f.sizedBy()),
          rounded(f.inNextS(), 3),
          found.dismissed());
    }
  }

  static Double rounded(Double value, int decimals) {
    if (value == null || value.isNaN()) {
      return null;
    }
    double scale = Math.pow(10, decimals);
    return Math.round(value * scale) / scale;
  }
}
