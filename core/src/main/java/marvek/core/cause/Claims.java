package marvek.core.cause;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import marvek.core.cause.CornerAccount.Part;

/**
 * Splits a corner's account among its causes. Each part of the account has its own rules, each rule
 * sizes its cause by itself; together they never take more than there is, and what none takes is
 * left unexplained.
 */
final class Claims {
  /** Less is the reader's own error and no cause [s]. */
  static final double LEAST_S = 0.01;

  /** A closed form knows an even braking; a person's costs up to so much more. */
  private static final double MOST_BEYOND_FORM = 2;

  private final CornerCase corner;
  private final List<Part> parts = new ArrayList<>();

  private Claims(CornerCase corner) {
    this.corner = corner;
  }

  static List<Part> of(CornerCase corner, double approachS, double speedS, double exitS) {
    Claims claims = new Claims(corner);
    List<Part> lifted = LiftCause.of(corner, approachS + speedS);
    if (lifted.isEmpty()) {
      claims.braked(approachS, speedS, exitS);
    } else {
      claims.take(lifted, approachS + speedS);
      claims.take(ExitCauses.of(corner), exitS);
    }
    claims.parts.sort(Comparator.comparingDouble((Part part) -> -part.seconds()));
    return claims.parts;
  }

  private void braked(double approachS, double speedS, double exitS) {
    double before = wheel(WheelCauses.wayIn(corner), approachS);
    take(shared(ApproachCauses.of(corner), approachS - before), approachS - before);
    double behind = wheel(WheelCauses.wayOut(corner), speedS + exitS);
    double left = line(speedS + exitS - behind);
    double speed = left <= 0 ? 0 : Math.min(Math.max(0, speedS), left);
    take(SpeedCauses.of(corner, speed), speed);
    take(ExitCauses.of(corner), left - speed);
  }

  /** Takes what the wheel tells; how much that is. */
  private double wheel(List<Part> claimed, double availableS) {
    take(claimed, availableS);
    return Math.max(0, Math.min(availableS, sum(claimed)));
  }

  /**
   * An approach is shared by what its causes cost by their closed forms: those say who is to blame
   * for how much of it, and how much of it can be theirs at all.
   */
  private static List<Part> shared(List<Part> claimed, double availableS) {
    double sum = sum(claimed);
    double factor = sum > 0 ? Math.max(1, Math.min(MOST_BEYOND_FORM, availableS / sum)) : 1;
    return claimed.stream().map(p -> p.worth(p.seconds() * factor)).toList();
  }

  /** What another line costs comes out of speed and way out; what is left of them is returned. */
  private double line(double speedAndExitS) {
    List<Part> claimed = LineCauses.of(corner, speedAndExitS);
    take(claimed, speedAndExitS);
    return speedAndExitS - Math.max(0, Math.min(speedAndExitS, sum(claimed)));
  }

  /** Takes what is claimed, less of each where it is more than there is. */
  private void take(List<Part> claimed, double availableS) {
    double sum = sum(claimed);
    double share = sum > availableS ? Math.max(0, availableS) / sum : 1;
    for (Part part : claimed) {
      double seconds = part.seconds() * share;
      if (seconds >= LEAST_S) {
        parts.add(part.worth(seconds));
      }
    }
  }

  private static double sum(List<Part> claimed) {
    return claimed.stream().mapToDouble(Part::seconds).sum();
  }
}
