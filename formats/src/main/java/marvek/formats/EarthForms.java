package marvek.formats;

import java.util.List;
import java.util.Locale;
import java.util.function.DoubleUnaryOperator;
import marvek.core.circuit.GeoPoint;
import marvek.core.numeric.Median;

/**
 * Finds out how a file writes latitudes and longitudes, by where they must lie: on the circuit that
 * it is brought in for.
 */
final class EarthForms {
  /** Farther from the circuit's own place than this no lap of it is [°], some 20 km. */
  private static final double NEAR_DEG = 0.2;

  private record Form(String name, DoubleUnaryOperator degrees) {}

  private static final List<Form> FORMS =
      List.of(
          new Form("", v -> v),
          new Form("degrees and minutes in one number", EarthForms::packedMinutes),
          new Form("degrees, minutes and seconds in one number", EarthForms::packedSeconds),
          new Form("radians", Math::toDegrees),
          new Form("minutes", v -> v / 60),
          new Form("seconds", v -> v / 3600),
          new Form("ten-millionths of a degree", v -> v * 1e-7),
          new Form("millionths of a degree", v -> v * 1e-6));

  private EarthForms() {}

  /**
   * A way of writing that fits.
   *
   * @param told in words what was put right; empty where nothing was
   */
  record Fitting(double[] latDeg, double[] lonDeg, String told) {}

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
   * Degrees of a file's columns.
   *
   * @throws BadFileException if they lie elsewhere in every form that is known
   */
  static Fitting of(double[] latitude, double[] longitude, GeoPoint circuit) {
    withoutNothing(latitude, longitude);
    double lat = middle(latitude);
    double lon = middle(longitude);
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
            return fitting(
                swapped ? longitude : latitude,
                swapped ? latitude : longitude,
                form,
                new int[] {signLat, signLon},
                swapped);
          }
        }
      }
    }
    throw BadFileException.whole(
        String.format(
            Locale.ROOT,
            "The positions (%.5f, %.5f) do not lie at this circuit (%.5f, %.5f): is it a lap of"
                + " another circuit?",
            lat,
            lon,
            circuit.latDeg(),
            circuit.lonDeg()));
  }

  /** A receiver without a position writes zeros. */
  private static void withoutNothing(double[] latitude, double[] longitude) {
    for (int i = 0; i < latitude.length; i++) {
      if (latitude[i] == 0 && longitude[i] == 0) {
        latitude[i] = Double.NaN;
        longitude[i] = Double.NaN;
      }
    }
  }

  private static double middle(double[] values) {
    return Median.of(java.util.Arrays.stream(values).filter(v -> !Double.isNaN(v)).toArray());
  }

  private static boolean near(double degrees, double place, double scale) {
    return Math.abs(degrees - place) * scale < NEAR_DEG;
  }

  private static Fitting fitting(
      double[] latitude, double[] longitude, Form form, int[] signs, boolean swapped) {
    double[] lat = new double[latitude.length];
    double[] lon = new double[latitude.length];
    for (int i = 0; i < lat.length; i++) {
      lat[i] = signs[0] * form.degrees().applyAsDouble(latitude[i]);
      lon[i] = signs[1] * form.degrees().applyAsDouble(longitude[i]);
    }
    StringBuilder told = new StringBuilder();
    if (!form.name().isEmpty()) {
      told.append("Latitude and longitude are written as ").append(form.name()).append(". ");
    }
    if (swapped) {
      told.append("Latitude and longitude are swapped. ");
    }
    if (signs[0] < 0 || signs[1] < 0) {
      told.append("Their signs for south or west are missing or turned round. ");
    }
    return new Fitting(
        lat, lon, told.isEmpty() ? "" : told + "By where this circuit lies: put right.");
  }
}
