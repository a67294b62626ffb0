package marvek.formats;

import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Eye;
import marvek.core.vehicle.Turning;
import marvek.core.vehicle.Vehicle;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes a vehicle as a car JSON. */
public final class CarJsonWriter {
  private CarJsonWriter() {}

  /** The whole file; figures are rounded to what they are known to. */
  public static ObjectNode write(Vehicle v) {
    ObjectNode car = JsonFiles.MAPPER.createObjectNode();
    car.put("format", "marvek-car").put("version", 1).put("name", v.name());
    car.put("kind", Spelled.of(v.kind()));
    car.put("mass_kg", rounded(v.massKg(), 1)).put("driver_kg", rounded(v.driverKg(), 1));
    car.put("wheelbase_m", rounded(v.wheelbaseM(), 3)).put("cgHeight_m", rounded(v.cgHeightM(), 3));
    car.put("frontWeightShare", rounded(v.frontWeightShare(), 3));
    car.put("trackWidth_m", rounded(v.trackWidthM(), 3));
    car.put("bodyWidth_m", rounded(v.bodyWidthM(), 3)).put("length_m", rounded(v.lengthM(), 3));
    car.put("drive", Spelled.of(v.drive()));
    car.put("driveFrontShare", rounded(v.driveFrontShare(), 3));
    engine(car.putObject("engine"), v.engine());
    gearbox(car.putObject("gearbox"), v);
    car.putObject("tyre")
        .put("muLateral", rounded(v.tyre().muLateral(), 3))
        .put("muLongitudinal", rounded(v.tyre().muLongitudinal(), 3))
        .put("radius_m", rounded(v.tyre().radiusM(), 4))
        .put("referenceLoad_n", rounded(v.tyre().referenceLoadN(), 0))
        .put("loadSensitivity", rounded(v.tyre().loadSensitivity(), 3));
    car.putObject("brakes")
        .put("maxForce_n", rounded(v.brakes().maxForceN(), 0))
        .put("frontShare", rounded(v.brakes().frontShare(), 3));
    car.putObject("aero")
        .put("cdA_m2", rounded(v.aero().cdAM2(), 4))
        .put("clA_m2", rounded(v.aero().clAM2(), 4))
        .put("frontShare", rounded(v.aero().frontShare(), 3));
    car.put("rollingResistance", rounded(v.rollingResistance(), 4));
    turning(car, v.turning());
    eye(car, v.eye(), Eye.usual(v.kind()));
    return car;
  }

  /** What is usual is left out, as files did before. */
  private static void turning(ObjectNode car, Turning turning) {
    Turning usual = Turning.USUAL;
    if (turning.dynamicIndex() != usual.dynamicIndex()) {
      car.put("dynamicIndex", rounded(turning.dynamicIndex(), 3));
    }
    if (turning.yawAccelerationDps2() != usual.yawAccelerationDps2()) {
      car.put("yawAcceleration_dps2", rounded(turning.yawAccelerationDps2(), 1));
    }
    if (turning.leanRateDps() != usual.leanRateDps()) {
      car.put("leanRate_dps", rounded(turning.leanRateDps(), 1));
    }
  }

  private static void eye(ObjectNode car, Eye eye, Eye usual) {
    if (!eye.equals(usual)) {
      car.putObject("eye")
          .put("height_m", rounded(eye.heightM(), 3))
          .put("behindFrontAxle_m", rounded(eye.behindFrontAxleM(), 3))
          .put("side_m", rounded(eye.sideM(), 3));
    }
  }

  private static void engine(ObjectNode node, Engine engine) {
    ArrayNode curve = node.putArray("torqueCurve");
    for (int i = 0; i < engine.points(); i++) {
      curve.addArray().add(rounded(engine.rpmAt(i), 0)).add(rounded(engine.torqueAt(i), 1));
    }
    node.put("idle_rpm", rounded(engine.idleRpm(), 0));
    node.put("limiter_rpm", rounded(engine.limiterRpm(), 0));
    node.put("engineBraking_nm", rounded(engine.engineBrakingNm(), 1));
  }

  private static void gearbox(ObjectNode node, Vehicle v) {
    ArrayNode ratios = node.putArray("ratios");
    for (int g = 1; g <= v.gearbox().gears(); g++) {
      ratios.add(rounded(v.gearbox().ratio(g), 4));
    }
    node.put("finalDrive", rounded(v.gearbox().finalDrive(), 3));
    node.put("efficiency", rounded(v.gearbox().efficiency(), 3));
    node.put("upshift_s", rounded(v.gearbox().upshiftS(), 3));
    node.put("downshift_s", rounded(v.gearbox().downshiftS(), 3));
  }

  private static double rounded(double value, int decimals) {
    double scale = Math.pow(10, decimals);
    return Math.round(value * scale) / scale;
  }
}
