package marvek.formats;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Times of a sample that are no plain number: {@code 1:23.456}, {@code 14:05:31.20}, {@code
 * 2031-05-09T14:05:31.200Z}, a date of another kind before the time of day.
 */
final class ClockCell {
  private static final int LONGEST = 40;
  private static final double DAY_S = 86400;

  private static final Pattern OF_DAY =
      Pattern.compile("(\\d{1,4}):(\\d{1,2}):(\\d{1,2}(?:[.,:]\\d+)?)\\s*(am|pm|AM|PM)?");

  private static final Pattern MINUTES =
      Pattern.compile("(\\d{1,5})[:'](\\d{1,2}(?:[.,]\\d+)?)\"?");

  private static final Pattern DATED =
      Pattern.compile("(\\d{1,4})[-/.](\\d{1,2})[-/.](\\d{1,4})(?:[T ]\\s*|,\\s*)(\\S.*)");

  private static final Pattern ZONE = Pattern.compile("(?:Z|UTC|[+-]\\d{2}:?\\d{2})$");

  private ClockCell() {}

  /** Whether a cell is a time with colons. */
  static boolean isTime(String cell) {
    String text = cell.strip();
    return text.length() <= LONGEST && text.indexOf(':') > 0 && !Double.isNaN(of(text));
  }

  /**
   * Seconds: of the day, of the recording, or since 1970 where the cell has a date with the year
   * first. NaN where it is no time.
   */
  static double of(String cell) {
    String text = cell.strip();
    if (text.length() > LONGEST) {
      return Double.NaN;
    }
    Matcher dated = DATED.matcher(text);
    if (dated.matches()) {
      double ofDay = ofDay(ZONE.matcher(dated.group(4)).replaceFirst("").strip());
      boolean yearFirst = dated.group(1).length() == 4;
      return yearFirst ? day(dated) + ofDay : ofDay;
    }
    return ofDay(ZONE.matcher(text).replaceFirst("").strip());
  }

  private static double day(Matcher dated) {
    try {
      return DAY_S
          * LocalDate.of(number(dated.group(1)), number(dated.group(2)), number(dated.group(3)))
              .toEpochDay();
    } catch (DateTimeException e) {
      return Double.NaN;
    }
  }

  private static double ofDay(String text) {
    Matcher hours = OF_DAY.matcher(text);
    if (hours.matches()) {
      double seconds = seconds(hours.group(3));
      int minutes = number(hours.group(2));
      boolean afternoon = "pm".equalsIgnoreCase(hours.group(4));
      int hour = number(hours.group(1)) % (hours.group(4) == null ? Integer.MAX_VALUE : 12);
      return seconds >= 60 || minutes >= 60
          ? Double.NaN
          : 3600.0 * (hour + (afternoon ? 12 : 0)) + 60.0 * minutes + seconds;
    }
    Matcher minutes = MINUTES.matcher(text);
    if (minutes.matches()) {
      double seconds = seconds(minutes.group(2));
      return seconds >= 60 ? Double.NaN : 60.0 * number(minutes.group(1)) + seconds;
    }
    return Double.NaN;
  }

  /** Some write the decimals behind a colon too: 14:05:31:200. */
  private static double seconds(String text) {
    return Double.parseDouble(text.replace(',', '.').replace(':', '.'));
  }

  private static int number(String digits) {
    return Integer.parseInt(digits);
  }
}
