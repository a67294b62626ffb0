package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.nio.charset.StandardCharsets;
import java.util.List;
import marvek.core.conditions.Conditions;
import marvek.core.page.CornerPage.Source;
import marvek.core.page.OwnValues;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Conditions and own values as scripts and screens send them. */
class DraftJsonTest {
  private static Conditions conditions(String json) {
    return ConditionsJson.read(tree(json), "/conditions");
  }

  private static List<OwnValues> own(String json) {
    return OwnValuesJson.read(tree(json), "/ownValues");
  }

  private static tools.jackson.databind.JsonNode tree(String json) {
    return JsonFiles.parse(json.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void whatIsLeftOutTakesItsDefault() {
    Conditions c = conditions("{\"surface\": \"damp\", \"fuel_kg\": 30}");
    assertThat(c.surface()).isEqualTo(Conditions.Surface.DAMP);
    assertThat(c.fuelKg()).isEqualTo(30);
    assertThat(c.gripUsed()).isEqualTo(Conditions.DEFAULT.gripUsed());
    assertThat(c.brakeBuildUpS()).isEqualTo(Conditions.DEFAULT.brakeBuildUpS());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"surface\": \"icy\"} | /conditions/surface",
        "{\"gripUsed\": \"all\"} | /conditions/gripUsed",
        "{\"gripUsed\": 1.4} | /conditions/gripUsed",
        "{\"windSpeed_mps\": -3} | /conditions/windSpeed_mps",
        "{\"tyres\": 4} | /conditions/tyres",
        "{\"model\": \"exact\"} | /conditions/model"
      })
  void aBadConditionIsNamed(String json, String pointer) {
    BadFileException e = catchThrowableOfType(BadFileException.class, () -> conditions(json));
    assertThat(e.pointer()).isEqualTo(pointer);
  }

  /**
   * What is stored keeps its meaning: a file that says nothing of its model was the plain one's.
   */
  @Test
  void theModelIsWrittenWhereItIsNotThePlainOne() {
    assertThat(conditions("{}").model()).isEqualTo(Conditions.Model.PLAIN);
    assertThat(ConditionsJson.write(Conditions.DEFAULT).has("model")).isFalse();
    assertThat(ConditionsJson.write(Conditions.OF_NEW_BOOKS).path("model").asString())
        .isEqualTo("axles");
    assertThat(conditions("{\"model\": \"axles\"}")).isEqualTo(Conditions.OF_NEW_BOOKS);
  }

  /** A page's own member, sent back as a driver's value, would be dropped without a word. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "[{\"corner\": 3, \"throttle.first_pct\": 50}] | /ownValues/0/throttle.first_pct",
        "[{\"corner\": 3}, {\"corner\": 4, \"brakes\": 1}] | /ownValues/1/brakes"
      })
  void aValueThatIsNotKnownIsRefusedWithTheKnownOnes(String json, String pointer) {
    BadFileException e = catchThrowableOfType(BadFileException.class, () -> own(json));
    assertThat(e.pointer()).isEqualTo(pointer);
    assertThat(e.getMessage()).contains("not known").contains("throttle.first_m");
    BadFileException day =
        catchThrowableOfType(
            BadFileException.class,
            () -> ConditionsJson.readDraft(tree("{\"rain\": true}"), "/conditions"));
    assertThat(day.pointer()).isEqualTo("/conditions/rain");
  }

  @Test
  void conditionsAreReadBackAsWritten() {
    Conditions c =
        new Conditions(
            Conditions.Surface.WET,
            Conditions.TyreState.COLD,
            0.85,
            12,
            0.05,
            0.3,
            9,
            980,
            6,
            200,
            70);
    assertThat(ConditionsJson.read(ConditionsJson.write(c), "")).isEqualTo(c);
  }

  @Test
  void ownValuesKeepTheirSource() {
    OwnValues coach =
        own("[{\"corner\": 3, \"brake.at_m\": 740, \"gears.corner\": 2, \"source\": \"coach\"}]")
            .get(0);
    assertThat(coach.brakeAtM()).isEqualTo(740);
    assertThat(coach.cornerGear()).isEqualTo(2);
    assertThat(coach.source()).isEqualTo(Source.COACH);
    assertThat(own("[{\"corner\": 3, \"notes\": \"dust\"}]").get(0).source())
        .isEqualTo(Source.DRIVER);
    assertThat(OwnValuesJson.read(OwnValuesJson.write(List.of(coach)), "")).containsExactly(coach);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "[{\"brake.at_m\": 740}] | /ownValues/0",
        "[{\"corner\": 1}, {\"corner\": 2, \"gears.corner\": 0}] | /ownValues/1",
        "[{\"corner\": 1, \"brake.at_m\": \"early\"}] | /ownValues/0",
        "[{\"corner\": 1, \"confidence\": 9}] | /ownValues/0",
        "{\"corner\": 1} | /ownValues"
      })
  void aBadOwnValueIsNamed(String json, String pointer) {
    BadFileException e = catchThrowableOfType(BadFileException.class, () -> own(json));
    assertThat(e.pointer()).startsWith(pointer);
  }
}
