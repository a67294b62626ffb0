package marvek.core.cause;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.laps.Channel;
import marvek.core.laps.Recording;
import marvek.core.page.CornerPage;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;

/**
 * A driver with feet and a car of his own, apart from everything in the core: a point that is moved
 * a thousand times a second by an engine, a brake, air and hills, and follows the speeds of a book
 * as a person does, with slips that are planted. Of the core he has the road, the vehicle's numbers
 * and the page's speeds, gears and line, which say what he means to do.
 */
final class SlipDriver {
  static final double STEP_S = 0.004;
  private static final double G0 = 9.80665;

  /** A foot needs so long from none to all of a pedal. */
  private static final double PRESS_S = 0.2;

  /** So far ahead he is with hands and feet. */
  private static final double LOOK_S = 0.08;

  /** How he holds his speed: what is missing is made good in so long. */
  private static final double FOLLOW_PER_S = 8;

  enum Kind {
    BRAKES_EARLY,
    BRAKES_EARLY_AND_ROLLS,
    COASTS,
    OVER_SLOWS,
    THROTTLE_LATE,
    LIFTS,
    GEAR_HIGHER,
    WIDE_AT_APEX,
    /** The rear steps out under power: half the throttle, and the wheel taken back [°]. */
    SLIDES,
    /** The front slides: more wheel, and less speed [% of the wheel]. */
    PUSHES,
    /** On the brake behind its end [m]. */
    HOLDS_LONG,
    /** Off the throttle where it can stay flat [%]. */
    LIFTS_FLAT
  }

  /**
   * A slip in a corner.
   *
   * @param corner index of the page
   * @param amount metres, seconds for coasting, m/s for the speed, per cent for a lift
   */
  record Slip(int corner, Kind kind, double amount) {}

  /** What everybody is off by in a corner of a lap: metres of brake, share of speed, metres. */
  private record Scatter(double earlyM, double slowShare, double lateM) {}

  private final Reference book;
  private final Road road;
  private final Vehicle car;
  private final double massKg;
  private final double dragPerM;
  private final int n;
  private final double step;
  private final double[] speed;
  private final double[] throttle;
  private final double[] brakes;
  private final int[] gear;
  private final List<CornerPage> pages;

  /**
   * @param car that is driven, the book's or another
   */
  SlipDriver(Reference book, Vehicle car) {
    this.book = book;
    this.car = car;
    this.road = book.path().road();
    this.massKg = car.massKg() + car.driverKg() + book.lap().conditions().fuelKg();
    this.dragPerM = 0.5 * book.lap().conditions().airDensityKgM3() * car.aero().cdAM2();
    this.n = road.size();
    this.step = road.stepM();
    this.pages = book.pages();
    speed = new double[n];
    throttle = new double[n];
    brakes = new double[n];
    gear = new int[n];
    for (int i = 0; i < n; i++) {
      speed[i] = book.lap().speedAt(i);
      throttle[i] = book.lap().elementThrottleShareAt(i);
      brakes[i] = book.lap().brakeShareAt(i);
      gear[i] = book.lap().gearAt(i);
    }
  }

  /** Laps as a logger has them: time of each lap known to a thousandth. */
  record Drive(List<double[]> states, List<Double> lapS, Road road, Reference book) {
    /**
     * What a logger writes.
     *
     * @param hz of all channels
     * @param pedals whether pedals and gears are written
     */
    Recording recorded(double hz, double positionNoiseM, boolean pedals, long seed) {
      Random random = new Random(seed);
      int every = (int) Math.round(1 / (hz * STEP_S));
      int count = states.size() / every;
      double[] time = new double[count];
      Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
      List<Channel> written =
          pedals
              ? List.of(
                  Channel.X,
                  Channel.Y,
                  Channel.SPEED,
                  Channel.BRAKE,
                  Channel.THROTTLE,
                  Channel.GEAR,
                  Channel.LATERAL_G,
                  Channel.STEER)
              : List.of(Channel.X, Channel.Y, Channel.SPEED);
      written.forEach(channel -> channels.put(channel, new double[count]));
      for (int k = 0; k < count; k++) {
        double[] s = states.get(k * every);
        time[k] = s[0];
        double[] place = place(s[1], s[2]);
        channels.get(Channel.X)[k] = place[0] + positionNoiseM * random.nextGaussian();
        channels.get(Channel.Y)[k] = place[1] + positionNoiseM * random.nextGaussian();
        channels.get(Channel.SPEED)[k] = s[3] + 0.03 * random.nextGaussian();
        if (pedals) {
          channels.get(Channel.BRAKE)[k] = 100 * s[4];
          channels.get(Channel.THROTTLE)[k] = 100 * s[5];
          channels.get(Channel.GEAR)[k] = s[6];
          channels.get(Channel.LATERAL_G)[k] = s[7] + 0.01 * random.nextGaussian();
          channels.get(Channel.STEER)[k] = s[8] + 0.5 * random.nextGaussian();
        }
      }
      return new Recording(time, channels);
    }

    private double[] place(double station, double offset) {
      double s = road.wrapStation(station);
      int i = Math.min(road.size() - 1, (int) (s / road.stepM()));
      double along = s - road.stationAt(i);
      double nx = road.normalXAt(i);
      double ny = road.normalYAt(i);
      double off = offset + along * along * road.curvatureAt(i) / 2;
      return new double[] {
        road.xAt(i) + off * nx + along * (1 - off * road.curvatureAt(i)) * ny,
        road.yAt(i) + off * ny - along * (1 - off * road.curvatureAt(i)) * nx
      };
    }
  }

  /**
   * Drives laps behind each other, with a run-in and a run-out.
   *
   * @param slips of each lap
   */
  Drive drive(List<List<Slip>> slips, long seed) {
    Random random = new Random(seed);
    List<double[]> states = new ArrayList<>();
    List<Double> times = new ArrayList<>();
    double runIn = 300;
    State state = new State(-runIn, speed[index(-runIn)]);
    state.gear = gear[index(-runIn)];
    for (int lap = 0; lap <= slips.size(); lap++) {
      Plan plan = new Plan(lap < slips.size() ? slips.get(lap) : List.of(), scatter(random));
      double end = lap < slips.size() ? (lap + 1) * road.lengthM() : lap * road.lengthM() + 400;
      double begun = state.t;
      double crossed = lap == 0 ? Double.NaN : state.t;
      while (state.s < end) {
        double before = state.s;
        state.advance(plan);
        states.add(state.written(plan));
        if (lap == 0 && before < 0 && state.s >= 0) {
          crossed = state.t - STEP_S * state.s / (state.s - before);
        }
      }
      if (lap < slips.size()) {
        times.add(state.t - (state.s - end) / state.v - crossed);
      }
      state.t = Math.max(begun, state.t);
    }
    return new Drive(states, times, road, book);
  }

  private List<Scatter> scatter(Random random) {
    List<Scatter> all = new ArrayList<>();
    for (int p = 0; p < pages.size(); p++) {
      // A person is late by time: by fewer metres where it is slow.
      double speedMps = pages.get(p).lowestSpeedMps();
      all.add(
          new Scatter(
              speedMps * Math.max(-0.03, 0.05 + 0.06 * random.nextGaussian()),
              Math.max(0, 0.006 + 0.005 * random.nextGaussian()),
              speedMps * Math.max(0, 0.06 + 0.06 * random.nextGaussian())));
    }
    return all;
  }

  private int index(double station) {
    return (int) Math.min(n - 1, Math.max(0, road.wrapStation(station) / step));
  }

  /** What he means to do on a lap: speeds not to exceed, how far the foot may go, gears, a line. */
  private final class Plan {
    final double[] limit = new double[n];
    final double[] foot = new double[n];
    final int[] gears = new int[n];
    final double[] offset = new double[n];
    final boolean[] shut = new boolean[n];
    final double[] wheelDeg = new double[n];
    final double[] pushed = new double[n];
    final double[] scrub = new double[n];

    Plan(List<Slip> slips, List<Scatter> scatter) {
      for (int i = 0; i < n; i++) {
        limit[i] = speed[i];
        foot[i] = throttle[i];
        gears[i] = gear[i];
        offset[i] = book.path().offsetAt(i);
      }
      for (int p = 0; p < pages.size(); p++) {
        corner(p, slips, scatter.get(p));
      }
      for (int i = 0; i < n; i++) {
        limit[i] = foot[i] > 0.95 && brakes[i] == 0 ? Double.POSITIVE_INFINITY : limit[i];
      }
      drawBackwards();
    }

    private double of(List<Slip> slips, int p, Kind kind) {
      return slips.stream()
          .filter(s -> s.corner() == p && s.kind() == kind)
          .mapToDouble(Slip::amount)
          .sum();
    }

    private void corner(int p, List<Slip> slips, Scatter scatter) {
      CornerPage page = pages.get(p);
      int slowest = index(page.lowestSpeedAtM());
      int off = lastBraked(slowest);
      int on = off < 0 ? -1 : firstBraked(off);
      if (on >= 0) {
        double early = scatter.earlyM() + of(slips, p, Kind.BRAKES_EARLY);
        stretched(on, off, early);
        rolled(on, off, of(slips, p, Kind.BRAKES_EARLY_AND_ROLLS));
        double coasts = of(slips, p, Kind.COASTS);
        int from = road.wrap(on - (int) (coasts * speed[on] / step));
        for (int k = 0; coasts > 0 && k < road.ahead(from, on); k++) {
          shut[road.wrap(from + k)] = true;
        }
      }
      double slower = scatter.slowShare() * speed[slowest] + of(slips, p, Kind.OVER_SLOWS);
      lowered(on < 0 ? road.wrap(slowest - road.samples(40)) : on, off < 0 ? slowest : off, slower);
      Double first = page.throttle().firstM();
      if (first != null) {
        later(index(first), scatter.lateM() + of(slips, p, Kind.THROTTLE_LATE));
        double lifts = of(slips, p, Kind.LIFTS);
        for (int k = 0; lifts > 0 && k * step < 20; k++) {
          int at = road.wrap(flatFrom(index(first)) + road.samples(6) + k);
          foot[at] = Math.min(foot[at], 1 - lifts / 100);
        }
      }
      if (of(slips, p, Kind.GEAR_HIGHER) > 0) {
        int low = gear[slowest];
        int from = off < 0 ? slowest : road.wrap(off - road.samples(20));
        for (int k = 0;
            k * step < 400
                && gear[road.wrap(from + k)] <= low
                && (k < 60 || brakes[road.wrap(from + k)] == 0);
            k++) {
          gears[road.wrap(from + k)] = low + 1;
        }
      }
      wide(page, of(slips, p, Kind.WIDE_AT_APEX));
      slides(page, of(slips, p, Kind.SLIDES));
      pushes(index(page.apexes().get(0).atM()), of(slips, p, Kind.PUSHES));
      if (off >= 0) {
        heldLong(off, of(slips, p, Kind.HOLDS_LONG));
      }
      double liftsFlat = of(slips, p, Kind.LIFTS_FLAT);
      for (int k = -road.samples(40); liftsFlat > 0 && k < 0; k++) {
        int at = road.wrap(slowest + k);
        foot[at] = Math.min(foot[at], 1 - liftsFlat / 100);
      }
    }

    /** Half a second behind the first throttle, with half of it, the tyres across the road. */
    private void slides(CornerPage page, double degrees) {
      Double first = page.throttle().firstM();
      if (degrees == 0 || first == null) {
        return;
      }
      int from = road.wrap(index(first) + road.samples(12));
      int length = road.samples(0.5 * speed[from]);
      for (int k = 0; k < length; k++) {
        int at = road.wrap(from + k);
        wheelDeg[at] -= degrees * Math.sin(Math.PI * k / length);
        scrub[at] += 3;
        foot[at] *= 0.5;
      }
    }

    /** Forty metres about the apex. */
    private void pushes(int apex, double pct) {
      int from = road.wrap(apex - road.samples(20));
      int length = road.samples(40);
      for (int k = 0; pct > 0 && k < length; k++) {
        int at = road.wrap(from + k);
        double ramp = Math.min(1, Math.min(k, length - k) * step / 8);
        pushed[at] += pct / 100 * ramp;
        limit[at] *= 1 - 0.05 * ramp;
        foot[at] = Math.min(foot[at], 0.3);
      }
    }

    /** The brake goes on at a third behind where it was off, and the speed with it. */
    private void heldLong(int off, double metres) {
      int length = road.samples(metres);
      double before = limit[off];
      for (int k = 0; metres > 0 && k < length; k++) {
        int at = road.wrap(off + k);
        double w = before * before - 2 * 3 * k * step;
        limit[at] = Math.min(limit[at], Math.sqrt(Math.max(9, w)));
        foot[at] = 0;
      }
    }

    private int flatFrom(int first) {
      int i = first;
      for (int k = 0; k * step < 200 && throttle[i] < 0.95; k++) {
        i = road.wrap(i + 1);
      }
      return i;
    }

    /** Last sample with pressure before the slowest place, −1 where nobody brakes for it. */
    private int lastBraked(int slowest) {
      for (int k = -road.samples(15); k * step < 120; k++) {
        int i = road.wrap(slowest - k);
        if (brakes[i] > 0.02) {
          return i;
        }
      }
      return -1;
    }

    private int firstBraked(int off) {
      int i = off;
      int gap = 0;
      int first = off;
      while (gap * step < 10) {
        i = road.wrap(i - 1);
        gap = brakes[i] > 0.02 ? 0 : gap + 1;
        first = brakes[i] > 0.02 ? i : first;
      }
      return first;
    }

    /** The braking drawn out to an earlier begin, the end where it was. */
    private void stretched(int on, int off, double early) {
      int length = road.ahead(on, off);
      int more = (int) Math.round(early / step);
      double[] drawn = new double[Math.max(1, length + more)];
      for (int k = 0; k < drawn.length; k++) {
        double from = length * (double) k / drawn.length;
        int a = road.wrap(on + (int) from);
        double share = from - (int) from;
        drawn[k] = (1 - share) * speed[a] + share * speed[road.wrap(a + 1)];
      }
      for (int k = 0; k < drawn.length; k++) {
        int at = road.wrap(on - more + k);
        limit[at] = Math.min(limit[at], drawn[k]);
        foot[at] = Math.min(foot[at], 0.9);
      }
      for (int k = more; k < 0; k++) {
        foot[road.wrap(on + k - more)] = 1;
      }
    }

    /** The same braking sooner, and rolled at its end's speed to where it would have been over. */
    private void rolled(int on, int off, double early) {
      int more = (int) Math.round(early / step);
      for (int k = -more; more > 0 && k <= road.ahead(on, off); k++) {
        int at = road.wrap(on + k);
        int later = road.wrap(on + Math.min(road.ahead(on, off), k + more));
        limit[at] = Math.min(limit[at], speed[later]);
        foot[at] = Math.max(0.5, Math.min(foot[at], 0.9));
      }
    }

    /**
     * Slower where the brake comes off; the braking down to it lowered, the way out as it comes.
     */
    private void lowered(int from, int to, double slower) {
      double end = speed[to];
      double less = end * end - (end - slower) * (end - slower);
      int length = Math.max(1, road.ahead(from, to));
      for (int k = 0; k <= length; k++) {
        int at = road.wrap(from + k);
        double ramp = brakes[from] > 0 ? 1 : (double) k / length;
        limit[at] = Math.sqrt(Math.max(4, limit[at] * limit[at] - ramp * less));
      }
    }

    private void later(int first, double late) {
      int more = (int) Math.round(late / step);
      double[] moved = new double[400];
      for (int k = 0; k < moved.length; k++) {
        moved[k] = k < more ? 0 : throttle[road.wrap(first + k - more)];
      }
      for (int k = 0; k < moved.length; k++) {
        int at = road.wrap(first + k);
        boolean flat = k > more && throttle[at] > 0.95 && moved[k] > 0.95;
        if (flat || brakes[at] > 0.02) {
          break;
        }
        foot[at] = late > 0 ? Math.min(foot[at], moved[k]) : foot[at];
      }
    }

    /** Away from the inside: a hump of the line, and as slow as its bends ask for. */
    private void wide(CornerPage page, double metres) {
      if (metres == 0) {
        return;
      }
      int outwards = page.direction() == Side.LEFT ? -1 : 1;
      int middle = index(page.apexes().get(0).atM());
      int top = Math.max(road.samples(45), road.ahead(index(page.turnIn().atM()), middle));
      int from = road.wrap(middle - top);
      int length = 2 * top;
      for (int k = 0; k <= length; k++) {
        double share = k <= top ? (double) k / top : (double) (length - k) / (length - top);
        int at = road.wrap(from + k);
        double rise = (1 - Math.cos(Math.PI * share)) / 2;
        offset[at] += outwards * metres * rise;
      }
      for (int k = 0; k <= length; k++) {
        int at = road.wrap(from + k);
        double tighter =
            Math.abs(bend(offset, at)) / Math.max(1e-4, Math.abs(bend(book.path().offsets(), at)));
        limit[at] = limit[at] / Math.sqrt(Math.max(1, Math.min(1.2, tighter)));
        foot[at] = Math.min(foot[at], 0.9);
      }
    }

    /** Bend of a line over 20 m. */
    private double bend(double[] offsets, int at) {
      int reach = road.samples(10);
      int a = road.wrap(at - reach);
      int b = road.wrap(at + reach);
      double metres = reach * step;
      double second = (offsets[a] - 2 * offsets[at] + offsets[b]) / (metres * metres);
      return road.curvatureAt(at) + second;
    }

    /** Before a braking its curve goes on upwards, as hard as it is at its hardest. */
    private void drawBackwards() {
      double hardest = 0;
      double next = Double.POSITIVE_INFINITY;
      for (int k = 3 * n - 1; k >= 0; k--) {
        int i = k % n;
        if (Double.isInfinite(limit[i]) || limit[i] > 1.5 * speed[i]) {
          limit[i] =
              Double.isInfinite(next)
                  ? Double.POSITIVE_INFINITY
                  : Math.sqrt(next * next + 2 * hardest * step);
        } else if (Double.isFinite(next) && next < limit[i]) {
          hardest = Math.max(hardest, (limit[i] * limit[i] - next * next) / (2 * step));
        } else {
          hardest = 0;
        }
        hardest = Math.min(hardest, 0.95 * hardestOf(i));
        next = limit[i];
      }
    }

    private double hardestOf(int i) {
      return Math.max(2, Math.abs(book.lap().longitudinalAccelerationAt(i)) + 20);
    }
  }

  /** Where car and feet are. */
  private final class State {
    double t;
    double s;
    double v;
    double brake;
    double foot = 1;
    int gear;
    double shifting;

    State(double s, double v) {
      this.s = s;
      this.v = v;
    }

    void advance(Plan plan) {
      int i = index(s);
      int ahead = road.wrap(i + Math.max(1, (int) (LOOK_S * v / step)));
      double limit = plan.limit[i];
      double next = plan.limit[ahead];
      int wanted = plan.gears[i];
      if (wanted > gear && shifting <= 0) {
        shifting = car.gearbox().upshiftS();
        gear++;
      } else if (wanted < gear) {
        gear = wanted;
      }
      shifting -= STEP_S;
      double open = engineN(gear);
      double shut =
          car.engine().engineBrakingNm() * car.gearbox().overallRatio(gear) / car.tyre().radiusM();
      double resistance =
          dragPerM * v * v
              + car.rollingResistance() * massKg * G0
              + massKg * G0 * Math.sin(Math.atan(road.gradeAt(i)));
      boolean above = Double.isFinite(limit) && v > limit - 0.05;
      double slope =
          Double.isFinite(next) && Double.isFinite(limit)
              ? (next * next - limit * limit) / (2 * Math.max(step, road.ahead(i, ahead) * step))
              : 0;
      double wantedForce = massKg * (slope + FOLLOW_PER_S * (limit - v)) + resistance;
      // In a gear that gives less he opens further.
      double gives = engineN(gear) / Math.max(1, engineN(SlipDriver.this.gear[i]));
      double footWanted = plan.shut[i] ? 0 : Math.min(1, plan.foot[ahead] / Math.max(0.2, gives));
      double brakeWanted = 0;
      if (Double.isFinite(limit) && (above || wantedForce < 0)) {
        double throttleFor = (wantedForce + shut) / (open + shut);
        footWanted = Math.max(0, Math.min(footWanted, throttleFor));
        brakeWanted = Math.max(0, Math.min(1, (-wantedForce - shut) / car.brakes().maxForceN()));
        brakeWanted = v > limit - 0.3 ? brakeWanted : 0;
      }
      double most = STEP_S / PRESS_S;
      brake += Math.max(-most, Math.min(most, brakeWanted - brake));
      foot += Math.max(-3 * most, Math.min(2 * most, footWanted - foot));
      double drive = shifting > 0 ? 0 : foot * open - (1 - foot) * shut;
      double a = (drive - resistance - brake * car.brakes().maxForceN()) / massKg - plan.scrub[i];
      double off = plan.offset[i];
      double across = (plan.offset[road.wrap(i + 1)] - off) / step;
      double along = Math.max(0.5, 1 - off * road.curvatureAt(i));
      s += v * STEP_S / Math.sqrt(along * along + across * across);
      v = Math.max(2, v + a * STEP_S);
      t += STEP_S;
    }

    /** Wheel beyond what the bend needs, towards its inside [°]. */
    private double turnedMore(Plan plan, int i) {
      return Math.signum(plan.bend(plan.offset, i)) * plan.wheelDeg[i];
    }

    private double engineN(int inGear) {
      double rpm = v / car.tyre().radiusM() * car.gearbox().overallRatio(inGear) * 30 / Math.PI;
      if (rpm > car.engine().limiterRpm()) {
        return 0;
      }
      return car.engine().curveTorqueNm(rpm)
          * car.gearbox().overallRatio(inGear)
          * car.gearbox().efficiency()
          / car.tyre().radiusM();
    }

    double[] written(Plan plan) {
      int i = index(s);
      double next = plan.offset[road.wrap(i + 1)];
      double share = road.wrapStation(s) / step - i;
      double off = plan.offset[i] + share * (next - plan.offset[i]);
      double across = v * v * plan.bend(plan.offset, i) / G0;
      double wheel = 14 * Math.toDegrees(2.5 * across * G0 / (v * v)) + 4 * across;
      return new double[] {
        t, s, off, v, brake, foot, gear, across, wheel * (1 + plan.pushed[i]) + turnedMore(plan, i)
      };
    }
  }
}
