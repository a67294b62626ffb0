package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.nio.charset.StandardCharsets;
import marvek.core.vehicle.Turning;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

class CarJsonTest {
  private static BadFileException refused(ObjectNode tree) {
    return catchThrowableOfType(BadFileException.class, () -> CarJson.read(tree));
  }

  @Test
  void readsEveryMember() {
    Vehicle car = CarJson.read(DemoFiles.car()).value();
    ObjectNode tree = DemoFiles.car();
    assertThat(car.name()).isEqualTo("Teal Coupé");
    assertThat(car.massKg()).isEqualTo(tree.path("mass_kg").asDouble(0));
    assertThat(car.gearbox().gears()).isEqualTo(tree.path("gearbox").path("ratios").size());
    assertThat(car.engine().limiterRpm()).isEqualTo(tree.at("/engine/limiter_rpm").asDouble(0));
    assertThat(car.tyre().muLateral()).isEqualTo(tree.at("/tyre/muLateral").asDouble(0));
    assertThat(car.aero().clAM2()).isEqualTo(tree.at("/aero/clA_m2").asDouble(0));
    // Nothing was assumed; what the model does not compute with is said.
    assertThat(CarJson.read(DemoFiles.car()).words())
        .containsExactly("trackWidth_m is kept and does not change the lap yet.");
  }

  /** How it turns is read and written where it is not the usual, and not assumed aloud. */
  @Test
  void howACarTurnsIsReadAndWritten() {
    assertThat(CarJson.read(DemoFiles.car()).value().turning()).isEqualTo(Turning.USUAL);
    assertThat(CarJsonWriter.write(CarJson.read(DemoFiles.car()).value()).has("dynamicIndex"))
        .isFalse();
    ObjectNode tree = DemoFiles.car();
    tree.put("dynamicIndex", 0.82).put("yawAcceleration_dps2", 140).put("leanRate_dps", 75);
    Vehicle car = CarJson.read(tree).value();
    assertThat(car.turning()).isEqualTo(new Turning(0.82, 140, 75));
    assertThat(CarJson.read(CarJsonWriter.write(car)).value().turning()).isEqualTo(car.turning());
    tree.put("dynamicIndex", 5);
    assertThat(refused(tree).pointer()).isEqualTo("/dynamicIndex");
  }

  @Test
  void whatCountsNotIsNotSaidWhereItIsNothing() {
    ObjectNode tree = DemoFiles.car();
    tree.put("trackWidth_m", 0.0);
    ((ObjectNode) tree.get("engine")).put("engineBraking_nm", 0);
    assertThat(CarJson.read(tree).words()).noneMatch(w -> w.contains("not change"));
  }

  @Test
  void aCarWithoutGearsIsRefusedWithAdvice() {
    ObjectNode tree = DemoFiles.car();
    ((ObjectNode) tree.get("gearbox")).remove("ratios");
    BadFileException missing = refused(tree);
    assertThat(missing.pointer()).isEqualTo("/gearbox/ratios");
    assertThat(missing).hasMessageContaining("missing: add it");

    ((ObjectNode) tree.get("gearbox")).putArray("ratios");
    assertThat(refused(tree).pointer()).isEqualTo("/gearbox/ratios");

    tree.remove("gearbox");
    assertThat(refused(tree).pointer()).isEqualTo("/gearbox");
  }

  @ParameterizedTest
  @CsvSource({
    "/mass_kg, -5",
    "/mass_kg, 0",
    "/wheelbase_m, 0",
    "/frontWeightShare, 1.2",
    "/brakes/frontShare, -0.1",
    "/tyre/muLateral, 0",
    "/engine/limiter_rpm, 0"
  })
  void valuesOutOfRangeAreNamed(String pointer, double value) {
    ObjectNode tree = DemoFiles.car();
    int slash = pointer.lastIndexOf('/');
    ((ObjectNode) tree.at(pointer.substring(0, slash))).put(pointer.substring(slash + 1), value);
    assertThat(refused(tree).pointer()).isEqualTo(pointer);
  }

  @Test
  void aNumberWrittenAsTextIsRefused() {
    ObjectNode tree = DemoFiles.car();
    tree.put("mass_kg", "1180");
    assertThat(refused(tree).pointer()).isEqualTo("/mass_kg");
  }

  @Test
  void aTorqueCurveThatRunsBackIsRefused() {
    ObjectNode tree = DemoFiles.car();
    ArrayNode curve = ((ObjectNode) tree.get("engine")).putArray("torqueCurve");
    curve.addArray().add(3000).add(200);
    curve.addArray().add(2000).add(220);
    assertThat(refused(tree).pointer()).startsWith("/engine/torqueCurve");
  }

  @Test
  void whatWasAssumedIsReported() {
    ObjectNode tree = DemoFiles.car();
    tree.remove("driver_kg");
    ((ObjectNode) tree.get("gearbox")).remove("upshift_s");
    assertThat(CarJson.read(tree).words())
        .anyMatch(w -> w.contains("driver_kg"))
        .anyMatch(w -> w.contains("gearbox/upshift_s"));
  }

  @Test
  void aMotorcycleNeedsNoTrackNorBrakeShare() {
    ObjectNode tree = DemoFiles.car();
    tree.put("kind", "motorcycle");
    tree.remove("trackWidth_m");
    ((ObjectNode) tree.get("brakes")).remove("frontShare");
    assertThat(CarJson.read(tree).value().kind()).isEqualTo(Vehicle.Kind.MOTORCYCLE);
  }

  /** Wherever a file is cut, in a name, in a number or between them, the advice is the same. */
  @Test
  void truncatedJsonSaysWhereItEnds() {
    byte[] whole =
        new String(DemoFiles.bytes("teal-coupe.car.json"), StandardCharsets.UTF_8)
            .replaceAll("[^\\x00-\\x7f]", "e")
            .strip()
            .getBytes(StandardCharsets.UTF_8);
    for (int length = 1; length < whole.length; length++) {
      byte[] part = java.util.Arrays.copyOf(whole, length);
      BadFileException e =
          catchThrowableOfType(BadFileException.class, () -> JsonFiles.parse(part));
      assertThat(e).as("cut after %d", length).hasMessageContaining("cut off");
      assertThat(e.line()).isPresent();
      assertThat(e.getMessage()).doesNotContain("Source");
    }
  }

  @ParameterizedTest
  @CsvSource({"'{\"a\":1,\"a\":2}'", "'{\"a\":NaN}'", "'{} {}'"})
  void strictJsonOnly(String text) {
    assertThat(
            catchThrowableOfType(
                BadFileException.class,
                () -> JsonFiles.parse(text.getBytes(StandardCharsets.UTF_8))))
        .isNotNull();
  }
}
