package marvek.server.laps;

import java.util.List;
import java.util.UUID;
import marvek.core.cause.Cause;
import marvek.core.cause.CornerAccount;
import marvek.core.cause.Finding;
import marvek.core.cause.LapAccounts;
import marvek.core.laps.CornerReading;
import marvek.core.laps.EdgeMargin;
import marvek.core.laps.ReadLap;
import marvek.core.laps.RecordedLap;
import marvek.core.page.CornerPage;
import marvek.core.say.Sentence;
import marvek.formats.LapsOnRoad;
import marvek.formats.Spelled;
import marvek.server.contract.OneOf;
import org.jspecify.annotations.Nullable;

/** Laps and what they did, as a client sees them. SI units; stations from the line of the lap. */
final class LapViews {
  private LapViews() {}

  /**
   * A slide that was caught: the wheel was taken back and turned in again.
   *
   * @param when entry, power or kerb
   */
  record SlideView(
      double at_m,
      double by_deg,
      double over_m,
      @OneOf(CornerReading.Correction.When.class) String when) {
    static SlideView of(CornerReading.Correction c) {
      return new SlideView(
          rounded(c.atM(), 1), rounded(c.byDeg(), 0), rounded(c.overM(), 1), Spelled.of(c.when()));
    }
  }

  /**
   * What hands and feet did; null where no channel tells it.
   *
   * @param slides that were caught, in driving order
   * @param wheelBeyond_deg wheel beyond what the turn needs; 0 where there was no more
   * @param overlap_s on both pedals for longer than a blip
   * @param downshifts with the clutch
   * @param matched of them, with the engine as fast as the lower gear asks for
   * @param engineShort_pct the slowest engine of them was so much too slow
   */
  record HandsAndFeetView(
      @Nullable List<SlideView> slides,
      @Nullable Double wheelBeyond_deg,
      @Nullable Double wheelBeyondFrom_m,
      @Nullable Double wheelBeyondOver_m,
      @Nullable Double overlap_s,
      @Nullable Integer downshifts,
      @Nullable Integer matched,
      @Nullable Double engineShort_pct) {
    static HandsAndFeetView of(CornerReading r) {
      List<CornerReading.Correction> slides = r.wheel().corrections();
      return new HandsAndFeetView(
          slides == null ? null : slides.stream().map(SlideView::of).toList(),
          rounded(r.wheel().beyondDeg(), 0),
          rounded(r.wheel().beyondAtM(), 1),
          rounded(r.wheel().beyondM(), 1),
          rounded(r.feet().overlapS(), 2),
          r.feet().downshifts(),
          r.feet().matched(),
          rounded(r.feet().shortPct(), 0));
    }
  }

  /**
   * How far the car's body stayed from the track limit.
   *
   * @param left_cm negative beyond it
   * @param error_cm standard error of that
   * @param standing clear, too-close-to-tell or beyond, by the positions alone
   */
  record MarginView(
      double left_cm, double error_cm, @OneOf(EdgeMargin.Standing.class) String standing) {
    static @Nullable MarginView of(@Nullable EdgeMargin margin) {
      return margin == null
          ? null
          : new MarginView(
              rounded(100 * margin.leftM(), 0),
              rounded(100 * margin.errorM(), 0),
              Spelled.of(margin.standing()));
    }
  }

  /**
   * How near a lap came to the limits of a corner; null where its positions do not tell.
   *
   * @param inside about the apex
   * @param outside behind it
   */
  record MarginsView(@Nullable MarginView inside, @Nullable MarginView outside) {
    static MarginsView of(SessionLaps read, ReadLap lap, int p) {
      CornerPage page = read.computed().reference().pages().get(p);
      CornerReading.Way way = lap.corners().get(p).way();
      double body = read.computed().basis().vehicle().bodyWidthM();
      return new MarginsView(
          MarginView.of(EdgeMargin.inside(way, page, body, lap.lineErrorM())),
          MarginView.of(EdgeMargin.outside(way, page, body, lap.lineErrorM())));
    }
  }

  /**
   * What a lap did in a corner; see the record of the same figures in the core.
   *
   * @param corrections how often the wheel was taken back and turned in again
   * @param delta_s slower than the page
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
      @Nullable HandsAndFeetView work,
      @Nullable MarginsView margins,
      Double entrySpeed_mps,
      Double exitSpeed_mps,
      Double time_s,
      Double delta_s) {
    /** The page's own. */
    static ReadingView of(CornerReading r) {
      return of(r, null, null);
    }

    static ReadingView of(
        CornerReading r, @Nullable CornerReading page, @Nullable MarginsView margins) {
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
          r.wheel().corrections() == null ? null : r.wheel().corrections().size(),
          HandsAndFeetView.of(r),
          margins,
          rounded(r.entryMps(), 2),
          rounded(r.exitMps(), 2),
          rounded(r.timeS(), 3),
          page == null ? null : slower(r, page));
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
    static LapView of(SessionLaps read, SessionLaps.DrivenLap lap) {
      return new LapView(
          lap.id(),
          lap.file(),
          lap.lap().number(),
          Spelled.of(lap.kind()),
          Spelled.of(lap.lap().kind()),
          lap.lap().isWhole(),
          lap.lap().isWhole() ? rounded(lap.lap().timeS(), 3) : null,
          readings(read, lap));
    }
  }

  private static Double slower(CornerReading lap, CornerReading page) {
    return lap.timeS() == null || page.timeS() == null
        ? null
        : rounded(lap.timeS() - page.timeS(), 3);
  }

  static List<ReadingView> readings(SessionLaps read, SessionLaps.DrivenLap lap) {
    List<CornerReading> corners = lap.corners();
    List<CornerReading> pages = read.page().corners();
    return java.util.stream.IntStream.range(0, corners.size())
        .mapToObj(
            p -> ReadingView.of(corners.get(p), pages.get(p), MarginsView.of(read, lap.read(), p)))
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
      List<Sentence> corrections,
      List<Sentence> missing) {
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
   * Something that cost laps time in a corner.
   *
   * @param rule the cause, by its name in small letters
   * @param with a second part of the same slip
   * @param at_m where it shows
   * @param amount metres, m/s, seconds, per cent or gears by the cause; null where no lap tells it
   * @param laps that show it
   * @param of so many laps count
   * @param often once, sometimes or habit
   * @param cost_s against the page, in a lap that shows it; null where it has no size
   * @param spread_s half of those laps lie within so much of it
   * @param own_s what the corner costs beyond one's own best through it
   * @param share of all that the laps lost to the page
   * @param later_s part that is paid for behind the next corner's lift
   */
  record FindingView(
      int corner,
      @OneOf(Cause.class) String rule,
      @OneOf(Cause.class) @Nullable String with,
      double at_m,
      @Nullable Double amount,
      List<String> laps,
      int of,
      @OneOf(Finding.Often.class) String often,
      @Nullable Double cost_s,
      @Nullable Double spread_s,
      @Nullable Double own_s,
      @Nullable Double share,
      @Nullable Double later_s,
      LapNotes.@Nullable Dismissed dismissed) {
    static FindingView of(Debriefs.Found found) {
      Finding f = found.finding();
      return new FindingView(
          f.corner(),
          Spelled.of(f.cause()),
          Spelled.of(f.with()),
          rounded(f.atM(), 1),
          rounded(f.amount(), 2),
          found.laps(),
          f.of(),
          Spelled.of(f.often()),
          rounded(f.costS(), 3),
          rounded(f.spreadS(), 3),
          rounded(f.ownS(), 3),
          rounded(f.shareOfLoss(), 3),
          rounded(f.laterS(), 3),
          found.dismissed());
    }
  }

  /**
   * What a cause takes of a lap's loss in a corner.
   *
   * @param amount in the cause's own unit
   */
  record PartView(@OneOf(Cause.class) String rule, double cost_s, double amount, double at_m) {
    static PartView of(CornerAccount.Part part) {
      return new PartView(
          Spelled.of(part.cause()),
          rounded(part.seconds(), 3),
          rounded(part.amount(), 2),
          rounded(part.atM(), 1));
    }
  }

  /**
   * What a lap lost in a corner, from its lift to the next one's, and what the speed that it took
   * away from there will still cost.
   *
   * @param unexplained_s what no cause takes
   */
  record AccountView(int corner, double lost_s, double unexplained_s, List<PartView> parts) {
    static AccountView of(CornerAccount account) {
      return new AccountView(
          account.corner(),
          rounded(account.lostS(), 3),
          rounded(account.unexplainedS(), 3),
          account.parts().stream().map(PartView::of).toList());
    }
  }

  /**
   * Where a lap lost its time: what was brought over the line, the corners and, less what is paid
   * for in the next lap, add up to its loss.
   *
   * @param id of the lap
   */
  record LapAccountsView(
      String id, double lost_s, double brought_s, double handedOn_s, List<AccountView> corners) {
    static LapAccountsView of(String id, LapAccounts accounts) {
      return new LapAccountsView(
          id,
          rounded(accounts.lostS(), 3),
          rounded(accounts.broughtS(), 3),
          rounded(accounts.handedOnS(), 3),
          accounts.corners().stream().map(AccountView::of).toList());
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
