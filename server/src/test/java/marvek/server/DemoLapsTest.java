package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;

/** The demo's practice: twelve laps with six planted habits, found, sized and charged. */
@ServerTest
class DemoLapsTest {
  @Autowired private TestRestTemplate http;

  private JsonNode practice(String part) {
    Scripts scripts = new Scripts(http);
    String demo = scripts.get("/api/books").body().at("/0/id").asString();
    String session = scripts.get("/api/books/" + demo + "/sessions").body().at("/1/id").asString();
    return scripts.get("/api/sessions/" + session + part).body();
  }

  @Test
  void theSixHabitsAreFoundInTheirCornersAndNothingElse() {
    JsonNode debrief = practice("/debrief");
    assertThat(debrief.path("laps").findValuesAsString("kind"))
        .filteredOn("flying"::equals)
        .hasSize(12);
    JsonNode causes = practice("/causes");
    List<String> habits = new ArrayList<>();
    double sum = 0;
    for (JsonNode finding : causes.path("findings")) {
      double cost = finding.path("cost_s").asDouble(0);
      if (finding.path("often").asString().equals("habit") && cost >= 0.05) {
        habits.add(finding.path("corner").asInt(0) + " " + finding.path("rule").asString());
        sum += cost;
      }
    }
    assertThat(habits)
        .containsExactlyInAnyOrder(
            "1 braked-early",
            "2 over-slowed",
            "4 late-throttle",
            "8 throttle-twice",
            "9 missed-apex",
            "13 other-gear");
    List<Double> lost = new ArrayList<>();
    causes.path("laps").forEach(lap -> lost.add(lap.path("lost_s").asDouble(0)));
    double mean = lost.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    // What a person loses without a habit is the rest.
    assertThat(sum).isBetween(0.6 * mean, mean);
  }

  /** Corner by corner, and over the line: nothing of a lap is lost twice, and nothing forgotten. */
  @Test
  void accountsAddUpToEachLapsLoss() {
    JsonNode laps = practice("/causes").path("laps");
    assertThat(laps).hasSize(12);
    for (JsonNode lap : laps) {
      double sum = lap.path("brought_s").asDouble(0) - lap.path("handedOn_s").asDouble(0);
      for (JsonNode corner : lap.path("corners")) {
        sum += corner.path("lost_s").asDouble(0);
      }
      // Each of the fifteen figures is rounded to a thousandth.
      assertThat(sum).isCloseTo(lap.path("lost_s").asDouble(0), within(0.008));
    }
  }

  /** What the driver noted from the display is what the file says. */
  @Test
  void theResultThatWasNotedIsTheBestOfTheLaps() {
    double best = Double.POSITIVE_INFINITY;
    JsonNode debrief = practice("/debrief");
    for (JsonNode lap : debrief.path("laps")) {
      best = lap.path("time_s").isNull() ? best : Math.min(best, lap.path("time_s").asDouble(0));
    }
    assertThat(practice("").at("/session/result/bestLap_s").asDouble(0))
        .isCloseTo(best, within(0.01));
  }

  /** The slow exit of Orchard is paid for in the kink behind it, and charged to Orchard. */
  @Test
  void whatTheNextCornerPaysForIsChargedToTheOneBefore() {
    JsonNode debrief = practice("/debrief");
    JsonNode causes = practice("/causes");
    for (int flying = 0; flying < 12; flying++) {
      JsonNode lap = debrief.path("laps").path(flying + 1);
      JsonNode charged = causes.path("laps").path(flying);
      assertThat(charged.path("id")).isEqualTo(lap.path("id"));
      double here = lap.at("/corners/1/delta_s").asDouble(0);
      double next = lap.at("/corners/2/delta_s").asDouble(0);
      assertThat(next).isGreaterThan(0.02);
      // What was lost in Orchard before its exit, braking early, may be another's by a hundredth.
      assertThat(charged.at("/corners/1/lost_s").asDouble(0)).isCloseTo(here + next, within(0.01));
      assertThat(charged.at("/corners/2/lost_s").asDouble(0)).isCloseTo(0, within(0.002));
    }
  }

  @Test
  void theLapsProposeAnEarlierMarkAndProvenPages() {
    JsonNode review = practice("/review");
    assertThat(review.path("proposals").findValuesAsString("kind"))
        .contains("marker-earlier", "proven");
  }
}
