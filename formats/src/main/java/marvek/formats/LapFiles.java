package marvek.formats;

import java.util.Map;

/** Files of laps of every kind that is read: CSV, NMEA 0183 and GPX, packed or not. */
public final class LapFiles {
  /** Kinds of files. */
  public enum Kind {
    CSV,
    NMEA,
    GPX
  }

  private LapFiles() {}

  /** What kind of a file a text is. */
  public static Kind kind(FileText text) {
    if (text.firstLetter() == '<') {
      return Kind.GPX;
    }
    return NmeaLog.is(text) ? Kind.NMEA : Kind.CSV;
  }

  /**
   * Reads a file of laps.
   *
   * @param mapping column of the lap format by header of a CSV; an empty text leaves a column out
   * @param headerLine line of a CSV's row of headers; 0 to find it
   * @throws BadFileException with the place, and what to do
   */
  public static LapFile read(FileText text, Map<String, String> mapping, long headerLine) {
    return switch (kind(text)) {
      case CSV -> LapCsv.read(text, mapping, headerLine);
      case NMEA -> NmeaLog.read(text);
      case GPX -> GpxLaps.read(text);
    };
  }
}
