package marvek.core.page;

import java.util.function.DoubleUnaryOperator;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.circuit.Kerb;
import marvek.core.conditions.Footwork;
import marvek.core.line.School;
import marvek.core.say.Sentence;

/** What sort of thing a value of a page is; SI units. */
public enum Quantity {
  /** A place along the lap [m]; its own sort, since it goes round the start line. */
  STATION(Double.class, 0, Double.POSITIVE_INFINITY),
  /** Pressure or throttle in per cent of full. */
  PERCENT(Double.class, 0, 100),
  /** First pressure in per cent of full; less than one is no press. */
  PRESS(Double.class, 1, 100),
  /** Speed [m/s]; faster than 150 m/s nobody drives. */
  SPEED(Double.class, 1, 150),
  /** Distance from the centreline, positive to the left [m]; no line leads farther from it. */
  OFFSET(Double.class, -60, 60),
  /** A gear's number; no box has more than twelve. */
  GEAR(Integer.class, 1, 12),
  /** A mark out of five. */
  OF_FIVE(Integer.class, 0, 5),
  /** How much of a kerb is used. */
  KERB_USE(Kerb.Use.class, Double.NaN, Double.NaN),
  /** A way through a corner. */
  SCHOOL(School.class, Double.NaN, Double.NaN),
  /** Which foot brakes. */
  FEET(Footwork.class, Double.NaN, Double.NaN),
  /** Changes of gear. */
  GEAR_CHANGES(GearChanges.class, Double.NaN, Double.NaN),
  /** Presses of the brake. */
  PRESSES(PedalWork.Presses.class, Double.NaN, Double.NaN),
  /** Phases of the throttle. */
  PHASES(PedalWork.Phases.class, Double.NaN, Double.NaN),
  /** What is found anew for a shape of one's own. */
  GIVES_WAY(GivesWay.class, Double.NaN, Double.NaN),
  /** How points are told. */
  TOLD(ToldPoints.class, Double.NaN, Double.NaN),
  /** Places to be at. */
  GATES(Gates.class, Double.NaN, Double.NaN),
  /** Notes on points. */
  POINT_NOTES(PointNotes.class, Double.NaN, Double.NaN),
  /** Values of other days. */
  VARIANTS(Variants.class, Double.NaN, Double.NaN),
  /** A label or a few words; more than this no plate holds. */
  WORDS(String.class, 0, 120),
  /** A note; more than this no page holds. */
  NOTE(String.class, 0, 2000);

  private final Class<?> type;
  private final double low;
  private final double high;

  Quantity(Class<?> type, double low, double high) {
    this.type = type;
    this.low = low;
    this.high = high;
  }

  /** Type of its values. */
  public Class<?> type() {
    return type;
  }

  /** Least value, or least length of a text; NaN without one. */
  public double low() {
    return low;
  }

  /** Largest value, or longest text; NaN or infinite without one. */
  public double high() {
    return high;
  }

  /** Whether it is told in words. */
  public boolean isText() {
    return type == String.class;
  }

  /**
   * Checks a value.
   *
   * @throws InvalidValueException naming the field, where it is of another type or out of bounds
   */
  void check(String field, Object value) {
    if (!type.isInstance(value)) {
      throw new InvalidValueException(field, Sentence.of("refused.another-kind", "value", value));
    }
    if (value instanceof String text) {
      if (text.length() > high) {
        throw new InvalidValueException(
            field, Sentence.of("refused.too-long", "given", text.length(), "most", (int) high));
      }
    } else if (value instanceof PedalWork.Presses presses) {
      presses.check(field);
    } else if (value instanceof PedalWork.Phases phases) {
      phases.check(field);
    } else if (value instanceof GearChanges changes) {
      changes.check(field);
    } else if (value instanceof ToldPoints told) {
      told.check(field);
    } else if (value instanceof Gates gates) {
      gates.check(field);
    } else if (value instanceof PointNotes notes) {
      notes.check(field);
    } else if (value instanceof Variants variants) {
      variants.check(field);
    } else if (this == STATION) {
      Require.notNegative(field, (Double) value);
    } else if (value instanceof Number number) {
      Require.within(field, number.doubleValue(), low, high);
    }
  }

  /** The nearest amount that can be. */
  public double within(double amount) {
    return Math.max(low, Math.min(high, amount));
  }

  /** A value as a number: the use of a kerb by its place in the list of uses; null for null. */
  public Double amount(Object value) {
    if (value instanceof Number number) {
      return number.doubleValue();
    }
    return value instanceof Kerb.Use use ? (double) use.ordinal() : null;
  }

  /** A value on another layout: its places become others. */
  Object moved(Object value, DoubleUnaryOperator station) {
    if (value instanceof PedalWork.Presses presses) {
      return presses.moved(station);
    }
    if (value instanceof PedalWork.Phases phases) {
      return phases.moved(station);
    }
    if (value instanceof GearChanges changes) {
      return changes.moved(station);
    }
    if (value instanceof Gates gates) {
      return gates.moved(station);
    }
    if (value instanceof Variants variants) {
      return variants.moved(station);
    }
    boolean place = this == STATION && value != null;
    return place ? (Object) station.applyAsDouble((Double) value) : value;
  }

  /** Two values of corners that became one. */
  Object joined(Object one, Object other) {
    if (one instanceof ToldPoints told) {
      return told.and((ToldPoints) other);
    }
    if (one instanceof Gates gates) {
      return gates.and((Gates) other);
    }
    if (one instanceof PointNotes notes) {
      return notes.and((PointNotes) other);
    }
    if (one instanceof Variants variants) {
      return variants.and((Variants) other);
    }
    return (one + " " + other).strip();
  }

  /** The value of a number, see {@link #amount}; null for null. */
  public Object value(Double amount) {
    if (amount == null) {
      return null;
    }
    return switch (this) {
      case GEAR, OF_FIVE -> (int) Math.round(amount);
      case KERB_USE -> Kerb.Use.values()[(int) Math.round(amount)];
      default -> amount;
    };
  }
}
