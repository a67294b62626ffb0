package marvek.core.page;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/**
 * What the feet do in a corner, in driving order.
 *
 * @param presses of the brake; none, one or several
 * @param phases of the throttle; none where it stays full
 */
public record PedalWork(List<Press> presses, List<Phase> phases) {
  /** Nothing is done. */
  public static final PedalWork NONE = new PedalWork(List.of(), List.of());

  /** More of them nobody drives in one corner. */
  private static final int MOST_PRESSES = 4;

  private static final int MOST_KNOTS = 12;
  private static final int MOST_PHASES = 16;

  public PedalWork {
    presses = List.copyOf(presses);
    phases = List.copyOf(phases);
  }

  /** The same with other presses. */
  PedalWork with(Presses others) {
    return new PedalWork(others.list(), phases);
  }

  /** The same with other phases. */
  PedalWork with(Phases others) {
    return new PedalWork(presses, others.list());
  }

  /** The same with points and pressures that a driver gives beside it. */
  public PedalWork withPoints(OwnValues own) {
    List<Press> pressed = new ArrayList<>(presses);
    if (!pressed.isEmpty()) {
      Press first = pressed.get(0);
      pressed.set(
          0,
          new Press(
              own.brakeAtM() == null ? first.onM() : own.brakeAtM(),
              own.initialPct() == null ? first.peakPct() : own.initialPct(),
              first.knots(),
              first.offM()));
      int end = pressed.size() - 1;
      Press last = pressed.get(end);
      double offM = own.releaseM() == null ? last.offM() : own.releaseM();
      pressed.set(end, new Press(last.onM(), last.peakPct(), last.knots(), offM));
    }
    return new PedalWork(pressed, phases.stream().map(phase -> withPoint(phase, own)).toList());
  }

  private static Phase withPoint(Phase phase, OwnValues own) {
    Double atM =
        switch (phase.kind()) {
          case FIRST -> own.throttleFirstM();
          case FLAT -> own.throttleFullM();
          default -> null;
        };
    return atM == null ? phase : new Phase(phase.kind(), atM, phase.toPct(), phase.untilM());
  }

  /** Presses of the brake as a value of a page. */
  public record Presses(List<Press> list) {
    public Presses {
      list = List.copyOf(list);
    }

    /** Their places on another layout. */
    Presses moved(DoubleUnaryOperator station) {
      return new Presses(
          list.stream()
              .map(
                  press ->
                      new Press(
                          station.applyAsDouble(press.onM()),
                          press.peakPct(),
                          press.knots().stream()
                              .map(k -> new Knot(station.applyAsDouble(k.atM()), k.pct()))
                              .toList(),
                          station.applyAsDouble(press.offM())))
              .toList());
    }

    void check(String field) {
      few(field, list.size(), MOST_PRESSES);
      for (int p = 0; p < list.size(); p++) {
        Press press = list.get(p);
        String at = field + "/" + p;
        Require.notNegative(at + "/on_m", press.onM());
        Require.notNegative(at + "/off_m", press.offM());
        Require.within(at + "/peak_pct", press.peakPct(), 1, 100);
        few(at + "/knots", press.knots().size(), MOST_KNOTS);
        for (int k = 0; k < press.knots().size(); k++) {
          Require.notNegative(at + "/knots/" + k + "/at_m", press.knots().get(k).atM());
          Require.within(at + "/knots/" + k + "/pct", press.knots().get(k).pct(), 0, 100);
        }
      }
    }
  }

  /** Phases of the throttle as a value of a page. */
  public record Phases(List<Phase> list) {
    public Phases {
      list = List.copyOf(list);
    }

    /** Their places on another layout. */
    Phases moved(DoubleUnaryOperator station) {
      return new Phases(
          list.stream()
              .map(
                  phase ->
                      new Phase(
                          phase.kind(),
                          station.applyAsDouble(phase.atM()),
                          phase.toPct(),
                          phase.untilM() == null ? null : station.applyAsDouble(phase.untilM())))
              .toList());
    }

    void check(String field) {
      few(field, list.size(), MOST_PHASES);
      for (int p = 0; p < list.size(); p++) {
        Phase phase = list.get(p);
        String at = field + "/" + p;
        Require.notNegative(at + "/at_m", phase.atM());
        Require.within(at + "/to_pct", phase.toPct(), 0, 100);
        if (phase.untilM() != null) {
          Require.notNegative(at + "/until_m", phase.untilM());
        }
      }
    }
  }

  private static void few(String field, int count, int most) {
    if (count > most) {
      throw new InvalidValueException(
          field, Sentence.of("refused.most-entries", "given", count, "most", most));
    }
  }
}
