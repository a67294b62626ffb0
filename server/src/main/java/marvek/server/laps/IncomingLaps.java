package marvek.server.laps;

import java.io.ByteArrayInputStream;
import java.util.Map;
import marvek.core.PlainText;
import marvek.core.Require;
import marvek.formats.FileText;

/**
 * A file of laps on its way in.
 *
 * @param name that it came with
 * @param mapping column of the lap format by header, for those whose names do not say it
 * @param headerLine line of its row of headers; 0 to find it
 * @param whose laps they are
 */
record IncomingLaps(
    String name,
    FileText.Bytes content,
    Map<String, String> mapping,
    long headerLine,
    Whose whose) {
  private static final int LONGEST_NAME = 200;
  private static final int LONGEST_WHO = 120;

  /**
   * Whose laps a file has, and in what.
   *
   * @param driver empty for the book's own
   * @param vehicle empty for the book's
   */
  record Whose(String driver, String vehicle) {
    static final Whose OWN = new Whose("", "");

    Whose {
      driver = PlainText.of(driver == null ? "" : driver).strip();
      vehicle = PlainText.of(vehicle == null ? "" : vehicle).strip();
      if (!driver.isEmpty()) {
        Require.text("driver", driver, LONGEST_WHO);
      }
      if (!vehicle.isEmpty()) {
        Require.text("vehicle", vehicle, LONGEST_WHO);
      }
    }
  }

  IncomingLaps {
    name = named(name);
    mapping = Map.copyOf(mapping);
    Require.within("headerLine", headerLine, 0, Integer.MAX_VALUE);
  }

  /** A file of the book's own driver that needs nothing said of it. */
  static IncomingLaps of(String name, byte[] bytes) {
    return new IncomingLaps(name, () -> new ByteArrayInputStream(bytes), Map.of(), 0, Whose.OWN);
  }

  private static String named(String name) {
    String text = name == null ? "" : PlainText.of(name).strip();
    return text.isEmpty()
        ? "laps.csv"
        : text.substring(
            0,
            text.offsetByCodePoints(
                0, Math.min(text.codePointCount(0, text.length()), LONGEST_NAME)));
  }
}
