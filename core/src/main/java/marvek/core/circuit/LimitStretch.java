package marvek.core.circuit;

import java.util.EnumSet;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/**
 * A stretch of one side of the road on which an organiser's notice says more than the layout's
 * rule. Stations of the road; it may lie across the start line of a closed one.
 *
 * @param wheels that have to stay within the line: 4 all, 2 one side's, 1 any of them
 * @param line from which is counted
 * @param beyondM of {@link Line#BEYOND}: metres beyond the white line, inside of it negative
 * @param backBeforeM station before which the car may be anywhere, and is back from there on; null
 *     if the whole stretch counts
 * @param penaltyS of {@link Consequence#TIME}
 * @param sessions in which the consequence follows; empty for all of them
 */
public record LimitStretch(
    Side side,
    double fromM,
    double toM,
    int wheels,
    Line line,
    @Nullable Double beyondM,
    @Nullable Double backBeforeM,
    Consequence consequence,
    @Nullable Double penaltyS,
    List<In> sessions,
    String note) {
  /** The line that wheels have to stay within. */
  public enum Line {
    WHITE_LINE,
    KERB_OUTER_EDGE,
    BEYOND
  }

  /** What follows. */
  public enum Consequence {
    WARNING,
    LAP_DELETED,
    TIME
  }

  /** Sessions of a meeting. */
  public enum In {
    TEST,
    PRACTICE,
    QUALIFYING,
    RACE,
    TRACK_DAY
  }

  /** Painted lines lie on the road or its run-off. */
  private static final double FARTHEST_M = 30;

  /** A race's length of seconds; more is no penalty but an exclusion. */
  private static final double LONGEST_S = 600;

  public LimitStretch {
    Require.present("side", side);
    if (side != Side.LEFT && side != Side.RIGHT) {
      throw new InvalidValueException("side", Sentence.of("refused.side", "given", side));
    }
    Require.notNegative("fromM", fromM);
    Require.notNegative("toM", toM);
    if (wheels != 1 && wheels != 2 && wheels != 4) {
      throw new InvalidValueException("wheels", Sentence.of("refused.wheels", "given", wheels));
    }
    Require.present("line", line);
    Require.present("consequence", consequence);
    if (line == Line.BEYOND) {
      Require.within("beyondM", Require.present("beyondM", beyondM), -FARTHEST_M, FARTHEST_M);
    }
    if (consequence == Consequence.TIME) {
      Require.within("penaltyS", Require.present("penaltyS", penaltyS), 0.1, LONGEST_S);
    }
    if (backBeforeM != null) {
      Require.notNegative("backBeforeM", backBeforeM);
    }
    sessions =
        sessions == null || sessions.isEmpty() ? List.of() : List.copyOf(EnumSet.copyOf(sessions));
    note = note == null ? "" : note;
  }

  /**
   * Checks that it lies on a road.
   *
   * @throws InvalidValueException naming its member, where it ends before it begins or asks to be
   *     back elsewhere
   */
  public void checkOn(Road road) {
    double lengthM = road.closed() ? road.distance(fromM, toM) : toM - fromM;
    if (lengthM < 0 || lengthM > road.lengthM() / 2) {
      throw new InvalidValueException("toM", Sentence.of("refused.ends-before", "at_m", toM));
    }
    if (backBeforeM != null && !covers(road, backBeforeM)) {
      throw new InvalidValueException(
          "backBeforeM", Sentence.of("refused.back-elsewhere", "at_m", backBeforeM));
    }
  }

  /** Whether it bounds the car at a station. */
  public boolean boundsAt(Road road, double stationM) {
    double way = road.distance(fromM, stationM);
    boolean on = way >= 0 && way <= road.distance(fromM, toM);
    boolean free = backBeforeM != null && way < road.distance(fromM, backBeforeM);
    return on && !free;
  }

  /** Whether a station lies on it, free or not. */
  public boolean covers(Road road, double stationM) {
    double way = road.distance(fromM, stationM);
    return way >= 0 && way <= road.distance(fromM, toM);
  }

  /** Whether it has a consequence in a session. */
  public boolean countsIn(In session) {
    return sessions.isEmpty() || sessions.contains(session);
  }
}
