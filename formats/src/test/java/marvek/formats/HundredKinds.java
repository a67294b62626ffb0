package marvek.formats;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import marvek.core.circuit.GeoPoint;

/** The kinds of files that loggers, telephones and tables write of one drive. */
final class HundredKinds {
  /**
   * A kind of file.
   *
   * @param lapS how well lap times have to be read; NaN where the file is to be refused
   * @param brakeM how well brake points have to be; NaN where none can be
   * @param says what has to be told of it, or how it is refused; empty where nothing has to be
   */
  record Kind(String name, byte[] bytes, double lapS, double brakeM, String says) {
    @Override
    public String toString() {
      return name;
    }
  }

  private static final double FAST = 0.01;
  private static final double SLOW = 0.05;
  private static final double NONE = Double.NaN;

  private final DrivenTruth truth;
  private final GeoPoint origin;
  private final double lapM;
  private final List<Kind> kinds = new ArrayList<>();

  private HundredKinds(DrivenTruth truth, GeoPoint origin, double lapM) {
    this.truth = truth;
    this.origin = origin;
    this.lapM = lapM;
  }

  static List<Kind> of(DrivenTruth truth, GeoPoint origin, double lapM) {
    HundredKinds all = new HundredKinds(truth, origin, lapM);
    all.rates();
    all.clocks();
    all.places();
    all.sensors();
    all.tables();
    all.headers();
    all.cells();
    all.packing();
    all.others();
    return all.kinds;
  }

  private void read(String name, double lapS, double brakeM, String says, Consumer<LoggerFile> of) {
    LoggerFile file = new LoggerFile();
    of.accept(file);
    kinds.add(new Kind(name, file.write(truth, origin, lapM), lapS, brakeM, says));
  }

  private void read(String name, Consumer<LoggerFile> of) {
    read(name, FAST, 2, "", of);
  }

  private void refused(String name, String says, Consumer<LoggerFile> of) {
    read(name, NONE, NONE, says, of);
  }

  private void bytes(String name, byte[] bytes, double lapS, double brakeM, String says) {
    kinds.add(new Kind(name, bytes, lapS, brakeM, says));
  }

  private void rates() {
    read("plain, 100 Hz", f -> {});
    read("50 Hz", f -> f.hz = 50);
    read("25 Hz", f -> f.hz = 25);
    read("20 Hz", f -> f.hz = 20);
    read(
        "10 Hz",
        SLOW,
        6,
        "",
        f -> {
          f.hz = 10;
          f.noiseM = 1.5;
        });
    read(
        "10 Hz, no pedals",
        SLOW,
        NONE,
        "",
        f -> {
          f.hz = 10;
          f.noiseM = 1.5;
          f.without("brake", "throttle", "gear");
        });
    read("pedals and gear at 20 Hz, held", FAST, 2, "less often", f -> f.pedalHz = 20);
    read(
        "pedals and gear at 20 Hz, empty between",
        FAST,
        2,
        "less often",
        f -> {
          f.pedalHz = 20;
          f.emptyBetween = true;
        });
    read("pedals at 10 Hz, held", FAST, 6, "less often", f -> f.pedalHz = 10);
    read(
        "pedals at 10 Hz, empty between",
        FAST,
        6,
        "less often",
        f -> {
          f.pedalHz = 10;
          f.emptyBetween = true;
        });
    read("pedals at 50 Hz, held", f -> f.pedalHz = 50);
    read("positions at 10 Hz, held", f -> f.positionHz = 10);
    read(
        "positions at 10 Hz, empty between",
        f -> {
          f.positionHz = 10;
          f.emptyBetween = true;
        });
    read("positions at 5 Hz, held", f -> f.positionHz = 5);
    read("positions at 25 Hz, held", f -> f.positionHz = 25);
    read(
        "positions at 1 Hz, empty between",
        SLOW,
        3,
        "",
        f -> {
          f.positionHz = 1;
          f.emptyBetween = true;
        });
    read("200 Hz", f -> f.hz = 200);
    read(
        "everything at its own rate",
        FAST,
        2,
        "less often",
        f -> {
          f.positionHz = 10;
          f.pedalHz = 25;
          f.emptyBetween = true;
        });
  }

  private void clock(String name, String says, Consumer<LoggerFile> of) {
    read(name, FAST, 2, says, of);
  }

  private static String colons(double t, int decimals) {
    int hours = (int) (t / 3600);
    int minutes = (int) (t / 60) % 60;
    return String.format(
        Locale.ROOT,
        "%02d:%02d:%0" + (decimals + 3) + "." + decimals + "f",
        hours,
        minutes,
        t % 60);
  }

  private void clocks() {
    clock(
        "milliseconds without a unit",
        "milliseconds",
        f -> {
          f.named("time", "Time");
          f.clock = t -> LoggerFile.fixed(1000 * t, 0);
        });
    clock(
        "milliseconds with a unit",
        "",
        f -> {
          f.named("time", "Time (ms)");
          f.clock = t -> LoggerFile.fixed(1000 * t, 0);
        });
    clock(
        "milliseconds called seconds",
        "milliseconds",
        f -> f.clock = t -> LoggerFile.fixed(1000 * t, 0));
    clock(
        "microseconds",
        "microseconds",
        f -> {
          f.named("time", "timestamp");
          f.clock = t -> LoggerFile.fixed(1e6 * t, 0);
        });
    clock(
        "hours, minutes, seconds",
        "",
        f -> {
          f.named("time", "Time");
          f.time = t -> t + 50_000;
          f.clock = t -> colons(t, 3);
        });
    clock(
        "minutes and seconds",
        "",
        f -> {
          f.named("time", "Time");
          f.clock = t -> String.format(Locale.ROOT, "%d:%06.3f", (int) (t / 60), t % 60);
        });
    clock(
        "date and time, year first",
        "",
        f -> {
          f.named("time", "Timestamp");
          f.clock = t -> "2031-05-09T" + colons(36_000 + t, 3) + "Z";
        });
    clock(
        "date and time, day first",
        "",
        f -> {
          f.named("time", "Date Time");
          f.clock = t -> "09/05/2031 " + colons(36_000 + t, 3);
        });
    clock(
        "epoch in seconds",
        "",
        f -> {
          f.named("time", "timestamp");
          f.clock = t -> LoggerFile.fixed(1_936_000_000 + t, 3);
        });
    clock(
        "epoch in milliseconds",
        "milliseconds",
        f -> {
          f.named("time", "timestamp");
          f.clock = t -> LoggerFile.fixed(1e3 * (1_936_000_000 + t), 0);
        });
    clock(
        "days of a table",
        "days",
        f -> {
          f.named("time", "Time");
          f.clock = t -> LoggerFile.fixed(0.4 + t / 86400, 10);
        });
    clock(
        "minutes as a number",
        "minutes",
        f -> {
          f.named("time", "Time");
          f.clock = t -> LoggerFile.fixed(t / 60, 7);
        });
    clock("time begins again each lap", "begins again", f -> f.time = this::ofLap);
    clock(
        "time of the lap with colons",
        "begins again",
        f -> {
          f.named("time", "Lap Time");
          f.time = this::ofLap;
          f.clock = t -> String.format(Locale.ROOT, "%d:%06.3f", (int) (t / 60), t % 60);
        });
    clock(
        "over midnight",
        "midnight",
        f -> {
          f.named("time", "Time");
          f.time = t -> (86_400 - 150 + t) % 86_400;
          f.clock = t -> colons(t, 3);
        });
    clock("over midnight in seconds", "midnight", f -> f.time = t -> (86_400 - 150 + t) % 86_400);
    clock("clock jumps on by an hour", "does not count", f -> f.time = t -> t > 260 ? t + 3600 : t);
    clock(
        "clock jumps on by two seconds", "does not count", f -> f.time = t -> t > 260 ? t + 2 : t);
    clock(
        "clock jumps back by five seconds",
        "does not count",
        f -> f.time = t -> t > 260 ? t + 95 : t + 100);
    clock(
        "rounded to a second",
        "rounded",
        f -> {
          f.hz = 20;
          f.clock = t -> LoggerFile.fixed(Math.floor(t), 0);
        });
    clock(
        "rounded to a tenth",
        "rounded",
        f -> f.clock = t -> LoggerFile.fixed(Math.floor(10 * t + 1e-6) / 10, 1));
    clock(
        "decimals behind a colon",
        "",
        f -> {
          f.named("time", "Time");
          f.clock = t -> colons(t, 3).replace('.', ':');
        });
    clock("in front of zero", "", f -> f.time = t -> t - 30);
    refused("time stands still", "the time does not go on", f -> f.clock = t -> "17.0");
    refused("no time at all", "no column of times", f -> f.without("time"));
  }

  private double ofLap(double t) {
    double begun = 0;
    for (double crossing : truth.crossingsS) {
      begun = crossing <= t ? Math.ceil(crossing * 100) / 100 : begun;
    }
    return t - begun;
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

  private void places() {
    for (double lag : new double[] {0.1, 0.2, 0.3, 0.4}) {
      read("positions " + lag + " s late", FAST, 2, "behind", f -> f.lagS = lag);
    }
    read(
        "positions 0.3 s late at 10 Hz",
        FAST,
        2,
        "behind",
        f -> {
          f.lagS = 0.3;
          f.positionHz = 10;
          f.noiseM = 1;
        });
    read("positions 0.2 s early", FAST, 2, "before", f -> f.lagS = -0.2);
    read("4 m east", FAST, 2, "east", f -> f.eastM = 4);
    read("4 m south", FAST, 2, "south", f -> f.northM = -4);
    read(
        "12 m off",
        FAST,
        2,
        "brought back",
        f -> {
          f.eastM = -8;
          f.northM = 9;
        });
    read(
        "4 m off and 0.3 s late",
        FAST,
        2,
        "behind",
        f -> {
          f.eastM = 3;
          f.northM = 3;
          f.lagS = 0.3;
        });
    read(
        "1.5 m of noise at 10 Hz",
        FAST,
        2,
        "",
        f -> {
          f.noiseM = 1.5;
          f.positionHz = 10;
        });
    read("5 m of noise", FAST, 2, "scatter", f -> f.noiseM = 5);
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
        FAST,
        2,
        "degrees and minutes",
        f -> {
          f.latitude = v -> minutes(v, 2, false, "", "");
          f.longitude = v -> minutes(v, 3, false, "", "");
        });
    read(
        "degrees and minutes with a letter",
        FAST,
        2,
        "",
        f -> {
          f.latitude = v -> minutes(v, 2, true, "N", "S");
          f.longitude = v -> minutes(v, 3, true, "E", "W");
        });
    read(
        "degrees, minutes and seconds",
        FAST,
        2,
        "",
        f -> {
          f.latitude = v -> seconds(v, "N", "S");
          f.longitude = v -> seconds(v, "E", "W");
        });
    read(
        "radians",
        FAST,
        2,
        "radians",
        f -> {
          f.latitude = v -> LoggerFile.fixed(Math.toRadians(v), 11);
          f.longitude = v -> LoggerFile.fixed(Math.toRadians(v), 11);
        });
    read(
        "ten-millionths",
        FAST,
        2,
        "ten-millionths",
        f -> {
          f.latitude = v -> LoggerFile.fixed(v * 1e7, 0);
          f.longitude = v -> LoggerFile.fixed(v * 1e7, 0);
        });
    read(
        "longitude west positive",
        FAST,
        2,
        "signs",
        f -> f.longitude = v -> LoggerFile.fixed(-v, 8));
    read(
        "latitude and longitude swapped",
        FAST,
        2,
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
        "odometer and lap",
        f -> {
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
    refused("neither place nor distance", "neither a position", f -> f.without("lat", "lon"));
    refused(
        "another circuit",
        "do not lie at this circuit",
        f -> {
          f.latitude = v -> LoggerFile.fixed(v + 3, 8);
        });
    refused("a kilometre off", "off this circuit's road", f -> f.eastM = 3000);
    read("positions stand still for three seconds", FAST, 2, "stood still", f -> f.frozen = true);
    read("a speed 5 % low", FAST, 2, "put right by them", f -> f.speedFactor = 0.95);
  }

  private void sensors() {
    read("brake sensor at 4 %", FAST, 2, "its zero", f -> f.brakeZero = 4);
    read("brake sensor at 12 %", FAST, 2, "its zero", f -> f.brakeZero = 12);
    read(
        "brake sensor at 12 %, no throttle",
        FAST,
        2,
        "its zero",
        f -> {
          f.brakeZero = 12;
          f.without("throttle");
        });
    read("throttle idles at 9 %", FAST, 2, "taken as shut", f -> f.idle = 9);
    read("throttle to 87 %", FAST, 2, "taken as 100", f -> f.top = 87);
    read(
        "brake in bar",
        FAST,
        2,
        "pressure",
        f -> {
          f.named("brake", "Brake Pressure [bar]");
          f.brakeScale = 0.7;
        });
    read(
        "brake in psi",
        FAST,
        2,
        "pressure",
        f -> {
          f.named("brake", "Brake Press Front (psi)");
          f.brakeScale = 9;
        });
    read("brake from 0 to 1", FAST, 2, "0 to 1", f -> f.brakeScale = 0.01);
    read(
        "pedals in counts",
        FAST,
        2,
        "no share",
        f -> {
          f.brakeScale = 40.95;
          f.throttleScale = 10.23;
        });
    read("side force the other way", FAST, 2, "turned", f -> f.sideSign = -1);
    read("side force in m/s²", FAST, 2, "m/s²", f -> f.sideScale = 9.80665);
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
        FAST,
        2,
        "mph",
        f -> {
          f.named("speed", "Speed");
          f.speed = v -> LoggerFile.fixed(v * 3600 / 1609.344, 3);
        });
    read(
        "speed in m/s without a unit",
        FAST,
        2,
        "m/s",
        f -> {
          f.named("speed", "GPS Speed");
          f.speed = v -> LoggerFile.fixed(v, 3);
        });
    read("speed in whole km/h", FAST, 2, "", f -> f.speed = v -> LoggerFile.fixed(3.6 * v, 0));
    read("gears with letters", f -> f.gear = v -> v < 3 ? "N" : String.format("%.0f", v));
    refused("speed in words", "no number", f -> f.speed = v -> "fast");
    refused("speed nought", "no driven lap", f -> f.speed = v -> "0");
  }

  private void tables() {
    read("semicolons", f -> f.separator = ";");
    read(
        "semicolons and decimal commas",
        f -> {
          f.separator = ";";
          f.decimalComma = true;
        });
    read("tabs", f -> f.separator = "\t");
    read(
        "tabs and decimal commas",
        f -> {
          f.separator = "\t";
          f.decimalComma = true;
        });
    read("bars", f -> f.separator = "|");
    read("quoted", f -> f.quoted = true);
    read("quoted decimal commas", f -> f.decimalComma = true);
    read("line feeds", f -> f.newline = "\n");
    read("carriage returns", f -> f.newline = "\r");
    read("blank lines between", f -> f.newline = "\r\n\r\n");
  }

  private void headers() {
    read(
        "preamble",
        FAST,
        2,
        "row of headers",
        f ->
            f.preamble =
                List.of(
                    "Session,Saturday", "Driver,R. Quill", "Vehicle,Teal", "Sample rate,100", ""));
    read(
        "preamble of many lines",
        FAST,
        2,
        "row of headers",
        f -> {
          List<String> lines = new ArrayList<>();
          for (int k = 0; k < 30; k++) {
            lines.add("Key " + k + ",Value " + k);
          }
          f.preamble = lines;
        });
    read(
        "preamble with times and laps",
        FAST,
        2,
        "row of headers",
        f ->
            f.preamble =
                List.of("Log date,09/05/2031", "Log time,14:05:31", "Lap,3", "Beacons,97.1,193.4"));
    read(
        "remarks",
        FAST,
        2,
        "row of headers",
        f -> f.preamble = List.of("# log of a session", "# 100 Hz"));
    read(
        "units below",
        f -> {
          f.named(
              "time",
              "Time",
              "lat",
              "Latitude",
              "lon",
              "Longitude",
              "speed",
              "Speed",
              "brake",
              "Brake",
              "throttle",
              "Throttle",
              "gear",
              "Gear",
              "side",
              "Lateral Acc");
          f.below = List.of("s,deg,deg,km/h,%,%,,g");
        });
    read(
        "units and sources below",
        f -> {
          f.named(
              "time",
              "Time",
              "lat",
              "Latitude",
              "lon",
              "Longitude",
              "speed",
              "Speed",
              "brake",
              "Brake",
              "throttle",
              "Throttle",
              "gear",
              "Gear",
              "side",
              "Lateral Acc");
          f.below =
              List.of("[s],[deg],[deg],[mph],[%],[%],[],[g]", "log,gps,gps,calc,can,can,can,imu");
          f.speed = v -> LoggerFile.fixed(v * 3600 / 1609.344, 3);
        });
    read(
        "words of another logger",
        f ->
            f.named(
                "time",
                "Elapsed",
                "lat",
                "GPS_Latitude",
                "lon",
                "GPS_Longitude",
                "speed",
                "VehicleSpeed_kmh",
                "brake",
                "BrkPressFront",
                "throttle",
                "ThrottlePos",
                "gear",
                "Gear Pos",
                "side",
                "AccelLateral"));
    read(
        "words written together",
        f ->
            f.named(
                "time",
                "sessionTime",
                "lat",
                "gpsLat",
                "lon",
                "gpsLon",
                "speed",
                "gpsSpeed",
                "brake",
                "brakePedal",
                "throttle",
                "accPedal",
                "gear",
                "currentGear",
                "side",
                "latAcc"));
    read(
        "many other channels",
        f -> {
          for (int k = 0; k < 40; k++) {
            f.headers.put("other" + k, "Channel " + k);
          }
        });
    read(
        "names that mislead",
        f ->
            f.named(
                "o1",
                "Brake Temp FL",
                "o2",
                "Engine Speed Target",
                "o3",
                "Brake Bias",
                "o4",
                "Wind Speed",
                "o5",
                "Lap Delta",
                "o6",
                "Throttle Body Temp"));
    read("headers once more all the way", f -> f.repeatHeader = true);
    refused(
        "no headers",
        "no row of headers",
        f -> {
          f.headers.clear();
          f.named("time", "0.00", "lat", "51.2", "lon", "0.31", "speed", "120", "brake", "0");
        });
    refused(
        "nothing known",
        "Say which column",
        f ->
            f.named(
                "time",
                "a1",
                "lat",
                "a2",
                "lon",
                "a3",
                "speed",
                "a4",
                "brake",
                "a5",
                "throttle",
                "a6",
                "gear",
                "a7",
                "side",
                "a8"));
    read("a lap column", f -> f.named("lap", "Lap Number"));
  }

  private void cells() {
    for (String word : List.of("", "N/A", "null", "--", "NaN")) {
      read(
          "missing cells: \"" + word + "\"",
          FAST,
          2,
          "",
          f -> {
            f.missing = word;
            f.missingShare = 0.02;
          });
    }
    read("brake shows nought in single cells", FAST, 2, "", f -> f.zeroCells = true);
    read(
        "a few cells of rubbish",
        FAST,
        2,
        "",
        f -> {
          f.missing = "#ERR";
          f.missingShare = 0.004;
        });
    read("a gear in words", FAST, 2, "left out", f -> f.gear = v -> "gear no " + (int) v);
  }

  private void packing() {
    read("gzip", FAST, 2, "gzip", f -> f.pack = "gzip");
    read("zip", FAST, 2, "zip", f -> f.pack = "zip");
    refused("zip of two", "holds 2 files", f -> f.pack = "zip of two");
    read("UTF-8 with a mark", f -> f.mark = new byte[] {(byte) 0xEF, (byte) 0xBB, (byte) 0xBF});
    read(
        "UTF-16, little end first",
        FAST,
        2,
        "UTF-16",
        f -> {
          f.charset = StandardCharsets.UTF_16LE;
          f.mark = new byte[] {(byte) 0xFF, (byte) 0xFE};
        });
    read(
        "UTF-16, big end first",
        FAST,
        2,
        "UTF-16",
        f -> {
          f.charset = StandardCharsets.UTF_16BE;
          f.mark = new byte[] {(byte) 0xFE, (byte) 0xFF};
        });
    read("UTF-16 without a mark", FAST, 2, "UTF-16", f -> f.charset = StandardCharsets.UTF_16LE);
    read(
        "Windows letters",
        FAST,
        2,
        "",
        f -> {
          f.charset = Charset.forName("windows-1252");
          f.named("side", "Lateral Acc [m/s²]");
          f.sideScale = 9.80665;
        });
  }

  private void others() {
    bytes("NMEA at 10 Hz", LogSentences.nmea(truth, origin, 10, 0.5, true, 0), SLOW, NONE, "");
    bytes("NMEA at 5 Hz", LogSentences.nmea(truth, origin, 5, 0.5, true, 0), SLOW, NONE, "");
    bytes("NMEA of a telephone", LogSentences.nmea(truth, origin, 1, 1, true, 0), 0.3, NONE, "");
    bytes("NMEA, RMC alone", LogSentences.nmea(truth, origin, 10, 0.5, false, 0), SLOW, NONE, "");
    bytes(
        "NMEA with some damage",
        LogSentences.nmea(truth, origin, 10, 0.5, true, 50),
        SLOW,
        NONE,
        "checksum");
    bytes(
        "NMEA with much damage",
        LogSentences.nmea(truth, origin, 10, 0.5, false, 3),
        NONE,
        NONE,
        "checksum");
    bytes("GPX with times", LogSentences.gpx(truth, origin, 10, true), SLOW, NONE, "no speed");
    bytes("GPX of a telephone", LogSentences.gpx(truth, origin, 1, true), 0.3, NONE, "no speed");
    bytes("GPX without times", LogSentences.gpx(truth, origin, 10, false), NONE, NONE, "a time");
    bytes("nothing", new byte[0], NONE, NONE, "is empty");
    bytes("binary", new byte[] {1, 0, 0, 0, 77, 3, 9, 0, 0, 1}, NONE, NONE, "binary");
    bytes(
        "a page of the web",
        "<html><body>Not found</body></html>".getBytes(StandardCharsets.UTF_8),
        NONE,
        NONE,
        "<gpx> is expected");
    bytes("JSON", "{\"laps\": [1, 2]}".getBytes(StandardCharsets.UTF_8), NONE, NONE, "no column");
  }
}
