package marvek.core.laps;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;

/** Leaves out positions that are repeated, stand still while the car moves, or jump off. */
final class PositionCleaning {
  /** A position that does not change for so long while the car moves is frozen. */
  private static final double FROZEN_S = 0.4;

  /** Slower than this a car stands for the receiver. */
  private static final double MOVING_MPS = 5;

  /** A position farther off its neighbours than the speed allows by so much has jumped. */
  private static final double JUMP_M = 12;

  /** Frozen for more than this share of the time: no use of it at all. */
  private static final double MOST_FROZEN = 0.5;

  /** So many positions behind a jump one has to go with those before it. */
  private static final int BACK_WITHIN = 40;

  private final Recording now;
  private final Corrections corrections;
  private final double[] x;
  private final double[] y;

  PositionCleaning(Recording now, Corrections corrections) {
    this.now = now;
    this.corrections = corrections;
    this.x = now.channel(Channel.X);
    this.y = now.channel(Channel.Y);
  }

  Recording cleaned() {
    heldBetween();
    frozen();
    jumped();
    return now.with(Channel.X, x).with(Channel.Y, y);
  }

  /** A receiver slower than the file repeats each position: only its first row counts. */
  private void heldBetween() {
    int same = 0;
    int known = 0;
    for (int i = 1; i < x.length; i++) {
      if (!Double.isNaN(x[i]) && now.at(Channel.SPEED, i) > MOVING_MPS) {
        known++;
        same += x[i] == x[i - 1] && y[i] == y[i - 1] ? 1 : 0;
      }
    }
    if (same < 0.4 * known || same > 0.98 * known) {
      return;
    }
    double lastX = Double.NaN;
    double lastY = Double.NaN;
    double since = 0;
    int fresh = 0;
    for (int i = 0; i < x.length; i++) {
      boolean repeated = x[i] == lastX && y[i] == lastY && now.timeAt(i) - since < FROZEN_S;
      if (repeated) {
        x[i] = Double.NaN;
        y[i] = Double.NaN;
      } else if (!Double.isNaN(x[i])) {
        since = x[i] == lastX && y[i] == lastY ? since : now.timeAt(i);
        lastX = x[i];
        lastY = y[i];
        fresh++;
      }
    }
    double span = now.timeAt(x.length - 1) - now.timeAt(0);
    corrections.add("laps.positions-slow", "times", fresh / span);
  }

  private void frozen() {
    List<String> found = new ArrayList<>();
    double frozenS = 0;
    int begun = 0;
    for (int i = 1; i <= x.length; i++) {
      boolean same = i < x.length && x[i] == x[begun] && y[i] == y[begun];
      if (same) {
        continue;
      }
      double held = now.timeAt(i - 1) - now.timeAt(begun);
      if (held > FROZEN_S && now.at(Channel.SPEED, begun) > MOVING_MPS) {
        found.add(Corrections.stretch(now.timeAt(begun), now.timeAt(i - 1)));
        frozenS += held;
        Arrays.fill(x, begun + 1, i, Double.NaN);
        Arrays.fill(y, begun + 1, i, Double.NaN);
      }
      begun = i;
    }
    if (frozenS > MOST_FROZEN * (now.timeAt(x.length - 1) - now.timeAt(0))) {
      throw new InvalidValueException(
          "x_m", Sentence.of("refused.position-frozen", "seconds", frozenS));
    }
    corrections.addPlaces("laps.positions-frozen", found);
  }

  private void jumped() {
    List<String> found = new ArrayList<>();
    int last = -1;
    for (int i = 0; i < x.length; i++) {
      if (Double.isNaN(x[i])) {
        continue;
      }
      if (last >= 0 && away(last, i) && comesBack(last, i)) {
        found.add(Corrections.moment(now.timeAt(i)));
        x[i] = Double.NaN;
        y[i] = Double.NaN;
      } else {
        last = i;
      }
    }
    corrections.addPlaces("laps.positions-jumped", found);
  }

  private boolean away(int a, int b) {
    double dt = now.timeAt(b) - now.timeAt(a);
    double fastest = Math.max(now.at(Channel.SPEED, a), now.at(Channel.SPEED, b));
    double reach = (Double.isNaN(fastest) ? 0 : fastest) * dt * 1.2 + JUMP_M;
    return Math.hypot(x[b] - x[a], y[b] - y[a]) > reach;
  }

  /** Whether one of the next positions goes with the one before the jump again. */
  private boolean comesBack(int last, int i) {
    int looked = 0;
    for (int k = i + 1; k < x.length && looked < BACK_WITHIN; k++) {
      if (!Double.isNaN(x[k])) {
        looked++;
        if (!away(last, k)) {
          return true;
        }
      }
    }
    return false;
  }
}
