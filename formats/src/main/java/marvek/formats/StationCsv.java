package marvek.formats;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import marvek.core.beside.LapsBeside;
import marvek.core.laps.AlongLap;

/** Two laps and their difference, one row a station; what one of them has not stays empty. */
public final class StationCsv {
  private static final String HEADER =
      "distance_m,behind_s,time_s,other_time_s,speed_mps,other_speed_mps,brake_pct,other_brake_pct,"
          + "throttle_pct,other_throttle_pct,steer_deg,other_steer_deg,gear,other_gear,"
          + "offset_m,other_offset_m";

  private StationCsv() {}

  /** The file's bytes; {@code other_} are the second lap's, {@code behind_s} is the first's. */
  public static byte[] difference(AlongLap first, AlongLap second, LapsBeside beside) {
    StringBuilder text = new StringBuilder(HEADER).append("\r\n");
    for (int k = 0; k < beside.size(); k++) {
      List<String> row = new ArrayList<>();
      row.add(figure(first.stationAt(k), 1));
      boolean known = beside.isBothFrom(k) || (k > 0 && beside.isBothFrom(k - 1));
      row.add(known ? figure(beside.behindAt(k), 4) : "");
      both(row, first.timeAt(k), second.timeAt(k), 4);
      both(row, first.speedAt(k), second.speedAt(k), 3);
      both(row, first.brakeAt(k), second.brakeAt(k), 1);
      both(row, first.throttleAt(k), second.throttleAt(k), 1);
      both(row, first.steerAt(k), second.steerAt(k), 1);
      both(row, first.gearAt(k), second.gearAt(k), 0);
      both(row, first.offsetAt(k), second.offsetAt(k), 2);
      text.append(String.join(",", row)).append("\r\n");
    }
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }

  private static void both(List<String> row, double first, double second, int decimals) {
    row.add(figure(first, decimals));
    row.add(figure(second, decimals));
  }

  private static String figure(double value, int decimals) {
    return Double.isNaN(value) ? "" : FixedDecimals.of(value, decimals);
  }
}
