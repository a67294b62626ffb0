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
    String session = scripts.get("/api/books/" + demo + "/sessions").body().at("/0/id").asString();
    return scripts.get("/api/sessions/" + session + part).body();
  }

  @Test
  void theSixHabitsAreFoundInTheirCornersAndNothingElse() {
    JsonNode debrief = practice("/debrief");
    assertThat(debrief.path("laps").findValuesAsString("kind"))
        .filteredOn("flying"::equals)
        .hasSize(12);
    List<String> found = new ArrayList<>();
    double sum = 0;
    double before = Double.POSITIVE_INFINITY;
    for (JsonNode finding : debrief.path("findings")) {
      found.add(finding.path("corner").asInt(0) + " " + finding.path("rule").asString());
      double cost = finding.path("cost_s").asDouble(0);
      assertThat(cost).isPositive().isLessThanOrEqualTo(before);
      before = cost;
      sum += cost;
    }
    assertThat(found)
        .containsExactlyInAnyOrder(
            "1 braked-early",
            "2 over-slowed",
            "4 late-throttle",
            "8 throttle-twice",
            "9 missed-apex",
            "13 other-gear");
    double best = Double.POSITIVE_INFINITY;
    for (JsonNode lap : debrief.path("laps")) {
      best = lap.path("time_s").isNull() ? best : Math.min(best, lap.path("time_s").asDouble(0));
    }
    double lost = best - debrief.path("lap_s").asDouble(0);
    // What a person loses without a habit is the rest.
    assertThat(sum).isBetween(0.5 * lost, 1.1 * lost);
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

  /** The slow exit of Orchard is paid for in the kink behind it. */
  @Test
  void whatTheNextCornerPaysForIsChargedToTheOneBefore() {
    JsonNode debrief = practice("/debrief");
    for (JsonNode finding : debrief.path("findings")) {
      if (finding.path("corner").asInt(0) == 2) {
        assertThat(finding.path("inNext_s").asDouble(0)).as("%s", finding).isGreaterThan(0.03);
      }
    }
    JsonNode next = debrief.at("/laps/3/corners/2");
    assertThat(next.path("corner").asInt(0)).isEqualTo(3);
    assertThat(next.path("brought_s").asDouble(0)).isGreaterThan(0.03);
    assertThat(next.path("charged_s").asDouble(0)).isLessThan(next.path("delta_s").asDouble(0));
  }

  @Test
  void theLapsProposeAnEarlierMarkAndProvenPages() {
    JsonNode review = practice("/review");
    assertThat(review.path("proposals").findValuesAsString("kind"))
        .contains("marker-earlier", "proven");
  }
}
