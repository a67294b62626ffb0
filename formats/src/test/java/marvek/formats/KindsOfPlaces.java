package marvek.formats;

import java.util.Locale;

/** Positions that are late, off, noisy or written otherwise; distances. */
final class KindsOfPlaces extends KindsOfFiles {
  KindsOfPlaces(Drive drive) {
    super(drive);
  }

  private static String minutes(double v, int digits, boolean letter, String plus, String minus) {
    double all = Math.abs(v);
    String number =
        String.format(Locale.ROOT, "%0" + digits + "d%010.7f", (int) all, (all - (int) all) * 60);
    return letter ? number + " " + (v < 0 ? minus : plus) : (v < 0 ? "-" : "") + number;
  }

  private static String seconds(double v, String plus, String minus) {
    double all = Math.abs(v);
    double m = (all - (int) all) * 60;
    return String.format(
        Locale.ROOT,
        "%d°%02d'%08.5f\"%s",
        (int) all,
        (int) m,
        (m - (int) m) * 60,
        v < 0 ? minus : plus);
  }

  @Override
  void add() {
    for (double lag : new double[] {0.1, 0.2, 0.3, 0.4}) {
      read("positions " + lag + " s late", "behind", f -> f.lagS = lag);
    }
    read(
        "positions 0.3 s late at 10 Hz",
        "behind",
        f -> {
          f.lagS = 0.3;
          f.positionHz = 10;
          f.noiseM = 1;
        });
    read("positions 0.2 s early", "before", f -> f.lagS = -0.2);
    read("4 m east", "east", f -> f.eastM = 4);
    read("4 m south", "south", f -> f.northM = -4);
    read(
        "12 m off",
        "brought back",
        f -> {
          f.eastM = -8;
          f.northM = 9;
        });
    read(
        "4 m off and 0.3 s late",
        "behind",
        f -> {
          f.eastM = 3;
          f.northM = 3;
          f.lagS = 0.3;
        });
    read(
        "1.5 m of noise at 10 Hz",
        "",
        f -> {
          f.noiseM = 1.5;
          f.positionHz = 10;
        });
    read(
        "5 m of noise at 100 Hz",
        "scatter",
        f -> {
          f.hz = 100;
          f.noiseM = 5;
        });
    read(
        "5 m of noise at 10 Hz",
        SLOW,
        3,
        "scatter",
        f -> {
          f.noiseM = 5;
          f.positionHz = 10;
        });
    read(
        "degrees and minutes in one number",
        "degrees and minutes",
        f -> {
          f.latitude = v -> minutes(v, 2, false, "", "");
          f.longitude = v -> minutes(v, 3, false, "", "");
        });
    read(
        "degrees and minutes with a letter",
        "",
        f -> {
          f.latitude = v -> minutes(v, 2, true, "N", "S");
          f.longitude = v -> minutes(v, 3, true, "E", "W");
        });
    read(
        "degrees, minutes and seconds",
        "",
        f -> {
          f.latitude = v -> seconds(v, "N", "S");
          f.longitude = v -> seconds(v, "E", "W");
        });
    read(
        "radians",
        "radians",
        f -> {
          f.latitude = v -> LoggerFile.fixed(Math.toRadians(v), 11);
          f.longitude = v -> LoggerFile.fixed(Math.toRadians(v), 11);
        });
    read(
        "ten-millionths",
        "ten-millionths",
        f -> {
          f.latitude = v -> LoggerFile.fixed(v * 1e7, 0);
          f.longitude = v -> LoggerFile.fixed(v * 1e7, 0);
        });
    read("longitude west positive", "signs", f -> f.longitude = v -> LoggerFile.fixed(-v, 8));
    read(
        "latitude and longitude swapped",
        "swapped",
        f -> f.named("lat", "Longitude", "lon", "Latitude"));
    read(
        "x and y",
        f -> {
          f.without("lat", "lon");
          f.named("x", "x_m", "y", "y_m");
        });
    read(
        "no speed, position at 10 Hz",
        SLOW,
        NONE,
        "no speed",
        f -> {
          f.hz = 10;
          f.without("speed", "brake", "throttle", "gear");
        });
    read("distance from the line", f -> f.byDistance());
    read(
        "odometer and lap at 100 Hz", // a lap begins on a row
        f -> {
          f.hz = 100;
          f.byDistance().without("distance");
          f.named("odometer", "Distance", "lap", "Lap");
        });
    refused(
        "odometer alone",
        "runs on over the laps",
        f -> {
          f.byDistance().without("distance");
          f.named("odometer", "Distance");
        });
    read(
        "distance of another beacon",
        SLOW,
        8,
        "begin",
        f -> {
          f.byDistance();
          f.beaconM = 620;
        });
    refused(
        "the other way round",
        "the other way",
        f -> {
          f.reversed = true;
          f.without("brake", "throttle", "gear", "side");
        });
    refused(
        "latitude and longitude empty",
        "the receiver had no position",
        f -> {
          f.latitude = v -> "";
          f.longitude = v -> "";
        });
    refused(
        "distance empty",
        "is empty, and there is no position",
        f -> {
          f.byDistance().without("distance");
          f.named("nothing", "distance_m");
        });
    refused("neither place nor distance", "neither a position", f -> f.without("lat", "lon"));
    refused(
        "another circuit",
        "do not lie at this circuit",
        f -> {
          f.latitude = v -> LoggerFile.fixed(v + 3, 8);
        });
    refused("a kilometre off", "off this circuit's road", f -> f.eastM = 3000);
    read("positions stand still for three seconds", "stood still", f -> f.frozen = true);
    read("a speed 5 % low", "put right by them", f -> f.speedFactor = 0.95);
  }
}
