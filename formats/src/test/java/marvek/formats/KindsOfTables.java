package marvek.formats;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** Separators, rows above and below the headers, missing cells, packing. */
final class KindsOfTables extends KindsOfFiles {
  KindsOfTables(Drive drive) {
    super(drive);
  }

  @Override
  void add() {
    tables();
    headers();
    cells();
    packing();
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
        "row of headers",
        f ->
            f.preamble =
                List.of(
                    "Session,Saturday", "Driver,R. Quill", "Vehicle,Teal", "Sample rate,100", ""));
    read(
        "preamble of many lines",
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
        "row of headers",
        f ->
            f.preamble =
                List.of("Log date,09/05/2031", "Log time,14:05:31", "Lap,3", "Beacons,97.1,193.4"));
    read("remarks", "row of headers", f -> f.preamble = List.of("# log of a session", "# 100 Hz"));
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
          "",
          f -> {
            f.missing = word;
            f.missingShare = 0.02;
          });
    }
    read("brake shows nought in single cells", "", f -> f.zeroCells = true);
    read(
        "a few cells of rubbish",
        "",
        f -> {
          f.missing = "#ERR";
          f.missingShare = 0.004;
        });
    read("a gear in words", "left out", f -> f.gear = v -> "gear no " + (int) v);
  }

  private void packing() {
    read("gzip", "gzip", f -> f.pack = "gzip");
    read("zip", "zip", f -> f.pack = "zip");
    refused("zip of two", "holds 2 files", f -> f.pack = "zip of two");
    read("UTF-8 with a mark", f -> f.mark = new byte[] {(byte) 0xEF, (byte) 0xBB, (byte) 0xBF});
    read(
        "UTF-16, little end first",
        "UTF-16",
        f -> {
          f.charset = StandardCharsets.UTF_16LE;
          f.mark = new byte[] {(byte) 0xFF, (byte) 0xFE};
        });
    read(
        "UTF-16, big end first",
        "UTF-16",
        f -> {
          f.charset = StandardCharsets.UTF_16BE;
          f.mark = new byte[] {(byte) 0xFE, (byte) 0xFF};
        });
    read("UTF-16 without a mark", "UTF-16", f -> f.charset = StandardCharsets.UTF_16LE);
    read(
        "Windows letters",
        "",
        f -> {
          f.charset = Charset.forName("windows-1252");
          f.named("side", "Lateral Acc [m/s²]");
          f.sideScale = 9.80665;
        });
  }
}
