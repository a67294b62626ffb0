package marvek.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.function.UnaryOperator;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.drive.PageDrive;
import marvek.core.drive.StakesRun;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerTime;
import marvek.core.page.Driven;
import marvek.core.page.OwnValues;
import marvek.core.page.Stakes;
import marvek.core.profile.Lap;

/**
 * What must not happen on any page, whatever the road, the vehicle and the line: written as an
 * enemy would. Each of these happened once.
 */
public final class PageProperties {
  /** More than this is no rounding: the grip that a page leaves unused is worth less. */
  private static final double GAIN_S = 0.02;

  /** As far out as it gets but for this: where that is hardly told. */
  private static final double NEAR_M = 0.31;

  /** A later throttle that is free for its first metres has its cost from here on. */
  private static final double RATE_FROM_M = 10;

  private final Reference.Basis basis;
  private final Conditions day;
  private final Road road;
  private final ModelReference alone;
  private final Reference model;

  public PageProperties(Reference.Basis basis, Conditions day) {
    this.basis = basis;
    this.day = day;
    this.road = basis.path().road();
    this.alone = ModelReference.on(basis, day);
    this.model = Reference.of(alone, List.of());
  }

  private Reference with(int corner, UnaryOperator<OwnValues.Builder> wish) {
    return Reference.of(alone, List.of(wish.apply(OwnValues.in(corner)).build()));
  }

  private double lost(Reference changed) {
    return changed.lap().timeS() - model.lap().timeS();
  }

  /** Points lie in their own corner, in the order in which they are driven. */
  public void pointsAreInTheirOwnCornerAndInOrder() {
    List<CornerPage> pages = model.modelPages();
    for (int p = 0; p < pages.size(); p++) {
      CornerPage page = pages.get(p);
      Double first = page.throttle().firstM();
      Double full = page.throttle().fullM();
      Double release = page.trailBrake() == null ? null : page.trailBrake().releaseM();
      String at = "corner " + page.corner();
      inOrder(at + ": brake, release", page.brake().atM(), release);
      inOrder(at + ": turn-in, apex", page.turnIn().atM(), page.apexes().get(0).atM());
      inOrder(at + ": apex, track-out", lastApexM(page), page.exit().trackOutM());
      inOrder(at + ": throttle, full", first, full);
      if (page.brake().atM() != null) {
        // A compound corner is braked twice, with throttle between; none is driven out of before it
        // is driven into, where the road bends or where the line that swings out for it turns in.
        boolean early = road.offsetBetween(page.turnIn().atM(), page.fromM()) > 0;
        double begins = early ? page.turnIn().atM() : page.fromM();
        inOrder(at + ": its begin, first throttle", begins, first);
      }
      nowhereFartherOutBefore(page);
      assertThat(page.timeS()).as("%s lasts", at).isGreaterThan(0.2);
      boolean alone = pages.size() == 1;
      for (Double point : points(page)) {
        if (!alone && (road.closed() || p > 0)) {
          CornerPage before = pages.get(Math.floorMod(p - 1, pages.size()));
          inOrder(at + ": after the apex before", lastApexM(before), point);
        }
        if (!alone && (road.closed() || p + 1 < pages.size())) {
          CornerPage next = pages.get((p + 1) % pages.size());
          inOrder(at + ": before the next apex", point, next.apexes().get(0).atM());
        }
      }
    }
  }

  /** From the apex on the car comes out, until the track-out. */
  private void nowhereFartherOutBefore(CornerPage page) {
    int exit = road.indexOf(page.exit().trackOutM());
    for (int i = road.indexOf(lastApexM(page)); i != exit; i = road.wrap(i + 1)) {
      assertThat(roomOutside(page, i))
          .as("corner %d at %.0f m", page.corner(), road.stationAt(i))
          .isGreaterThanOrEqualTo(roomOutside(page, exit) - NEAR_M);
    }
  }

  /** From the car's middle to the edge of the road outside of a corner [m]. */
  private double roomOutside(CornerPage page, int i) {
    double offset = basis.path().offsetAt(i);
    return page.direction() == Side.LEFT
        ? road.widthRightAt(i) + offset
        : road.widthLeftAt(i) - offset;
  }

  /** A line that keeps its place across the road has its apex where the corner is slowest. */
  public void withoutAnApexItIsTheSlowestPlace() {
    Lap lap = model.modelLap();
    for (CornerPage page : model.modelPages()) {
      double apexM = page.apexes().get(0).atM();
      double length = road.distance(page.fromM(), page.toM());
      // The corner begins and ends between two samples: the nearest ones are its own.
      assertThat(road.offsetBetween(page.fromM(), apexM))
          .as("corner %d, apex within", page.corner())
          .isBetween(-road.stepM() / 2, length + road.stepM() / 2);
      double slowest = lap.speedAt(road.indexOf(apexM));
      for (double along = 0; along <= length; along += road.stepM()) {
        assertThat(lap.speedAt(road.indexOf(road.wrapStation(page.fromM() + along))))
            .as("corner %d", page.corner())
            .isGreaterThanOrEqualTo(slowest - 1e-9);
      }
    }
  }

  private static double lastApexM(CornerPage page) {
    return page.apexes().get(page.apexes().size() - 1).atM();
  }

  private static List<Double> points(CornerPage page) {
    return java.util.stream.Stream.of(
            page.brake().atM(),
            page.turnIn().atM(),
            page.trailBrake() == null ? null : page.trailBrake().releaseM(),
            page.throttle().firstM(),
            page.throttle().fullM(),
            page.exit().trackOutM(),
            page.lowestSpeedAtM())
        .filter(java.util.Objects::nonNull)
        .toList();
  }

  private void inOrder(String what, Double first, Double second) {
    if (first != null && second != null) {
      assertThat(road.offsetBetween(first, second)).as(what).isGreaterThanOrEqualTo(0);
    }
  }

  /**
   * Driving the model's own pages is the model: made, on its grip, in its time.
   *
   * @param timeS by which a corner's time may differ
   */
  public void drivingTheModelsPagesIsTheModel(double timeS, double grip) {
    Lap lap = model.modelLap();
    for (int p = 0; p < model.modelPages().size(); p++) {
      Driven driven = model.driven().get(p);
      assertThat(driven.made()).as("%s", driven).isTrue();
      assertThat(driven.gripNeeded()).as("%s", driven).isLessThan(grip * day.gripUsed());
      PageDrive.AsTheLap drive = PageDrive.asTheLap(lap, basis.circuit(), model.modelPages(), p);
      double seconds = 0;
      int begin = position(drive, CornerTime.beginsAtM(model.modelPages().get(p), road));
      int end = drive.result().speedsMps().length - 1;
      if (p + 1 < model.modelPages().size()) {
        double next = CornerTime.beginsAtM(model.modelPages().get(p + 1), road);
        end = Math.min(end, position(drive, next));
      }
      for (int k = begin; k < end; k++) {
        int i = road.wrap(drive.start() + k);
        double ds = lap.path().elementAt(i);
        seconds += 2 * ds / (drive.result().speedsMps()[k] + drive.result().speedsMps()[k + 1]);
        seconds -= 2 * ds / (lap.speedAt(i) + lap.speedAt(road.wrap(i + 1)));
      }
      assertThat(seconds).as("corner %d", driven.corner()).isCloseTo(0, within(timeS));
    }
  }

  private int position(PageDrive.AsTheLap drive, double stationM) {
    return Math.max(0, Math.floorMod(road.indexOf(stationM) - drive.start(), road.size()));
  }

  /** A later brake, a harder one, an earlier throttle, a faster apex: alone none of it gains. */
  public void overdrivingGainsNothing() {
    for (CornerPage page : model.modelPages()) {
      if (page.brake().atM() != null) {
        for (double later : new double[] {1, 3, 6, 15}) {
          gainsNothing(page, o -> o.brakeAtM(on(page.brake().atM() + later)));
        }
        for (double more : new double[] {3, 10, 25}) {
          double pct = Math.min(100, page.brake().initialPct() + more);
          gainsNothing(page, o -> o.initialPct(pct));
        }
      }
      if (page.trailBrake() != null && page.trailBrake().atTurnInPct() > 1) {
        double pct = Math.min(100, page.trailBrake().atTurnInPct() + 40);
        gainsNothing(page, o -> o.turnInPct(pct));
      }
      if (page.throttle().firstM() != null) {
        for (double earlier : new double[] {2, 5, 10}) {
          gainsNothing(page, o -> o.throttleFirstM(on(page.throttle().firstM() - earlier)));
        }
      }
      if (page.throttle().fullM() != null) {
        gainsNothing(page, o -> o.throttleFullM(on(page.throttle().fullM() - 8)));
      }
      gainsNothing(page, o -> o.apexSpeedMps(page.lowestSpeedMps() + 1));
    }
  }

  private double on(double stationM) {
    return road.closed()
        ? road.wrapStation(stationM)
        : Math.max(0, Math.min(road.lengthM(), stationM));
  }

  private void gainsNothing(CornerPage page, UnaryOperator<OwnValues.Builder> wish) {
    Reference changed = with(page.corner(), wish);
    assertThat(lost(changed))
        .as("corner %d of %s", page.corner(), changed.pages().get(model.modelPages().indexOf(page)))
        .isGreaterThan(-GAIN_S);
  }

  /** A later release, an earlier brake, a later throttle cost, in proportion to their stakes. */
  public void driftingOffCosts() {
    List<Stakes> stakes = alone.stakes();
    for (int p = 0; p < stakes.size(); p++) {
      CornerPage page = model.modelPages().get(p);
      Stakes stake = stakes.get(p);
      if (stake.brake5mEarlyS() != null) {
        for (double earlier : new double[] {2, 5, 10}) {
          Reference early = with(page.corner(), o -> o.brakeAtM(on(page.brake().atM() - earlier)));
          costs(page, early, earlier / 5 * stake.brake5mEarlyS());
        }
      }
      if (stake.throttle10mLateS() != null) {
        double late = on(page.throttle().firstM() + RATE_FROM_M);
        costs(page, with(page.corner(), o -> o.throttleFirstM(late)), stake.throttle10mLateS());
      }
      if (page.trailBrake() != null) {
        for (double later : new double[] {5, 25}) {
          double at = on(page.trailBrake().releaseM() + later);
          Double rate = stake.throttle10mLateS();
          // The throttle waits only where the brake is let go of behind its first point.
          double waits = rate == null ? 0 : road.offsetBetween(page.throttle().firstM(), at);
          double stakeS = rate == null ? 0 : Math.max(0, waits) / 10 * rate;
          costs(page, with(page.corner(), o -> o.releaseM(at)), stakeS);
        }
      }
    }
  }

  /**
   * At least half of the stake's rate, where it is more than a hundredth. A foot that waits may
   * hide a change of gear, which is worth more than the wait: then it gains no more than that.
   */
  private void costs(CornerPage page, Reference changed, double stakeS) {
    double hidden = inOtherGears(changed) ? GAIN_S - 0.005 : 0;
    double least = (stakeS > 0.01 ? stakeS / 2 - 0.005 : -0.005) - hidden;
    assertThat(lost(changed))
        .as("corner %d, stake %.3f s", page.corner(), stakeS)
        .isGreaterThanOrEqualTo(least);
  }

  private boolean inOtherGears(Reference changed) {
    for (int i = 0; i < road.size(); i++) {
      if (changed.lap().gearAt(i) != model.lap().gearAt(i)) {
        return true;
      }
    }
    return false;
  }

  /**
   * A tenth of a slip costs about a tenth, or by the square a hundredth, of the whole; nothing for
   * a slip that begins in what a corner leaves to spare.
   */
  public void stakesAreInProportion() {
    List<Stakes> whole = StakesRun.of(model.modelLap(), model.modelPages());
    List<Stakes> tenth = StakesRun.of(model.modelLap(), model.modelPages(), 0.1);
    for (int p = 0; p < whole.size(); p++) {
      Stakes all = whole.get(p);
      Stakes part = tenth.get(p);
      String at = "corner " + model.modelPages().get(p).corner() + ", " + all + " and " + part;
      inProportion(at, all.brake5mEarlyS(), part.brake5mEarlyS(), 0.05);
      inProportion(at, all.exit1kmhSlowerS(), part.exit1kmhSlowerS(), 0.005);
      inProportion(at, all.apex2kmhSlowerS(), part.apex2kmhSlowerS(), 0);
      inProportion(at, all.throttle10mLateS(), part.throttle10mLateS(), 0);
      inProportion(at, all.apexHalfMetreOffS(), part.apexHalfMetreOffS(), 0);
    }
  }

  private static void inProportion(String at, Double all, Double part, double least) {
    if (all != null) {
      assertThat(all).as(at).isBetween(-0.0005, 0.8);
      assertThat(part).as(at).isBetween(least * all - 0.0015, 0.15 * all + 0.0015);
    }
  }

  /** One step more of a kerb never makes the lap slower: there is only more road. */
  public void moreKerbIsNeverSlower() {
    for (CornerPage page : model.modelPages()) {
      stepsOf(page, page.limits().apex().kerb(), OwnValues.Builder::kerbApex);
      stepsOf(page, page.limits().exit().kerb(), OwnValues.Builder::kerbExit);
    }
  }

  private interface KerbWish {
    OwnValues.Builder on(OwnValues.Builder own, Kerb.Use use);
  }

  private void stepsOf(CornerPage page, Kerb kerb, KerbWish wish) {
    if (kerb == null) {
      return;
    }
    double last = Double.POSITIVE_INFINITY;
    for (Kerb.Use use : Kerb.Use.values()) {
      Reference used = with(page.corner(), o -> wish.on(o, use));
      double lost = lost(used);
      assertThat(lost)
          .as("corner %d, kerb used %s", page.corner(), use)
          .isLessThan(Math.min(last, 1) + GAIN_S);
      last = use.compareTo(kerb.use()) < 0 ? last : lost;
      double before = model.lap().speedAt(road.indexOf(page.lowestSpeedAtM()));
      double then = used.lap().speedAt(road.indexOf(page.lowestSpeedAtM()));
      assertThat(then).as("corner %d, %s", page.corner(), use).isGreaterThan(0.8 * before);
    }
  }
}
