package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.Temporal;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

class SessionJsonTest {
  private static final String WHOLE =
      """
      {"event":"Spring meeting","kind":"race","startsAt":"2026-06-07T14:05","length_min":25,
       "purpose":"race","tyres":{"name":"A","laps":11,"goodLaps":60,"inUseSince":"2026-04-18"},
       "conditions":{"surface":"damp","parts":[{"from_m":600.0,"to_m":720.0,"surface":"wet"}],
        "tyres":"cold","coldLap":2,"gripUsed":0.92,"fuel_kg":18.0,"pedalChange_s":0.15,
        "brakeBuildUp_s":0.25,"airTemperature_c":14.0,"trackTemperature_c":19.0,
        "pressure_hpa":1005.0,"windSpeed_mps":4.0,"windFrom_deg":220.0,"humidity_pct":80.0,
        "at":"2026-06-07T14:05"},
       "forecast":[{"at":"2026-06-07T14:00","surface":"damp","airTemperature_c":14.0,
        "trackTemperature_c":19.0,"windSpeed_mps":4.0,"windFrom_deg":220.0,"rain_pct":30.0}],
       "setup":{"name":"soft","fuel_kg":18.0},
       "openPoints":[{"corner":4,"words":"second gear?"}],
       "result":{"laps":12,"bestLap_s":121.4,"learned":"kerb at Orchard is slippery"},
       "decisions":[{"corner":4,"field":"brake.at_m","choice":"alter","value":1420.0},
        {"corner":4,"field":"gears.corner","choice":"leave"}],
       "revision":3}
      """;

  private static JsonNode tree(String json) {
    return JsonFiles.parse(json.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void aWholeSessionComesBackAsItWas() {
    JsonNode written = SessionJson.write(SessionJson.read(tree(WHOLE), ""));
    assertThat(written).isEqualTo(tree(WHOLE));
    assertThat(JsonFiles.write(SessionJson.write(SessionJson.read(written, ""))))
        .isEqualTo(JsonFiles.write(written));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          "2026-06-07T14:05","length  | "next Sunday","length       | /startsAt             | 2026-05-01T16:30
          "windFrom_deg":220.0,"humid | "windFrom_deg":400.0,"humid | /conditions/windFrom_deg | between 0 and 360
          "laps":11                   | "laps":-3                   | /tyres/laps           | between 0 and 2000
          "2026-04-18"                | "18 April"                  | /tyres/inUseSince     | such as 2026-05-01
          "kind":"race"               | "kind":"parade"             | /kind                 | parade
          "length_min":25             | "length_min":0              | /length_min           | between 1 and 1500
          "field":"brake.at_m"        | "field":"colour"            | /field                | colour
          "from_m":600.0              | "from_m":-1.0               | /conditions/parts     | 0 or more
          """)
  void whatCannotBeIsToldAtItsField(String from, String to, String where, String says) {
    String broken = WHOLE.replace(from.strip(), to.strip());
    assertThat(broken).isNotEqualTo(WHOLE);
    assertThatThrownBy(() -> SessionJson.read(tree(broken), ""))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining(says.strip())
        .extracting("pointer")
        .asString()
        .startsWith(where.strip());
  }

  private static SessionCalendar.Entry entry(String json) {
    return new SessionCalendar.Entry(
        "s1@marvek",
        SessionJson.read(tree(json), ""),
        "Harrowfen Park, full course",
        ZoneId.of("Europe/London"),
        "Harrowfen Park, Teal Coupé; long, with commas");
  }

  /**
   * RFC 5545, checked by a registry library that parses and validates it: lines of at most 75
   * octets (section 3.1), UID and DTSTAMP (3.6.1), the zone of a local time defined (3.6.5).
   */
  @Test
  void theCalendarIsValidAndInTheCircuitsZone() throws IOException, ParserException {
    byte[] file =
        SessionCalendar.write(List.of(entry(WHOLE)), Instant.parse("2026-06-01T10:00:00Z"));
    for (String line : new String(file, StandardCharsets.UTF_8).split("\r\n")) {
      assertThat(line.getBytes(StandardCharsets.UTF_8).length).isLessThanOrEqualTo(75);
    }
    Calendar calendar = new CalendarBuilder().build(new ByteArrayInputStream(file));
    assertThat(calendar.validate().hasErrors()).isFalse();
    assertThat(calendar.getComponents("VTIMEZONE")).hasSize(1);
    VEvent event = (VEvent) calendar.getComponents("VEVENT").get(0);
    Temporal start = event.getDateTimeStart().getDate();
    assertThat(ZonedDateTime.from(start).toInstant()).isEqualTo("2026-06-07T13:05:00Z");
    assertThat(event.getDuration().getDuration()).isEqualTo(Duration.ofMinutes(25));
    assertThat(event.getSummary().getValue()).isEqualTo("Spring meeting, race");
    assertThat(event.getDescription().getValue())
        .contains("Teal Coupé; long, with commas, revision 3");
    assertThat(event.getUid().orElseThrow().getValue()).isEqualTo("s1@marvek");
  }

  /** The later of two hours when the clocks go back on 25 October 2026 at 01:00 UTC. */
  @Test
  void anHourThatComesTwiceIsToldByItsOffset() throws IOException, ParserException {
    String later =
        WHOLE
            .replace("2026-06-07T14:05", "2026-10-25T01:30")
            .replace("\"length_min\"", "\"laterHour\":true,\"length_min\"");
    byte[] file = SessionCalendar.write(List.of(entry(later)), Instant.EPOCH);
    Calendar calendar = new CalendarBuilder().build(new ByteArrayInputStream(file));
    VEvent event = (VEvent) calendar.getComponents("VEVENT").get(0);
    Temporal start = event.getDateTimeStart().getDate();
    assertThat(Instant.from(start)).isEqualTo("2026-10-25T01:30:00Z");
  }
}
