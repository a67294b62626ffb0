package marvek.core.drive;

import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.conditions.Footwork;
import marvek.core.page.CornerPage;
import marvek.core.page.Knot;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.Phase;
import marvek.core.page.Press;
import marvek.core.say.Sentence;

/**
 * Whether presses and phases can be driven as they are written: one foot, one place after another.
 */
public final class WorkOrder {
  private final Road road;

  private WorkOrder(Road road) {
    this.road = road;
  }

  /**
   * Checks what a driver has written for a corner.
   *
   * @param page that his stands in the place of
   * @throws InvalidValueException naming the knot that cannot be
   */
  public static void check(Road road, CornerPage page, OwnValues own) {
    WorkOrder worker = new WorkOrder(road);
    if (own.presses() != null) {
      worker.presses(own.presses().list());
    }
    if (own.phases() != null) {
      worker.phases(own.phases().list());
      List<Press> presses = own.presses() == null ? page.pedals().presses() : own.presses().list();
      Footwork feet = own.feet() == null ? page.feet() : own.feet();
      if (!feet.hasBothPedals()) {
        worker.oneFoot(presses, own.phases().list());
      }
      boolean nextComesFirst = page.throttle().fullM() == null;
      if (!nextComesFirst) {
        worker.comesBack(presses, own.phases().list());
      }
    }
  }

  private void presses(List<Press> presses) {
    double before = Double.NaN;
    for (int p = 0; p < presses.size(); p++) {
      Press press = presses.get(p);
      String at = PageField.PRESSES.path() + "/" + p;
      behind(at + "/on_m", before, press.onM());
      before = press.onM();
      for (int k = 0; k < press.knots().size(); k++) {
        Knot knot = press.knots().get(k);
        behind(at + "/knots/" + k + "/at_m", before, knot.atM());
        before = knot.atM();
      }
      behind(at + "/off_m", before, press.offM());
      before = press.offM();
    }
  }

  private void phases(List<Phase> phases) {
    double before = Double.NaN;
    for (int p = 0; p < phases.size(); p++) {
      Phase phase = phases.get(p);
      String at = PageField.PHASES.path() + "/" + p;
      behind(at + "/at_m", before, phase.atM());
      before = phase.atM();
      if (phase.lasts() && phase.untilM() != null) {
        behind(at + "/until_m", before, phase.untilM());
        before = phase.untilM();
      }
    }
  }

  private void behind(String field, double beforeM, double atM) {
    if (!Double.isNaN(beforeM) && road.offsetBetween(beforeM, atM) <= 0) {
      throw new InvalidValueException(
          field, Sentence.of("refused.knot-order", "at_m", atM, "before_m", beforeM));
    }
  }

  /** The right foot is on one pedal. */
  private void oneFoot(List<Press> presses, List<Phase> phases) {
    for (int p = 0; p < phases.size(); p++) {
      double at = phases.get(p).atM();
      for (Press press : presses) {
        boolean pressed =
            road.offsetBetween(press.onM(), at) > 0 && road.offsetBetween(at, press.offM()) > 0;
        if (pressed) {
          throw new InvalidValueException(
              PageField.PHASES.path() + "/" + p + "/at_m",
              Sentence.of("refused.throttle-on-brake", "at_m", at, "off_m", press.offM()));
        }
      }
    }
  }

  /** What is lifted opens again, or the foot goes on to the brake. */
  private void comesBack(List<Press> presses, List<Phase> phases) {
    for (int p = 0; p < phases.size(); p++) {
      Phase lift = phases.get(p);
      boolean opens =
          phases.subList(p + 1, phases.size()).stream()
              .anyMatch(later -> later.toPct() > lift.toPct());
      boolean brakes =
          presses.stream().anyMatch(press -> road.offsetBetween(lift.atM(), press.onM()) > 0);
      if (lift.kind() == Phase.Kind.LIFT && !opens && !brakes) {
        throw new InvalidValueException(
            PageField.PHASES.path() + "/" + p + "/to_pct",
            Sentence.of("refused.lift-stays", "to_pct", lift.toPct()));
      }
    }
  }
}
