package marvek.core.lead;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.circuit.Side;
import marvek.core.say.Sentence;

/**
 * A day on which an instructor leads a group.
 *
 * @param drivers in the order of the first lap
 * @param lapsEach laps behind the leader at a time
 * @param laps of the session
 * @param lap that is driven now, 1 to {@code laps}
 * @param paceShare of the page's speed at which is led, 0.3 to 1
 * @param words that remarks are made of with one touch
 * @param cones that stand today
 * @param safetyBrief what is said before anybody drives
 * @param files of laps by the key of the driver who drove them
 */
public record LeadDay(
    List<Member> drivers,
    int lapsEach,
    int laps,
    int lap,
    double paceShare,
    List<Word> words,
    List<Cone> cones,
    List<Item> safetyBrief,
    Map<String, Set<UUID>> files) {
  /** Bounds of a day: a group that one can lead, words that fit a telephone. */
  private static final int MOST_DRIVERS = 12;

  private static final int MOST_WORDS = 20;
  private static final int MOST_CONES = 200;
  private static final int LONGEST = 200;

  /** Slowest and fastest that a group is led at, as a share of the page's speed. */
  private static final double SLOWEST = 0.3;

  public LeadDay {
    drivers = atMost("drivers", drivers, MOST_DRIVERS);
    words = atMost("words", words, MOST_WORDS);
    cones = atMost("cones", cones, MOST_CONES);
    safetyBrief = atMost("safetyBrief", safetyBrief, MOST_WORDS);
    distinct("words", words.stream().map(Word::text).toList());
    distinct("cones", cones.stream().map(c -> c.point() + " of corner " + c.corner()).toList());
    files = Map.copyOf(files);
    Require.within("paceShare", paceShare, SLOWEST, 1);
    Rotation.of(drivers, lapsEach, laps);
    Require.within("lap", lap, 1, laps);
    Set<String> keys = new HashSet<>();
    drivers.forEach(driver -> keys.add(driver.key()));
    if (!keys.containsAll(files.keySet())) {
      throw new InvalidValueException("files", Sentence.of("refused.files-of-outsider"));
    }
  }

  private static <T> List<T> atMost(String field, List<T> list, int most) {
    if (list.size() > most) {
      throw new InvalidValueException(
          field, Sentence.of("refused.most-entries", "given", list.size(), "most", most));
    }
    return List.copyOf(list);
  }

  private static void distinct(String field, List<String> names) {
    Set<String> seen = new HashSet<>();
    names.stream()
        .filter(name -> !seen.add(name))
        .findFirst()
        .ifPresent(
            name -> {
              throw new InvalidValueException(field, Sentence.of("refused.twice", "what", name));
            });
  }

  /**
   * A short remark in the instructor's own words.
   *
   * @param good whether it praises
   */
  public record Word(String text, boolean good) {
    public Word {
      Require.text("words.text", text, LONGEST);
    }
  }

  /** What a cone or board stands at. */
  public enum Point {
    BRAKE,
    TURN_IN,
    APEX
  }

  /** What stands there. */
  public enum What {
    CONE,
    BOARD
  }

  /**
   * A mark of this day alone.
   *
   * @param atM station [m]
   */
  public record Cone(int corner, Point point, What what, double atM, Side side, String note) {
    public Cone {
      Require.within("cones.corner", corner, 1, 1000);
      Require.within("cones.at_m", atM, 0, 1e6);
      if (note.length() > LONGEST) {
        throw new InvalidValueException("cones.note", Sentence.of("refused.note-length"));
      }
    }
  }

  /** An item of the safety brief, and whether it was said. */
  public record Item(String text, boolean done) {
    public Item {
      Require.text("safetyBrief.text", text, LONGEST);
    }
  }

  /** A day as it begins; words and brief are common practice of instructors. */
  public static LeadDay fresh() {
    return new LeadDay(
        List.of(),
        2,
        12,
        1,
        0.7,
        List.of(
            new Word("Early", false),
            new Word("Late", false),
            new Word("Good", true),
            new Word("Tighter", false),
            new Word("Wait for throttle", false),
            new Word("Look further", false)),
        List.of(),
        List.of(
            new Item("Flags and lights: what each means, and what is done at once", false),
            new Item(
                "Nobody passes the leader, nobody passes in the group but where it is told", false),
            new Item(
                "Distance: as far as one can look through the corner, never nose to tail", false),
            new Item(
                "Trouble: hand up, off the line, to the side; leaving the road: straight on, no sudden"
                    + " steering, braking as the vehicle allows on what is there",
                false),
            new Item("Change of places: where, on which signal, who goes first", false),
            new Item("Helmet, belts, brakes, tyres, nothing loose: checked by each", false),
            new Item("Officials and the circuit's rules come before anything said here", false)),
        Map.of());
  }

  /** The turns of the day. */
  public List<Rotation.Turn> turns() {
    return Rotation.of(drivers, lapsEach, laps);
  }

  public boolean has(String driver) {
    return drivers.stream().anyMatch(d -> d.key().equals(driver));
  }
}
