package marvek.core.profile;

import java.util.Arrays;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;

/**
 * Drives a part of a lap forward with a driver's pedals, on the grip that the lap itself uses: one
 * share for brakes, bend and exit, and nothing that eases a foot.
 *
 * <p>What the feet and the bend ask for together stands against the friction ellipse. Beyond it the
 * tyres slide: they give their whole force, less what sliding takes of it, and the farther beyond
 * the farther it turns backward, off the brakes most of all. So too much brake locks a wheel and
 * stops the car turning, too much throttle spins one and drives no more, too much speed scrubs.
 * What is missing across the road is integrated twice over time: the car runs wide, on a longer
 * way, and waits with the throttle until it drifts out no more. What a throttle alone takes too
 * much of drives no more and is missing across: there is the speed to hold the bend.
 *
 * <p>Source of the ellipse: Milliken &amp; Milliken, <i>Race Car Vehicle Dynamics</i>, ch. 2; that
 * the force turns backward and the wait are own assumptions.
 */
public final class Drive {
  /**
   * Force of a sliding tyre over its peak: 0.75 against 0.85 on dry asphalt (Wong, <i>Theory of
   * Ground Vehicles</i>, table of average values of road adhesion; from memory), the ratio of wet
   * asphalt is the same to two figures.
   */
  private static final double SLIDING_SHARE = 0.88;

  /** Asked for so much of the grip, a tyre slides altogether (own assumption). */
  private static final double SLIDES_AT = 1.15;

  /**
   * Off the brakes a sliding car's force turns backward by the angle whose cosine is one over this
   * power of what is asked for; under brakes it points backward already (own assumption, so that to
   * come in too fast never pays).
   */
  private static final double SCRUBS = 4;

  /** Beyond this share of the grip a wheel is called locked or spinning. */
  private static final double SLIPPING = 1.02;

  /** Less pressure or throttle than this locks or spins nothing worth a word, in weights. */
  private static final double WORTH_A_WORD = 0.05;

  /** A driver waits with the throttle while the car drifts out faster than this [m/s]. */
  private static final double DRIFTS_MPS = 0.02;

  /** He only holds the speed as long as it drifts no faster than this [m/s] (own assumption). */
  private static final double LITTLE_MPS = 0.2;

  /** A car beside its line is steered back to it in about this time (own assumption). */
  private static final double BACK_S = 1.5;

  /** A bend that takes less than this of the side grip is next to straight (own assumption). */
  private static final double STRAIGHT_SHARE = 0.1;

  /** Half a road: beyond it there is no longer way round, only run-off. */
  private static final double FARTHEST_ROUND_M = 5;

  /** A smaller share of the grip along tells nothing of how axles divide it. */
  private static final double LEAST_ALONG = 0.2;

  /** One axle takes no more of what both have than this tells. */
  private static final double LEAST_RATIO = 0.4;

  private final Lap lap;
  private final Path path;
  private final Road road;
  private final ForceModel forces;
  private final UsedGrip used;
  private final Pedals pedals;
  private final Part part;
  private final double maxBrakeN;
  private final double[] w;
  private final double[] speeds;
  private final double[] beside;
  private final double[] gripNeeded;
  private double besideMps;
  private boolean away;
  private double lockedM;
  private double lockedAtM = Double.NaN;
  private double spunM;
  private double spunAtM = Double.NaN;

  /**
   * A part of a lap to drive.
   *
   * @param start sample to begin from, at the lap's own speed
   * @param count number of elements
   * @param fromM before these metres what the lap brakes is for another corner: its speed holds
   * @param toM after these metres what brakes or grip hold is another corner's: the lap's speed
   *     holds
   */
  public record Part(int start, int count, double fromM, double toM) {}

  /**
   * What came of a drive. Positions count samples from its beginning.
   *
   * @param speedsMps progress along the line at each position
   * @param besideM metres beside the line at each position, positive to the left
   * @param gripNeeded what is asked for at each position but the last, as a share of the grip that
   *     the lap uses
   * @param lockedM metres with a locked wheel; the first at {@code lockedAtM}, NaN without one
   * @param spunM metres with a spinning wheel; the first at {@code spunAtM}, NaN without one
   */
  public record Result(
      double[] speedsMps,
      double[] besideM,
      double[] gripNeeded,
      double lockedM,
      double lockedAtM,
      double spunM,
      double spunAtM) {
    /** How far beside its line the car gets, to either side [m]. */
    public double widestM() {
      return Arrays.stream(besideM).map(Math::abs).max().orElse(0);
    }

    /** The most that is asked for, as a share of the grip that the lap uses. */
    public double hardest() {
      return Arrays.stream(gripNeeded).max().orElse(0);
    }
  }

  /** What the tyres give of what is asked for: backward positive, shares of their grip. */
  private record Given(double asked, double forceN, double missingN) {}

  private Drive(Lap lap, UsedGrip used, Pedals pedals, Part part) {
    this.lap = lap;
    this.used = used;
    this.path = lap.path();
    this.road = path.road();
    this.forces = lap.forces();
    this.pedals = pedals;
    this.part = part;
    this.maxBrakeN = lap.vehicle().brakes().maxForceN();
    this.w = new double[part.count + 1];
    this.speeds = new double[part.count + 1];
    this.beside = new double[part.count + 1];
    this.gripNeeded = new double[part.count + 1];
  }

  /**
   * Drives a part of a lap.
   *
   * @param lap that gives line, grip, gears and the speed at the beginning
   * @param used of the same lap
   */
  public static Result of(Lap lap, UsedGrip used, Pedals pedals, Part part) {
    return new Drive(lap, used, pedals, part).run();
  }

  private Result run() {
    w[0] = square(lap.speedAt(part.start));
    for (int k = 0; k < part.count; k++) {
      step(k);
    }
    for (int k = 0; k <= part.count; k++) {
      speeds[k] = Math.sqrt(w[k]) / lengthened(k);
    }
    return new Result(speeds, beside, gripNeeded, lockedM, lockedAtM, spunM, spunAtM);
  }

  /** Outside of a bend the way round is longer; far outside there is no road to go round on. */
  private double lengthened(int k) {
    double off = Math.max(-FARTHEST_ROUND_M, Math.min(FARTHEST_ROUND_M, beside[k]));
    return Math.max(1, 1 - path.curvatureAt(road.wrap(part.start + k)) * off);
  }

  /** Heun's method with the feet still over an element. */
  private void step(int k) {
    int i = road.wrap(part.start + k);
    int to = road.wrap(part.start + k + 1);
    double at = (k + 0.5) * road.stepM();
    double brakeN = pedals.brakeShare(at) * maxBrakeN;
    double throttle = pedals.throttleShare(at);
    double ds = path.elementAt(i) * lengthened(k);
    double driveN = driveN(i, w[k], throttle, used.beginAt(i));
    Given here = given(i, w[k], brakeN, driveN, used.beginAt(i));
    double a0 = (here.forceN - forces.resistanceN(i, w[k])) / forces.massKg();
    double guess = Math.max(Sweep.LEAST_W, w[k] + 2 * ds * a0);
    Given there =
        given(to, guess, brakeN, driveN(to, guess, throttle, used.endAt(i)), used.endAt(i));
    double a1 = (there.forceN - forces.resistanceN(to, guess)) / forces.massKg();
    double next = Math.max(Sweep.LEAST_W, w[k] + ds * (a0 + a1));
    // Where the surface changes within the element the two ends differ: their mean is asked for.
    note(k, (here.asked + there.asked) / 2, brakeN, driveN, ds);
    leaveTheLine(k, i, here, 2 * ds / (Math.sqrt(w[k]) + Math.sqrt(next)));
    w[k + 1] = belongsToAnotherCorner(k + 1, to) ? Math.min(next, square(lap.speedAt(to))) : next;
  }

  /**
   * Who drifts out waits with the throttle: he closes it, but where it was the throttle alone that
   * took a little too much, he holds the speed with it.
   */
  private double driveN(int i, double w2, double throttle, double reached) {
    double v = Math.sqrt(w2);
    if (!driftsOut()) {
      return lap.engineN(i, v, throttle);
    }
    boolean little = forces.tellsAxlesApart() && Math.abs(besideMps) < LITTLE_MPS;
    return little && bendIsHeld(i, w2, reached)
        ? Math.min(lap.engineN(i, v, throttle), forces.resistanceN(i, w2))
        : lap.engineN(i, v, 0);
  }

  /** Whether the tyres would hold the bend at a throttle that holds the speed. */
  private boolean bendIsHeld(int i, double w2, double reached) {
    return forces.use(i, w2, 0, forces.resistanceN(i, w2)).asked() <= reached;
  }

  /** Whether the car moves farther away from its line. */
  private boolean driftsOut() {
    return Math.abs(besideMps) > DRIFTS_MPS && away;
  }

  private static double square(double a) {
    return a * a;
  }

  private boolean belongsToAnotherCorner(int k, int i) {
    double at = k * road.stepM();
    boolean brakes = lap.plan().brakingAt(i);
    return at < part.fromM - road.stepM() && brakes
        || at > part.toM + 1 && (brakes || lap.atLimit(i));
  }

  /**
   * @param reached share of the grip up to which the lap itself goes there
   */
  private Given given(int i, double w2, double brakeN, double driveN, double reached) {
    GripLimits.Use use = forces.use(i, w2, brakeN, driveN);
    double across = use.across() / reached;
    double asked = use.asked() / reached;
    if (asked <= 1) {
      return new Given(asked, driveN - brakeN, 0);
    }
    double along = Math.sqrt(Math.max(0, square(asked) - square(across)));
    // Told apart, the front axle gives load away to the throttle: it pushes a little at once.
    if (forces.tellsAxlesApart() && driveN > brakeN && bendIsHeld(i, w2, reached)) {
      return spinning(i, w2, driveN, reached, use);
    }
    double turned =
        Math.acos(1 / (brakeN > 0 ? asked : Math.pow(asked, SCRUBS)))
            * square(Math.min(1, across / asked));
    double angle =
        driveN > brakeN
            ? turned - Math.atan2(along, across)
            : Math.min(Math.PI / 2, turned + Math.atan2(along, across));
    double share = slidingShare(asked);
    double back = share * Math.sin(angle);
    double limitN = forces.lateralLimitN(i, w2);
    double forceN = forces.alongOfShareN(i, w2, -back);
    if (forces.tellsAxlesApart()) {
      forceN *= ofBothAxles(i, w2, driveN - brakeN, asked, along);
    }
    double missing = across - share * Math.cos(angle);
    return new Given(asked, forceN, missing * steered(across) * limitN);
  }

  /**
   * A throttle that takes too much in a bend that could be held. The driven axle drives as much as
   * there is beside the bend, less what sliding takes, and no more than at the limit where it is
   * the other that pushes; what either is asked for too much is missing across.
   */
  private Given spinning(int i, double w2, double driveN, double reached, GripLimits.Use use) {
    TwoAxles.Axles axles = forces.driven(i, w2, driveN);
    double forceN = drivesN(axles.front(), reached) + drivesN(axles.rear(), reached);
    double missingN = missingN(axles.front(), reached) + missingN(axles.rear(), reached);
    double most = forces.tractionN(i, w2);
    double beyond = Math.max(0, driveN - most) * (reached - 1) / (use.asked() - 1);
    double across = use.across() / reached;
    return new Given(
        use.asked() / reached, Math.min(forceN, most + beyond), missingN * steered(across));
  }

  private static double drivesN(TwoAxles.Axle axle, double reached) {
    double asked = axle.use().asked() / reached;
    if (asked <= 1 || axle.alongN() == 0) {
      return axle.alongN();
    }
    double across = axle.use().across() / reached;
    double held = slidingShare(asked) * Math.sqrt(Math.max(0, 1 - square(across)));
    return axle.alongN() * Math.min(1, held / Math.sqrt(square(asked) - square(across)));
  }

  private static double missingN(TwoAxles.Axle axle, double reached) {
    double asked = axle.use().asked() / reached;
    return asked <= 1 ? 0 : Math.abs(axle.sideN()) * (1 - slidingShare(asked) / asked);
  }

  /**
   * What both axles give together over what they would give straight on, where the one that slides
   * first is at its limit: so that a slide begins with the force that was there.
   */
  private double ofBothAxles(int i, double w2, double askedN, double asked, double along) {
    double straightN = forces.alongOfShareN(i, w2, Math.signum(askedN) * along / asked);
    double share = Math.min(1, along / asked / LEAST_ALONG);
    double ratio = straightN == 0 ? 1 : askedN / asked / straightN;
    return 1 + share * (Math.max(LEAST_RATIO, Math.min(1 / LEAST_RATIO, ratio)) - 1);
  }

  /**
   * Share of a missing side force that shows: next to straight on a driver keeps a locked car on
   * its line.
   */
  private static double steered(double across) {
    return Math.max(0, Math.min(1, across / STRAIGHT_SHARE - 1));
  }

  private static double slidingShare(double asked) {
    double share = (asked - 1) / (SLIDES_AT - 1);
    return 1 - (1 - SLIDING_SHARE) * Math.max(0, Math.min(1, share));
  }

  private void note(int k, double asked, double brakeN, double driveN, double ds) {
    gripNeeded[k] = asked;
    double least = WORTH_A_WORD * forces.massKg() * Constants.G0;
    if (asked > SLIPPING && brakeN > least) {
      lockedAtM = lockedM == 0 ? k * road.stepM() : lockedAtM;
      lockedM += ds;
    }
    if (asked > SLIPPING && driveN > least) {
      spunAtM = spunM == 0 ? k * road.stepM() : spunAtM;
      spunM += ds;
    }
  }

  /** What is missing across leads away from the bend; what is to spare steers the car back. */
  private void leaveTheLine(int k, int i, Given here, double dt) {
    double mass = forces.massKg();
    if (here.missingN > 0) {
      besideMps -= Math.signum(forces.lateralDemandN(i, w[k])) * here.missingN / mass * dt;
    } else if (besideMps != 0 || beside[k] != 0) {
      steerBack(beside[k], spareN(i, w[k], here) / mass * dt);
    }
    beside[k + 1] = beside[k] + besideMps * dt;
    away = besideMps * beside[k + 1] > 0;
  }

  private double spareN(int i, double w2, Given here) {
    double across = forces.lateralUse(i, w2);
    double along2 = Math.max(0, square(here.asked) - square(across));
    double spare = Math.sqrt(Math.max(0, 1 - along2)) - across;
    return Math.max(0, spare) * forces.lateralLimitN(i, w2);
  }

  /** Towards the speed that brings the car back in its time, by as much as the tyres can change. */
  private void steerBack(double besideM, double mostMps) {
    double wanted = -besideM / BACK_S;
    double change = Math.max(-mostMps, Math.min(mostMps, wanted - besideMps));
    besideMps += change;
  }
}
