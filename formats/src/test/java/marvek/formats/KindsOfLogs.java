package marvek.formats;

import java.nio.charset.StandardCharsets;

/** Receivers' sentences, telephones' tracks, and what is no log. */
final class KindsOfLogs extends KindsOfFiles {
  KindsOfLogs(Drive drive) {
    super(drive);
  }

  @Override
  void add() {
    bytes(
        "NMEA at 10 Hz",
        LogSentences.nmea(drive.truth(), drive.origin(), 10, 0.5, true, 0),
        SLOW,
        NONE,
        "");
    bytes(
        "NMEA at 5 Hz",
        LogSentences.nmea(drive.truth(), drive.origin(), 5, 0.5, true, 0),
        SLOW,
        NONE,
        "");
    bytes(
        "NMEA of a telephone",
        LogSentences.nmea(drive.truth(), drive.origin(), 1, 1, true, 0),
        0.3,
        NONE,
        "");
    bytes(
        "NMEA, RMC alone",
        LogSentences.nmea(drive.truth(), drive.origin(), 10, 0.5, false, 0),
        SLOW,
        NONE,
        "");
    bytes(
        "NMEA with some damage",
        LogSentences.nmea(drive.truth(), drive.origin(), 10, 0.5, true, 50),
        SLOW,
        NONE,
        "checksum");
    bytes(
        "NMEA with much damage",
        LogSentences.nmea(drive.truth(), drive.origin(), 10, 0.5, false, 3),
        NONE,
        NONE,
        "checksum");
    bytes(
        "GPX with times",
        LogSentences.gpx(drive.truth(), drive.origin(), 10, true),
        SLOW,
        NONE,
        "no speed");
    bytes(
        "GPX of a telephone",
        LogSentences.gpx(drive.truth(), drive.origin(), 1, true),
        0.3,
        NONE,
        "no speed");
    bytes(
        "GPX without times",
        LogSentences.gpx(drive.truth(), drive.origin(), 10, false),
        NONE,
        NONE,
        "a time");
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
