package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneId;
import marvek.core.circuit.GeoPoint;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Towns with the clocks that they keep (common knowledge), none of them in the table itself. */
class PlaceZoneTest {
  @ParameterizedTest
  @CsvSource({
    "53.55, 10.00, Europe/Berlin",
    "45.76, 4.84, Europe/Paris",
    "52.48, -1.90, Europe/London",
    "34.69, 135.50, Asia/Tokyo",
    "-38.15, 144.36, Australia/Melbourne",
    "-33.03, -71.55, America/Santiago",
    "41.76, -72.67, America/New_York",
    "-17.5, -149.9, Pacific/Tahiti",
  })
  void aTownKeepsTheClocksOfTheNearestPlaceOfTheTable(double lat, double lon, String zone) {
    ZoneId found = PlaceZone.nearest(new GeoPoint(lat, lon));
    for (String moment : new String[] {"2026-01-15T12:00:00Z", "2026-07-15T12:00:00Z"}) {
      Instant then = Instant.parse(moment);
      assertThat(found.getRules().getOffset(then))
          .as("%s at %s", found, moment)
          .isEqualTo(ZoneId.of(zone).getRules().getOffset(then));
    }
  }
}
