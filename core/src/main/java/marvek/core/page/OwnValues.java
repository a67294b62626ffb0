package marvek.core.page;

import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Kerb;
import marvek.core.conditions.Footwork;
import marvek.core.line.School;
import marvek.core.page.CornerPage.Source;
import marvek.core.say.Sentence;

/**
 * What a driver, a coach or a measurement puts in the place of the model's values in one corner.
 * Made with {@link #in(int)}.
 *
 * @param values by their fields; the model's stands where there is none
 * @param source who says so, but for the measured ones
 * @param measured laps that a value was measured in, by its name in the book format
 */
public record OwnValues(
    int corner, Map<PageField, Object> values, Source source, Map<String, List<String>> measured) {
  public OwnValues {
    values.forEach((field, value) -> field.quantity().check(field.path(), value));
    Map<PageField, Object> kept = new EnumMap<>(PageField.class);
    kept.putAll(values);
    values = Collections.unmodifiableMap(kept);
    source = source == null ? Source.DRIVER : source;
    Map<String, List<String>> laps = new TreeMap<>();
    measured.forEach((field, names) -> laps.put(field, List.copyOf(names)));
    measured = Collections.unmodifiableMap(laps);
    checkOneMarkEach(values);
  }

  /** A point has its mark in its own field or among the points that are told, not in both. */
  private static void checkOneMarkEach(Map<PageField, Object> values) {
    ToldPoints told = (ToldPoints) values.get(PageField.TOLD);
    if (told == null) {
      return;
    }
    for (int k = 0; k < told.list().size(); k++) {
      PageField mark =
          switch (told.list().get(k).point()) {
            case BRAKE -> PageField.BRAKE_MARK;
            case TURN_IN -> PageField.TURN_IN_MARK;
            case LOOK -> PageField.LOOK_MARK;
            default -> null;
          };
      if (mark != null && values.get(mark) != null && told.list().get(k).mark() != null) {
        throw new InvalidValueException(
            PageField.TOLD.path() + "/" + k + "/mark",
            Sentence.of("refused.second-mark", "other", mark.path()));
      }
    }
  }

  /** The value of a field; null where the model's stands. */
  public Object get(PageField field) {
    return values.get(field);
  }

  /** Where the value of a field comes from. */
  public Source sourceOf(String field) {
    return measured.containsKey(field) ? Source.MEASURED : source;
  }

  /** The way through the corner that is driven in place of the book's line. */
  public School line() {
    return (School) get(PageField.LINE);
  }

  /** Station at which the driver acts. */
  public Double brakeAtM() {
    return (Double) get(PageField.BRAKE);
  }

  public Double initialPct() {
    return (Double) get(PageField.BRAKE_INITIAL);
  }

  /** Presses of the brake; null for the model's. */
  public PedalWork.Presses presses() {
    return (PedalWork.Presses) get(PageField.PRESSES);
  }

  /** Phases of the throttle; null for the model's. */
  public PedalWork.Phases phases() {
    return (PedalWork.Phases) get(PageField.PHASES);
  }

  /** What is found anew for presses of one's own; null where that is not said. */
  public GivesWay givesWay() {
    return (GivesWay) get(PageField.GIVES_WAY);
  }

  public Integer cornerGear() {
    return (Integer) get(PageField.GEAR);
  }

  /** Which foot brakes; null for the lap's. */
  public Footwork feet() {
    return (Footwork) get(PageField.FEET);
  }

  /** The gear on the way in; null for the model's. */
  public Integer gearIn() {
    return (Integer) get(PageField.GEAR_IN);
  }

  /** The gear on the way out; null for the model's. */
  public Integer gearOut() {
    return (Integer) get(PageField.GEAR_OUT);
  }

  /** Changes of gear up to the next corner; null for the model's. */
  public GearChanges gearChanges() {
    return (GearChanges) get(PageField.GEAR_CHANGES);
  }

  /** Whether any of the corner's gears or changes is the driver's own. */
  public boolean hasGears() {
    return cornerGear() != null || gearIn() != null || gearOut() != null || gearChanges() != null;
  }

  public Double turnInM() {
    return (Double) get(PageField.TURN_IN);
  }

  /** Pressure at the turn-in, in per cent of full. */
  public Double turnInPct() {
    return (Double) get(PageField.TURN_IN_PRESSURE);
  }

  public Double releaseM() {
    return (Double) get(PageField.RELEASE);
  }

  /** Lowest speed in the corner. */
  public Double apexSpeedMps() {
    return (Double) get(PageField.APEX_SPEED);
  }

  /** Offset at the first apex, positive to the left. */
  public Double apexOffsetM() {
    return (Double) get(PageField.APEX_OFFSET);
  }

  /** How much of the kerb inside is used. */
  public Kerb.Use kerbApex() {
    return (Kerb.Use) get(PageField.APEX_KERB);
  }

  /** How much of the kerb at the track-out is used. */
  public Kerb.Use kerbExit() {
    return (Kerb.Use) get(PageField.EXIT_KERB);
  }

  public Double throttleFirstM() {
    return (Double) get(PageField.THROTTLE_FIRST);
  }

  public Double throttleFullM() {
    return (Double) get(PageField.THROTTLE_FULL);
  }

  /** How points are told; null where the driver tells none himself. */
  public ToldPoints told() {
    return (ToldPoints) get(PageField.TOLD);
  }

  /** Places to be at; null without any. */
  public Gates gates() {
    return (Gates) get(PageField.GATES);
  }

  /** Notes on points; null without any. */
  public PointNotes pointNotes() {
    return (PointNotes) get(PageField.POINT_NOTES);
  }

  /** What is done on other days; null for nothing else. */
  public Variants variants() {
    return (Variants) get(PageField.VARIANTS);
  }

  public Integer confidence() {
    return (Integer) get(PageField.CONFIDENCE);
  }

  public String notes() {
    return (String) get(PageField.NOTES);
  }

  public String wayOut() {
    return (String) get(PageField.WAY_OUT);
  }

  /** Label of the mark that the brake point is told by. */
  public String brakeMark() {
    return (String) get(PageField.BRAKE_MARK);
  }

  /** Own wording for it, in the place of the computed one. */
  public String brakeWords() {
    return (String) get(PageField.BRAKE_WORDS);
  }

  public String turnInMark() {
    return (String) get(PageField.TURN_IN_MARK);
  }

  public String turnInWords() {
    return (String) get(PageField.TURN_IN_WORDS);
  }

  /** Begins the own values of a corner. */
  public static Builder in(int corner) {
    return new Builder(corner);
  }

  /** The same values with some of them put in others' places. */
  public Builder but() {
    Builder b = new Builder(corner);
    b.values.putAll(values);
    b.source = source;
    b.measured.putAll(measured);
    return b;
  }

  /** Collects own values; what is not named stays the model's. */
  public static final class Builder {
    private final int corner;
    private final Map<PageField, Object> values = new EnumMap<>(PageField.class);
    private Source source;
    private final Map<String, List<String>> measured = new TreeMap<>();

    private Builder(int corner) {
      this.corner = corner;
    }

    /** The value of a field; null gives the model's back. */
    public Builder put(PageField field, Object value) {
      if (value == null) {
        values.remove(field);
      } else {
        values.put(field, value);
      }
      return this;
    }

    public Builder line(School value) {
      return put(PageField.LINE, value);
    }

    public Builder brakeAtM(Double value) {
      return put(PageField.BRAKE, value);
    }

    public Builder initialPct(Double value) {
      return put(PageField.BRAKE_INITIAL, value);
    }

    public Builder presses(PedalWork.Presses value) {
      return put(PageField.PRESSES, value);
    }

    public Builder phases(PedalWork.Phases value) {
      return put(PageField.PHASES, value);
    }

    public Builder givesWay(GivesWay value) {
      return put(PageField.GIVES_WAY, value);
    }

    public Builder cornerGear(Integer value) {
      return put(PageField.GEAR, value);
    }

    public Builder feet(Footwork value) {
      return put(PageField.FEET, value);
    }

    public Builder gearIn(Integer value) {
      return put(PageField.GEAR_IN, value);
    }

    public Builder gearOut(Integer value) {
      return put(PageField.GEAR_OUT, value);
    }

    public Builder gearChanges(GearChanges value) {
      return put(PageField.GEAR_CHANGES, value);
    }

    public Builder turnInM(Double value) {
      return put(PageField.TURN_IN, value);
    }

    public Builder turnInPct(Double value) {
      return put(PageField.TURN_IN_PRESSURE, value);
    }

    public Builder releaseM(Double value) {
      return put(PageField.RELEASE, value);
    }

    public Builder apexSpeedMps(Double value) {
      return put(PageField.APEX_SPEED, value);
    }

    public Builder apexOffsetM(Double value) {
      return put(PageField.APEX_OFFSET, value);
    }

    public Builder kerbApex(Kerb.Use value) {
      return put(PageField.APEX_KERB, value);
    }

    public Builder kerbExit(Kerb.Use value) {
      return put(PageField.EXIT_KERB, value);
    }

    public Builder throttleFirstM(Double value) {
      return put(PageField.THROTTLE_FIRST, value);
    }

    public Builder throttleFullM(Double value) {
      return put(PageField.THROTTLE_FULL, value);
    }

    public Builder told(ToldPoints value) {
      return put(PageField.TOLD, value);
    }

    public Builder gates(Gates value) {
      return put(PageField.GATES, value);
    }

    public Builder pointNotes(PointNotes value) {
      return put(PageField.POINT_NOTES, value);
    }

    public Builder variants(Variants value) {
      return put(PageField.VARIANTS, value);
    }

    public Builder confidence(Integer value) {
      return put(PageField.CONFIDENCE, value);
    }

    public Builder notes(String value) {
      return put(PageField.NOTES, value);
    }

    public Builder wayOut(String value) {
      return put(PageField.WAY_OUT, value);
    }

    /** The mark that the brake point is told by, and own wording for it; both may be null. */
    public Builder brakeMark(String label, String words) {
      return put(PageField.BRAKE_MARK, label).put(PageField.BRAKE_WORDS, words);
    }

    /** The same for the turn-in. */
    public Builder turnInMark(String label, String words) {
      return put(PageField.TURN_IN_MARK, label).put(PageField.TURN_IN_WORDS, words);
    }

    public Builder source(Source who) {
      source = who;
      return this;
    }

    /** The value of a field was measured in laps, which are told by their names. */
    public Builder measured(String field, List<String> laps) {
      measured.put(field, laps);
      return this;
    }

    /** The value of a field is not a measured one any more. */
    public Builder notMeasured(String field) {
      measured.remove(field);
      return this;
    }

    /**
     * The values.
     *
     * @throws InvalidValueException naming the first value that cannot be
     */
    public OwnValues build() {
      return new OwnValues(corner, values, source, measured);
    }
  }
}
