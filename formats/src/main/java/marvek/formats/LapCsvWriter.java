package marvek.formats;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import marvek.core.laps.Channel;
import marvek.core.laps.Recording;

/** Writes a recording as a lap CSV. */
public final class LapCsvWriter {
  private LapCsvWriter() {}

  /** The file's bytes; what a sample has not stays empty. */
  public static byte[] write(Recording recording) {
    return write(recording, List.of());
  }

  /**
   * The same below lines of another kind.
   *
   * @param above as they stand in the file, without their ends
   */
  public static byte[] write(Recording recording, List<String> above) {
    List<Channel> channels = new ArrayList<>();
    StringBuilder text = new StringBuilder();
    above.forEach(line -> text.append(line).append("\r\n"));
    text.append("time_s");
    for (Channel channel : Channel.values()) {
      if (recording.has(channel)) {
        channels.add(channel);
        text.append(',').append(channel.column());
      }
    }
    text.append("\r\n");
    for (int i = 0; i < recording.size(); i++) {
      text.append(FixedDecimals.of(recording.timeAt(i), 4));
      for (Channel channel : channels) {
        double value = recording.at(channel, i);
        text.append(',');
        text.append(Double.isNaN(value) ? "" : FixedDecimals.of(value, decimals(channel)));
      }
      text.append("\r\n");
    }
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }

  private static int decimals(Channel channel) {
    return switch (channel) {
      case LAP, GEAR, RPM -> 0;
      case LATITUDE, LONGITUDE -> 8;
      case BRAKE, THROTTLE, STEER, CLUTCH -> 1;
      default -> 3;
    };
  }
}
