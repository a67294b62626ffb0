package marvek.core.page;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.profile.Controls;
import marvek.core.profile.Lap;

/**
 * The points of a page as a driver's controls along a part of a lap. What the lap does between its
 * own points is stretched between those of the page; metres count from the part's beginning.
 */
final class PageControls implements Controls {
  /** Points nearer than this are the same. */
  private static final double SAME_M = 0.5;

  /** Beyond the points themselves the lap already does the next thing. */
  private static final double INSIDE_M = 2;

  /** No change of gear takes more samples than this. */
  private static final int LONGEST_CHANGE = 60;

  private final Lap lap;
  private final int start;
  private final Points of;
  private final Points wanted;
  private final double initialScale;
  private final double turnInScale;

  /**
   * Points of a corner in metres from the beginning of the part.
   *
   * @param actM where the foot leaves the throttle; infinite without braking, as the next two
   * @param brakeM where the brakes are half built up
   * @param releaseM first metre off the brake
   * @param lowestMps speed that is held until the throttle
   */
  record Points(
      double actM,
      double brakeM,
      double turnInM,
      double releaseM,
      double firstM,
      double fullM,
      double lowestMps) {}

  private PageControls(
      Lap lap, int start, Points of, Points wanted, double initialScale, double turnInScale) {
    this.lap = lap;
    this.start = start;
    this.of = of;
    this.wanted = wanted;
    this.initialScale = initialScale;
    this.turnInScale = turnInScale;
  }

  /** What the lap itself does. */
  static PageControls of(Lap lap, int start, Points points) {
    return new PageControls(lap, start, points, points, 1, 1);
  }

  /**
   * What a driver wants instead.
   *
   * @param page the model's, for the pressures that the driver's own stand against
   * @param own the driver's own values of the corner
   */
  PageControls with(CornerPage page, OwnValues own) {
    double act = of.actM();
    double brake = of.brakeM();
    if (own.brakeAtM() != null && metres(own.brakeAtM()) > act + SAME_M) {
      brake += metres(own.brakeAtM()) - act;
      act = metres(own.brakeAtM());
    }
    double release = own.releaseM() == null ? of.releaseM() : metres(own.releaseM());
    double first = of.firstM();
    if (own.throttleFirstM() != null && metres(own.throttleFirstM()) < first - SAME_M) {
      first = metres(own.throttleFirstM());
    }
    double full = own.throttleFullM() == null ? of.fullM() : metres(own.throttleFullM());
    double turnIn = own.turnInM() == null ? of.turnInM() : metres(own.turnInM());
    double lowest = own.apexSpeedMps() == null ? of.lowestMps() : own.apexSpeedMps();
    Points points =
        new Points(
            act,
            brake,
            turnIn,
            Math.max(release, brake + INSIDE_M),
            first,
            Math.max(full, first + 1),
            Math.max(lowest, of.lowestMps()));
    return new PageControls(
        lap,
        start,
        of,
        points,
        share(own.initialPct(), page.brake().initialPct()),
        share(own.turnInPct(), page.trailBrake() == null ? null : page.trailBrake().atTurnInPct()));
  }

  /** Names of own values that ask for more than the model does. */
  static List<String> beyondTheModel(CornerPage page, OwnValues own) {
    List<String> fields = new ArrayList<>();
    later(fields, "brake.at_m", page.brake().atM(), own.brakeAtM());
    later(fields, "throttle.first_m", own.throttleFirstM(), page.throttle().firstM());
    later(fields, "throttle.full_m", own.throttleFullM(), page.throttle().fullM());
    later(fields, "apexes.speed_mps", page.lowestSpeedMps(), own.apexSpeedMps());
    if (own.initialPct() != null) {
      fields.add("brake.initial_pct");
    }
    if (own.turnInM() != null) {
      fields.add("turnIn.at_m");
    }
    if (own.turnInPct() != null) {
      fields.add("trailBrake.atTurnIn_pct");
    }
    if (own.releaseM() != null) {
      fields.add("trailBrake.release_m");
    }
    return fields;
  }

  private static void later(List<String> fields, String field, Double first, Double second) {
    if (first != null && second != null && second > first) {
      fields.add(field);
    }
  }

  private static double share(Double own, Double model) {
    return own == null || model == null || model < 1 ? 1 : own / model;
  }

  /** Whether nothing is done otherwise than in the lap. */
  boolean asTheLap() {
    return of.equals(wanted) && initialScale == 1 && turnInScale == 1;
  }

  private double metres(double stationM) {
    Road road = lap.path().road();
    return road.offsetBetween(road.stationAt(start), stationM);
  }

  private int sample(double metres) {
    Road road = lap.path().road();
    return road.wrap(start + (int) Math.round(metres / road.stepM()));
  }

  @Override
  public double actAtM() {
    return wanted.actM();
  }

  @Override
  public double lapBrakesM() {
    return of.brakeM();
  }

  @Override
  public double firstThrottleM() {
    return wanted.firstM();
  }

  @Override
  public double fullThrottleM() {
    return wanted.fullM();
  }

  @Override
  public double lowestMps() {
    return wanted.lowestMps();
  }

  @Override
  public double brakeShare(double metres) {
    if (metres >= wanted.releaseM()) {
      return 0;
    }
    double share = (metres - wanted.brakeM()) / (wanted.releaseM() - wanted.brakeM());
    double there = of.brakeM() + share * (of.releaseM() - of.brakeM());
    return scale(metres) * lap.brakeShareAt(sample(Math.max(there, of.brakeM() + INSIDE_M)));
  }

  /** From the own first pressure to the own pressure at turn-in, which then stays in proportion. */
  private double scale(double metres) {
    double way = wanted.turnInM() - wanted.brakeM();
    double share = way > 0 ? (metres - wanted.brakeM()) / way : 1;
    double within = Math.max(0, Math.min(1, share));
    return initialScale + within * (turnInScale - initialScale);
  }

  @Override
  public double throttleShare(double metres) {
    if (metres < wanted.actM() && metres < wanted.firstM()) {
      double latest = Math.min(of.brakeM(), of.firstM()) - INSIDE_M;
      return throttleAt(sample(Math.min(metres, latest)));
    }
    if (metres >= wanted.fullM()) {
      return throttleAt(sample(Math.max(metres, of.fullM())));
    }
    double share = (metres - wanted.firstM()) / (wanted.fullM() - wanted.firstM());
    return throttleAt(sample(of.firstM() + share * (of.fullM() - of.firstM())));
  }

  /** While a gear is changed the foot stays as it was: the cut of the drive is the gearbox's. */
  private double throttleAt(int sample) {
    Road road = lap.path().road();
    int i = sample;
    for (int k = 0; k < LONGEST_CHANGE && lap.shiftingAt(i); k++) {
      i = road.wrap(i - 1);
    }
    return lap.throttleShareAt(i);
  }
}
