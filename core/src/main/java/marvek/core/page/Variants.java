package marvek.core.page;

import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;

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

  /** The same on another layout. */
  Variants moved(DoubleUnaryOperator station) {
    Map<DayKind, Map<PageField, Object>> moved = new EnumMap<>(DayKind.class);
    days.forEach(
        (day, values) -> {
          Map<PageField, Object> then = new EnumMap<>(PageField.class);
          values.forEach((field, value) -> then.put(field, field.quantity().moved(value, station)));
          moved.put(day, then);
        });
    return new Variants(moved);
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
