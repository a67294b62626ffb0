package marvek.core.vehicle;

import java.util.Arrays;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/**
 * Crank torque over engine speed: linear between points, held below the first and from the last up
 * to the limiter. Immutable.
 */
public final class Engine {
  private final double[] rpm;
  private final double[] torqueNm;
  private final double idleRpm;
  private final double limiterRpm;
  private final double engineBrakingNm;

  /**
   * @param rpm strictly increasing, at least one point
   * @param torqueNm one per engine speed, not negative
   * @param limiterRpm speed at which the drive is cut, not below the last point
   */
  public Engine(
      double[] rpm, double[] torqueNm, double idleRpm, double limiterRpm, double engineBrakingNm) {
    this.rpm = rpm.clone();
    this.torqueNm = torqueNm.clone();
    this.idleRpm = Require.within("engine.idle_rpm", idleRpm, 0, 30_000);
    this.limiterRpm = Require.within("engine.limiter_rpm", limiterRpm, 100, 30_000);
    this.engineBrakingNm = Require.within("engine.engineBraking_nm", engineBrakingNm, 0, 10_000);
    checkCurve();
  }

  private void checkCurve() {
    if (rpm.length == 0 || rpm.length != torqueNm.length) {
      throw new InvalidValueException(
          "engine.torqueCurve", Sentence.of("refused.no-torque-points"));
    }
    boolean pulls = false;
    for (int i = 0; i < rpm.length; i++) {
      if (!(rpm[i] >= 0 && rpm[i] <= 30_000) || i > 0 && !(rpm[i] > rpm[i - 1])) {
        throw new InvalidValueException(
            "engine.torqueCurve", i, Sentence.of("refused.engine-speed", "rpm", rpm[i]));
      }
      if (!(torqueNm[i] >= 0 && torqueNm[i] <= 20_000)) {
        throw new InvalidValueException(
            "engine.torqueCurve", i, Sentence.of("refused.torque", "torque", torqueNm[i]));
      }
      pulls |= torqueNm[i] > 0;
    }
    if (!pulls) {
      throw new InvalidValueException("engine.torqueCurve", Sentence.of("refused.no-torque"));
    }
    if (limiterRpm < rpm[rpm.length - 1]) {
      throw new InvalidValueException(
          "engine.limiter_rpm",
          Sentence.of(
              "refused.limiter-below-curve", "given", limiterRpm, "last", rpm[rpm.length - 1]));
    }
    if (!(idleRpm < limiterRpm)) {
      throw new InvalidValueException(
          "engine.idle_rpm", Sentence.of("refused.idle-above-limiter", "given", idleRpm));
    }
  }

  /** Crank torque at full throttle [N·m]; 0 beyond the limiter. */
  public double torqueNm(double engineRpm) {
    if (engineRpm > limiterRpm) {
      return 0;
    }
    return curveTorqueNm(engineRpm);
  }

  /** The curve without the limiter: held beyond its last point. */
  public double curveTorqueNm(double engineRpm) {
    if (engineRpm <= rpm[0]) {
      return torqueNm[0];
    }
    int last = rpm.length - 1;
    if (engineRpm >= rpm[last]) {
      return torqueNm[last];
    }
    int found = Arrays.binarySearch(rpm, engineRpm);
    int i = found >= 0 ? found : -found - 2;
    double f = (engineRpm - rpm[i]) / (rpm[i + 1] - rpm[i]);
    return torqueNm[i] + f * (torqueNm[i + 1] - torqueNm[i]);
  }

  /** The same engine with its torque changed by a factor at every speed. */
  public Engine scaled(double factor) {
    double[] torque = torqueNm.clone();
    for (int i = 0; i < torque.length; i++) {
      torque[i] *= factor;
    }
    return new Engine(rpm, torque, idleRpm, limiterRpm, engineBrakingNm);
  }

  /** The same engine with another drag torque at a shut throttle. */
  public Engine withEngineBrakingNm(double torque) {
    return new Engine(rpm, torqueNm, idleRpm, limiterRpm, torque);
  }

  public int points() {
    return rpm.length;
  }

  public double rpmAt(int i) {
    return rpm[i];
  }

  public double torqueAt(int i) {
    return torqueNm[i];
  }

  public double idleRpm() {
    return idleRpm;
  }

  public double limiterRpm() {
    return limiterRpm;
  }

  /** Drag torque with the throttle shut [N·m]. */
  public double engineBrakingNm() {
    return engineBrakingNm;
  }
}
