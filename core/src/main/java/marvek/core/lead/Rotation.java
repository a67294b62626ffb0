package marvek.core.lead;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/**
 * Who drives directly behind the leader, and who behind him. Each has his laps there and goes to
 * the back; everybody has been there once before anybody is a second time. Somebody who leaves is
 * passed over from then on, somebody who comes late has his turn before those who had theirs
 * (common practice on track days: the line is the instructor's, and changes of places are made
 * where he says, never by overtaking in corners).
 */
public final class Rotation {
  /** A day on a circuit has no more. */
  private static final int MOST_LAPS = 200;

  private final int lapsEach;
  private final List<Member> waiting;
  private final List<Member> line = new ArrayList<>();
  private final Map<String, Integer> turnsHad = new HashMap<>();
  private int left;

  private Rotation(List<Member> group, int lapsEach) {
    this.waiting = new ArrayList<>(group);
    this.lapsEach = lapsEach;
  }

  /**
   * The line on some laps.
   *
   * @param order keys of the drivers, the first directly behind the leader; empty if nobody is
   *     there
   */
  public record Turn(int fromLap, int toLap, List<String> order) {
    public Turn {
      order = List.copyOf(order);
    }
  }

  /**
   * The turns of a day.
   *
   * @param group in the order of the first lap
   * @param lapsEach laps behind the leader at a time, 1 to 20
   * @param laps of the session, 1 to 200
   */
  public static List<Turn> of(List<Member> group, int lapsEach, int laps) {
    Require.within("lapsEach", lapsEach, 1, 20);
    Require.within("laps", laps, 1, MOST_LAPS);
    if (group.stream().map(Member::key).distinct().count() != group.size()) {
      throw new InvalidValueException("drivers", Sentence.of("refused.drivers-key-twice"));
    }
    return new Rotation(group, lapsEach).turns(laps);
  }

  private List<Turn> turns(int laps) {
    List<Turn> turns = new ArrayList<>();
    for (int lap = 1; lap <= laps; lap++) {
      List<String> order = orderOf(lap);
      Turn last = turns.isEmpty() ? null : turns.get(turns.size() - 1);
      if (last != null && last.order().equals(order) && left < lapsEach) {
        turns.set(turns.size() - 1, new Turn(last.fromLap(), lap, order));
      } else {
        turns.add(new Turn(lap, lap, order));
      }
      left--;
    }
    return turns;
  }

  private List<String> orderOf(int lap) {
    String before = line.isEmpty() ? null : line.get(0).key();
    line.removeIf(member -> !member.isThere(lap));
    boolean frontStays = !line.isEmpty() && line.get(0).key().equals(before);
    if (frontStays && left == 0) {
      line.add(line.remove(0));
      frontStays = false;
    }
    join(lap, frontStays ? 1 : 0);
    if (!frontStays && !line.isEmpty()) {
      left = lapsEach;
      turnsHad.merge(line.get(0).key(), 1, Integer::sum);
    }
    return line.stream().map(Member::key).toList();
  }

  /** Whoever comes stands before those who had more turns than he. */
  private void join(int lap, int first) {
    for (Member member : List.copyOf(waiting)) {
      if (member.isThere(lap)) {
        waiting.remove(member);
        int at = first;
        while (at < line.size() && turnsHad.getOrDefault(line.get(at).key(), 0) == 0) {
          at++;
        }
        line.add(at, member);
      }
    }
  }
}
