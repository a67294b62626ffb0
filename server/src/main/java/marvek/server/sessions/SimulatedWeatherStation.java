package marvek.server.sessions;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import marvek.core.brief.Session.ForecastHour;
import marvek.core.conditions.Conditions.Surface;
import org.springframework.stereotype.Component;

/**
 * A weather station that is made up, as a stand-in for a feed: the same place and day always have
 * the same weather. Temperatures go up and down with the hour and the month, wind turns slowly, and
 * on some days a band of rain comes through, after which the road dries.
 */
@Component
class SimulatedWeatherStation {
  /** Days on which it rains. */
  private static final double RAINY_DAYS = 0.4;

  private static final int DRIES_IN_HOURS = 2;

  /** Warmest and coldest hour. */
  private static final double WARMEST_HOUR = 15;

  private static final double DAY_SWING_C = 5;

  /** Hour by hour from the full hour before a moment. */
  List<ForecastHour> hours(String place, LocalDateTime from, int count) {
    LocalDateTime first = from.truncatedTo(ChronoUnit.HOURS);
    List<ForecastHour> hours = new ArrayList<>();
    for (int h = 0; h < count; h++) {
      hours.add(Day.of(place, first.plusHours(h).toLocalDate()).at(first.plusHours(h)));
    }
    return hours;
  }

  /** The weather of one day at one place. */
  private record Day(
      double meanC, double windMps, double windFromDeg, double turnsDeg, int rainFrom, int rainTo) {

    static Day of(String place, LocalDate date) {
      Random random = new Random(31L * place.hashCode() + date.toEpochDay());
      double season = Math.cos(2 * Math.PI * (date.getDayOfYear() - 200) / 365.25);
      double mean = 12 + 8 * season + 2.5 * random.nextGaussian();
      double wind = 1 + 6 * random.nextDouble();
      double from = 360 * random.nextDouble();
      double turns = 60 * (random.nextDouble() - 0.3);
      boolean rainy = random.nextDouble() < RAINY_DAYS;
      int begins = 8 + random.nextInt(8);
      int ends = begins + 1 + random.nextInt(3);
      return new Day(mean, wind, from, turns, rainy ? begins : 99, rainy ? ends : 99);
    }

    ForecastHour at(LocalDateTime at) {
      int hour = at.getHour();
      boolean rain = hour >= rainFrom && hour < rainTo;
      boolean drying = hour >= rainTo && hour < rainTo + DRIES_IN_HOURS;
      double sun = Math.max(0, Math.cos(2 * Math.PI * (hour - 13) / 24));
      double air =
          meanC + DAY_SWING_C * Math.cos(2 * Math.PI * (hour - WARMEST_HOUR) / 24) - (rain ? 3 : 0);
      double track = air + (rain ? 0 : drying ? 3 * sun : 14 * sun);
      double from = (windFromDeg + turnsDeg * hour / 24 + 360) % 360;
      return new ForecastHour(
          at,
          rain ? Surface.WET : drying ? Surface.DAMP : Surface.DRY,
          tenths(air),
          tenths(track),
          tenths(rain ? windMps + 2 : windMps),
          Math.round(from) % 360,
          chance(hour));
    }

    private double chance(int hour) {
      int away = Math.max(0, Math.max(rainFrom - hour, hour - rainTo + 1));
      return Math.max(5, 90 - 25.0 * away);
    }

    private static double tenths(double value) {
      return Math.round(10 * value) / 10.0;
    }
  }
}
