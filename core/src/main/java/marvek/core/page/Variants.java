package marvek.core.page;

import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/**
 * What a driver does on other days in the place of what stands on the page, as a value of it.
 *
 * @param days values by the kind of day and their fields
 */
public record Variants(Map<DayKind, Map<PageField, Object>> days) {
  public static final Variants NONE = new Variants(Map.of());

  /** What can be another day's. */
  public static final Set<PageField> FIELDS =
      Collections.unmodifiableSet(
          EnumSet.of(
              PageField.BRAKE,
              PageField.BRAKE_INITIAL,
              PageField.GEAR,
              PageField.TURN_IN,
              PageField.APEX_SPEED,
              PageField.APEX_KERB,
              PageField.EXIT_KERB,
              PageField.THROTTLE_FIRST,
              PageField.THROTTLE_FULL));

  public Variants {
    Map<DayKind, Map<PageField, Object>> kept = new EnumMap<>(DayKind.class);
    days.forEach(
        (day, values) -> {
          if (!values.isEmpty()) {
            kept.put(day, Collections.unmodifiableMap(new EnumMap<>(values)));
          }
        });
    days = Collections.unmodifiableMap(kept);
  }

  /** Values of a kind of day; empty without any. */
  public Map<PageField, Object> on(DayKind day) {
    return days.getOrDefault(day, Map.of());
  }

  /**
   * Those that are bolder than the page itself: braking later, on the throttle earlier, faster,
   * more kerb. On each of these days the car has less to give than on the page (common practice),
   * so that they are no advice: the page was changed since they were written.
   */
  Variants bolderThan(CornerPage page, Road road) {
    return changed((day, field, value) -> isBolder(field, value, page, road) ? value : null);
  }

  private static boolean isBolder(PageField field, Object value, CornerPage page, Road road) {
    Double on = field.amountOf(page);
    if (on == null) {
      return false;
    }
    double then = field.quantity().amount(value);
    return switch (field) {
      case BRAKE -> road.offsetBetween(on, then) >= field.leastChange();
      case THROTTLE_FIRST, THROTTLE_FULL -> road.offsetBetween(then, on) >= field.leastChange();
      case APEX_SPEED, APEX_KERB, EXIT_KERB -> then - on >= field.leastChange();
      default -> false;
    };
  }

  /** All but some. */
  public Variants without(Variants some) {
    return changed((day, field, value) -> some.on(day).containsKey(field) ? null : value);
  }

  /** The same on another layout. */
  Variants moved(DoubleUnaryOperator station) {
    return changed((day, field, value) -> field.quantity().moved(value, station));
  }

  /** A value in the place of one that is written; null takes it out. */
  public interface Change {
    @Nullable Object of(DayKind day, PageField field, Object value);
  }

  /** Each value changed. */
  public Variants changed(Change change) {
    Map<DayKind, Map<PageField, Object>> all = new EnumMap<>(DayKind.class);
    days.forEach(
        (day, values) -> {
          Map<PageField, Object> then = new EnumMap<>(PageField.class);
          values.forEach(
              (field, value) -> {
                Object now = change.of(day, field, value);
                if (now != null) {
                  then.put(field, now);
                }
              });
          all.put(day, then);
        });
    return new Variants(all);
  }

  /** With those of another corner where this one has none. */
  Variants and(Variants other) {
    Map<DayKind, Map<PageField, Object>> all = new EnumMap<>(DayKind.class);
    all.putAll(other.days);
    all.putAll(days);
    return new Variants(all);
  }

  void check(String path) {
    days.forEach(
        (day, values) ->
            values.forEach(
                (field, value) -> {
                  String at = path + "/" + day.name().toLowerCase(java.util.Locale.ROOT);
                  if (!FIELDS.contains(field)) {
                    throw new InvalidValueException(
                        at + "/" + field.path(), Sentence.of("refused.not-of-a-day"));
                  }
                  field.quantity().check(at + "/" + field.path(), value);
                }));
  }
}
