package marvek.formats;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import marvek.core.laps.Channel;
import marvek.core.laps.Recording;
import marvek.core.laps.Samples;
import marvek.core.say.Sentence;

/** Laps of a GPX track whose points have times; their speed comes from the positions. */
final class GpxLaps {
  private static final int LEAST_POINTS = 10;

  private GpxLaps() {}

  /**
   * Reads a track.
   *
   * @throws BadFileException with the line where it is no GPX, or if its points have no times
   */
  static LapFile read(FileText text) {
    try (InputStream stream = text.stream()) {
      return laps(GpxReader.read(stream), text.told());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static LapFile laps(GpxFile track, List<Sentence> before) {
    double[] raw = new double[track.size()];
    int timed = 0;
    for (int i = 0; i < raw.length; i++) {
      raw[i] = track.timeSAt(i);
      timed += Double.isNaN(raw[i]) ? 0 : 1;
    }
    if (timed < LEAST_POINTS) {
      throw BadFileException.whole(
          Sentence.of("file.few-times", "points", raw.length, "timed", timed));
    }
    LapClock.Running clock = LapClock.of(raw, true);
    if (clock.isHopeless()) {
      throw BadFileException.atLine(
          track.lineAt(Math.max(0, clock.firstDropped())), "time", Sentence.of("file.time-order"));
    }
    List<Sentence> told = new ArrayList<>(before);
    told.addAll(clock.told());
    int n = clock.timeS().length;
    double[] lat = new double[n];
    double[] lon = new double[n];
    double[] ele = new double[n];
    int k = 0;
    for (int i = clock.kept().nextSetBit(0); i >= 0; i = clock.kept().nextSetBit(i + 1)) {
      lat[k] = track.latDegAt(i);
      lon[k] = track.lonDegAt(i);
      ele[k++] = track.eleMAt(i);
    }
    Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
    channels.put(Channel.LATITUDE, Samples.of(Channel.LATITUDE, lat));
    channels.put(Channel.LONGITUDE, Samples.of(Channel.LONGITUDE, lon));
    channels.put(Channel.ALTITUDE, Samples.of(Channel.ALTITUDE, ele));
    return new LapFile(
        new Recording(clock.timeS(), channels, clock.breaks()),
        List.of("track points"),
        List.of(),
        told);
  }
}
