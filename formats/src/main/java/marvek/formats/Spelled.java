package marvek.formats;

import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;

/** Constants as files and the interface write them: small, with hyphens. */
public final class Spelled {
  private Spelled() {}

  /** {@code LATE_APEX} as {@code late-apex}; null for none. */
  public static String of(Enum<?> constant) {
    return constant == null ? null : constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /**
   * The constant that is spelled so, in small letters or large ones.
   *
   * @param field that it is read from, told where there is none
   * @throws InvalidValueException with the known ones
   */
  public static <E extends Enum<E>> E read(Class<E> type, String field, String text) {
    return Arrays.stream(type.getEnumConstants())
        .filter(constant -> of(constant).equalsIgnoreCase(text))
        .findFirst()
        .orElseThrow(
            () ->
                new InvalidValueException(
                    field, Sentence.of("refused.must-be", "given", text, "known", known(type))));
  }

  /** All of them, for a message: {@code begin, made or missed}. */
  public static String known(Class<? extends Enum<?>> type) {
    String names =
        Arrays.stream(type.getEnumConstants()).map(Spelled::of).collect(Collectors.joining(", "));
    return names.replaceFirst(", ([^,]*)$", " or $1");
  }
}
