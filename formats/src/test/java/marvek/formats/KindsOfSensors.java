package marvek.formats;

import java.util.List;

/** Sensors that are off, and units of all kinds. */
final class KindsOfSensors extends KindsOfFiles {
  KindsOfSensors(Drive drive) {
    super(drive);
  }

  @Override
  void add() {
    read("brake sensor at 4 %", "its zero", f -> f.brakeZero = 4);
    read("brake sensor at 12 %", "its zero", f -> f.brakeZero = 12);
    read(
        "brake sensor at 12 %, no throttle",
        "its zero",
        f -> {
          f.brakeZero = 12;
          f.without("throttle");
        });
    read("throttle idles at 9 %", "taken as shut", f -> f.idle = 9);
    read("throttle to 87 %", "taken as 100", f -> f.top = 87);
    read(
        "brake in bar",
        "pressure",
        f -> {
          f.named("brake", "Brake Pressure [bar]");
          f.brakeScale = 0.7;
        });
    read(
        "brake in psi",
        "pressure",
        f -> {
          f.named("brake", "Brake Press Front (psi)");
          f.brakeScale = 9;
        });
    read("brake from 0 to 1", "0 to 1", f -> f.brakeScale = 0.01);
    read(
        "pedals in counts",
        "no share",
        f -> {
          f.brakeScale = 40.95;
          f.throttleScale = 10.23;
        });
    read("side force the other way", "turned", f -> f.sideSign = -1);
    read("side force in m/s²", "m/s²", f -> f.sideScale = 9.80665);
    for (String unit : List.of("mph", "m/s", "knots", "km/h")) {
      double perMps =
          switch (unit) {
            case "mph" -> 3600 / 1609.344;
            case "knots" -> 3600 / 1852.0;
            case "m/s" -> 1;
            default -> 3.6;
          };
      read(
          "speed (" + unit + ")",
          f -> {
            f.named("speed", "Speed (" + unit + ")");
            f.speed = v -> LoggerFile.fixed(perMps * v, 3);
          });
    }
    read(
        "speed in mph without a unit",
        "mph",
        f -> {
          f.named("speed", "Speed");
          f.speed = v -> LoggerFile.fixed(v * 3600 / 1609.344, 3);
        });
    read(
        "speed in m/s without a unit",
        "m/s",
        f -> {
          f.named("speed", "GPS Speed");
          f.speed = v -> LoggerFile.fixed(v, 3);
        });
    read(
        "speed in whole km/h at 100 Hz",
        "",
        f -> {
          f.hz = 100;
          f.speed = v -> LoggerFile.fixed(3.6 * v, 0);
        });
    read("gears with letters", f -> f.gear = v -> v < 3 ? "N" : String.format("%.0f", v));
    refused("speed in words", "not a number", f -> f.speed = v -> "fast");
    refused("speed nought", "no driven lap", f -> f.speed = v -> "0");
  }
}
