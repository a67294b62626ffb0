package marvek.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import marvek.core.circuit.GeoPoint;
import marvek.core.laps.Channel;
import marvek.core.laps.Recording;
import marvek.core.numeric.Median;
import marvek.core.say.Sentence;

/**
 * Finds out how a file writes latitudes and longitudes, by where they must lie: on the circuit that
 * it is brought in for.
 */
final class EarthForms {
  /** Farther from the circuit's own place than this no lap of it is [°], some 20 km. */
  private static final double NEAR_DEG = 0.2;

  /** Places that their middle is taken of. */
  private static final int SOME = 20_000;

  private record Form(String name, DoubleUnaryOperator degrees) {}

  private static final List<Form> FORMS =
      List.of(
          new Form("", v -> v),
          new Form("degrees-minutes", EarthForms::packedMinutes),
          new Form("degrees-minutes-seconds", EarthForms::packedSeconds),
          new Form("radians", Math::toDegrees),
          new Form("minutes", v -> v / 60),
          new Form("seconds", v -> v / 3600),
          new Form("ten-millionths", v -> v * 1e-7),
          new Form("millionths", v -> v * 1e-6));

  private EarthForms() {}

  /**
   * A way of writing that fits.
   *
   * @param told what was put right; empty where nothing was
   */
  record Fitting(
      DoubleUnaryOperator degrees, int signLat, int signLon, boolean swapped, List<Sentence> told) {
    double latDeg(double latitude, double longitude) {
      return signLat * degrees.applyAsDouble(swapped ? longitude : latitude);
    }

    double lonDeg(double latitude, double longitude) {
      return signLon * degrees.applyAsDouble(swapped ? latitude : longitude);
    }
  }

  private static double packedMinutes(double v) {
    double degrees = Math.floor(Math.abs(v) / 100);
    return Math.signum(v) * (degrees + (Math.abs(v) - 100 * degrees) / 60);
  }

  private static double packedSeconds(double v) {
    double all = Math.abs(v);
    double degrees = Math.floor(all / 10_000);
    double minutes = Math.floor(all / 100) % 100;
    return Math.signum(v) * (degrees + minutes / 60 + (all % 100) / 3600);
  }

  /**
   * How a recording writes its places.
   *
   * @throws BadFileException if they lie elsewhere in every form that is known
   */
  static Fitting of(Recording recording, GeoPoint circuit) {
    double lat = middle(recording, Channel.LATITUDE);
    double lon = middle(recording, Channel.LONGITUDE);
    if (Double.isNaN(lat) || Double.isNaN(lon)) {
      throw BadFileException.whole(Sentence.of("file.positions-empty"));
    }
    for (boolean swapped : new boolean[] {false, true}) {
      double a = swapped ? lon : lat;
      double b = swapped ? lat : lon;
      for (Form form : FORMS) {
        for (int signs = 0; signs < 4; signs++) {
          int signLat = (signs & 2) == 0 ? 1 : -1;
          int signLon = (signs & 1) == 0 ? 1 : -1;
          boolean fits =
              near(signLat * form.degrees().applyAsDouble(a), circuit.latDeg(), 1)
                  && near(
                      signLon * form.degrees().applyAsDouble(b),
                      circuit.lonDeg(),
                      Math.cos(Math.toRadians(circuit.latDeg())));
          if (fits) {
            return fitting(form, signLat, signLon, swapped);
          }
        }
      }
    }
    throw BadFileException.whole(
        Sentence.of(
            "file.positions-elsewhere",
            "lat",
            lat,
            "lon",
            lon,
            "circuit_lat",
            circuit.latDeg(),
            "circuit_lon",
            circuit.lonDeg()));
  }

  /** A receiver without a position writes zeros. */
  static boolean isNowhere(double latitude, double longitude) {
    return latitude == 0 && longitude == 0;
  }

  private static double middle(Recording recording, Channel channel) {
    int every = Math.max(1, recording.size() / SOME);
    return Median.of(
        IntStream.range(0, recording.size())
            .filter(i -> i % every == 0)
            .mapToDouble(i -> recording.at(channel, i))
            .filter(v -> !Double.isNaN(v) && v != 0)
            .toArray());
  }

  private static boolean near(double degrees, double place, double scale) {
    return Math.abs(degrees - place) * scale < NEAR_DEG;
  }

  private static Fitting fitting(Form form, int signLat, int signLon, boolean swapped) {
    List<Sentence> told = new ArrayList<>();
    if (!form.name().isEmpty()) {
      told.add(Sentence.of("laps.place-form", "form", form.name()));
    }
    if (swapped) {
      told.add(Sentence.of("laps.place-swapped"));
    }
    if (signLat < 0 || signLon < 0) {
      told.add(Sentence.of("laps.place-signs"));
    }
    return new Fitting(form.degrees(), signLat, signLon, swapped, told);
  }
}
